"use client";
import { Plus, Trash2 } from "lucide-react";
import type { LoadingPlan } from "@/core/aircraft/loading-plan";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { FieldRow } from "./FieldRow";
import { Group } from "./Group";
import { faultAt } from "./notes";
import type { Edited } from "./useEdited";

/** Usual densities of fuel, kg/m³. Common practice. */
const FUELS = [
  { value: "720", label: "avgas, 0.72 kg/L" },
  { value: "745", label: "mogas, 0.745 kg/L" },
  { value: "800", label: "kerosene, 0.80 kg/L" },
] as const;

const anyNumber = (value: number) => (Number.isFinite(value) ? null : "A number is needed here.");
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** A plan to fill in: one seat, one tank and limits that say nothing yet. */
function firstPlan(empty_kg: number, maximum_kg: number, turbine: boolean): LoadingPlan {
  return {
    datum: "firewall",
    empty_kg,
    emptyArm_m: 1,
    stations: [{ id: "front", name: "Front seats", arm_m: 1, maximum_kg: 220 }],
    tanks: [{ id: "tank", name: "Tanks", arm_m: 1.2, capacity_m3: 0.15 }],
    fuelDensity_kgpm3: turbine ? 800 : 720,
    limits: [
      { mass_kg: Math.max(50, Math.round(empty_kg * 0.95)), arm_m: 0.9 },
      { mass_kg: maximum_kg, arm_m: 0.9 },
      { mass_kg: maximum_kg, arm_m: 1.2 },
      { mass_kg: Math.max(50, Math.round(empty_kg * 0.95)), arm_m: 1.2 },
    ],
  };
}

function freeId(kind: string, { stations, tanks }: LoadingPlan): string {
  const taken = new Set([...stations, ...tanks].map((place) => place.id));
  for (let i = 1; ; i += 1) if (!taken.has(`${kind}-${i}`)) return `${kind}-${i}`;
}

/** Places, fuel and limits, as weighing and handbook have them. */
export function LoadingFields({ edited }: { edited: Edited }) {
  const { document, change } = edited;
  const { loading: plan, mass, engines } = document;
  const set = (patch: Partial<LoadingPlan>) =>
    change((now) => (now.loading ? { ...now, loading: { ...now.loading, ...patch } } : now));
  if (!plan)
    return (
      <Group title="Seats, fuel and limits">
        <button
          type="button"
          className="btn btn-quiet justify-self-start"
          onClick={() =>
            change((now) => ({
              ...now,
              loading: firstPlan(
                mass.minimum_kg,
                mass.maximum_kg,
                engines.kind === "jet" || (engines.kind === "propeller" && engines.fuelSystem === "turbine"),
              ),
            }))
          }
        >
          <Plus size={15} aria-hidden="true" /> Mass from seats and fuel
        </button>
      </Group>
    );
  const arm = (label: string, value: number, onChange: (arm_m: number) => void) => (
    <QuantityField label={label} kind="dimension" step={0.01} value={value} check={anyNumber} onChange={onChange} />
  );
  return (
    <>
      <Group title="Seats, fuel and limits">
        <TextField
          label="Arms are counted from"
          value={plan.datum}
          onChange={(datum) => set({ datum })}
          fault={faultAt(edited, "loading.datum")}
        />
        <QuantityField
          label="Empty mass"
          kind="mass"
          step={1}
          value={plan.empty_kg}
          check={anyPositive}
          onChange={(empty_kg) => set({ empty_kg })}
          hint="as weighed, with unusable fuel and oil"
        />
        {arm("Arm, empty", plan.emptyArm_m, (emptyArm_m) => set({ emptyArm_m }))}
        <ChoiceField
          label="Fuel"
          value={FUELS.find(({ value }) => Number(value) === plan.fuelDensity_kgpm3)?.value ?? "720"}
          onChange={(value) => set({ fuelDensity_kgpm3: Number(value) })}
          choices={FUELS}
        />
        {plan.stations.map((station, i) => {
          const put = (patch: Partial<typeof station>) =>
            set({ stations: plan.stations.map((entry, at) => (at === i ? { ...entry, ...patch } : entry)) });
          return (
            <FieldRow
              key={station.id}
              name={station.name}
              onRemove={
                plan.stations.length > 1
                  ? () => set({ stations: plan.stations.filter((_, at) => at !== i) })
                  : undefined
              }
            >
              <TextField
                label={`Place ${i + 1}`}
                value={station.name}
                onChange={(name) => put({ name })}
                fault={faultAt(edited, `loading.stations.${i}.name`)}
              />
              {arm("Arm", station.arm_m, (arm_m) => put({ arm_m }))}
              <QuantityField
                label="Carries at most"
                kind="mass"
                step={5}
                value={station.maximum_kg}
                check={anyPositive}
                onChange={(maximum_kg) => put({ maximum_kg })}
              />
            </FieldRow>
          );
        })}
        {plan.tanks.map((tank, i) => {
          const put = (patch: Partial<typeof tank>) =>
            set({ tanks: plan.tanks.map((entry, at) => (at === i ? { ...entry, ...patch } : entry)) });
          return (
            <FieldRow
              key={tank.id}
              name={tank.name}
              onRemove={() => set({ tanks: plan.tanks.filter((_, at) => at !== i) })}
            >
              <TextField
                label={`Tank ${i + 1}`}
                value={tank.name}
                onChange={(name) => put({ name })}
                fault={faultAt(edited, `loading.tanks.${i}.name`)}
              />
              {arm("Arm", tank.arm_m, (arm_m) => put({ arm_m }))}
              <QuantityField
                label="Holds, usable"
                kind="volume"
                step={5}
                value={tank.capacity_m3}
                check={anyPositive}
                onChange={(capacity_m3) => put({ capacity_m3 })}
              />
            </FieldRow>
          );
        })}
        <span className="col-span-full flex gap-2">
          <button
            type="button"
            className="btn btn-quiet"
            disabled={plan.stations.length >= 12}
            onClick={() =>
              set({
                stations: [
                  ...plan.stations,
                  { id: freeId("place", plan), name: "Baggage", arm_m: plan.emptyArm_m + 1, maximum_kg: 50 },
                ],
              })
            }
          >
            <Plus size={15} aria-hidden="true" /> Place
          </button>
          <button
            type="button"
            className="btn btn-quiet"
            disabled={plan.tanks.length >= 6}
            onClick={() =>
              set({
                tanks: [
                  ...plan.tanks,
                  { id: freeId("tank", plan), name: "Tank", arm_m: plan.emptyArm_m, capacity_m3: 0.1 },
                ],
              })
            }
          >
            <Plus size={15} aria-hidden="true" /> Tank
          </button>
        </span>
      </Group>
      <Group title="Limits of mass and centre of gravity: corners, once round">
        {plan.limits.map((corner, i) => {
          const put = (patch: Partial<typeof corner>) =>
            set({ limits: plan.limits.map((entry, at) => (at === i ? { ...entry, ...patch } : entry)) });
          return (
            <FieldRow
              key={i}
              name={`corner ${i + 1}`}
              onRemove={
                plan.limits.length > 3 ? () => set({ limits: plan.limits.filter((_, at) => at !== i) }) : undefined
              }
            >
              <QuantityField
                label={`Corner ${i + 1}: mass`}
                kind="mass"
                step={5}
                value={corner.mass_kg}
                check={anyPositive}
                onChange={(mass_kg) => put({ mass_kg })}
              />
              {arm("Arm", corner.arm_m, (arm_m) => put({ arm_m }))}
              <span />
            </FieldRow>
          );
        })}
        {faultAt(edited, "loading.limits") && (
          <p role="alert" className="col-span-full text-brick">
            {faultAt(edited, "loading.limits")}
          </p>
        )}
        <button
          type="button"
          className="btn btn-quiet justify-self-start"
          disabled={plan.limits.length >= 20}
          onClick={() => set({ limits: [...plan.limits, plan.limits[plan.limits.length - 1]] })}
        >
          <Plus size={15} aria-hidden="true" /> Corner
        </button>
        <button
          type="button"
          className="btn btn-quiet justify-self-start"
          onClick={() => change((now) => ({ ...now, loading: null }))}
        >
          <Trash2 size={15} aria-hidden="true" /> Without seats and fuel
        </button>
      </Group>
    </>
  );
}
