"use client";
import { RunwayFields } from "@/ui/situation/RunwayFields";
import { Plus, Trash2 } from "lucide-react";
import { Obstacle, TakeOffPlan } from "@/core/situation/take-off-plan";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useSituation } from "@/ui/situation/situation-store";
import { useChanged } from "@/ui/situation/useChanged";
import { OneEngineFields } from "@/ui/situation/OneEngineFields";
import { useTakeOff } from "@/ui/answers/take-off-store";

const { shape } = TakeOffPlan;
const failureCheck = checkBy(shape.failure_mps);
const rotationCheck = checkBy(shape.rotation_mps);
const recognitionCheck = checkBy(shape.recognition_s);
const gearCheck = checkBy(shape.gearUp_s);
const featherCheck = checkBy(shape.feather_s);
const accelerationCheck = checkBy(shape.acceleration_m);
const clearanceCheck = checkBy(shape.clearance_m);
const distanceCheck = checkBy(Obstacle.shape.distance_m);
const heightCheck = checkBy(Obstacle.shape.height_m);

/** How the take-off with two engines is to be flown, and what stands in its way. */
export function TakeOffEditor() {
  const departure = useSituation((state) => state.current.departure);
  const change = useSituation((state) => state.change);
  const changed = useChanged("departure", "oneEngine");
  const answer = useTakeOff((state) => state.answer);
  const { document } = useAeroplane();
  const plan = departure.twoEngines;
  const set = (patch: Partial<TakeOffPlan>) =>
    change((current) => ({
      departure: { ...current.departure, twoEngines: { ...current.departure.twoEngines, ...patch } },
    }));
  const setObstacle = (i: number, patch: Partial<Obstacle>) =>
    set({ obstacles: plan.obstacles.map((obstacle, index) => (index === i ? { ...obstacle, ...patch } : obstacle)) });
  const jet = document.engines.kind === "jet";
  const back = (shown: boolean, label: string, patch: Partial<TakeOffPlan>) =>
    shown && (
      <button type="button" className="text-sm text-harbour underline" onClick={() => set(patch)}>
        {label}
      </button>
    );
  return (
    <PlanPopover label="Departure plan" changed={changed} width={540}>
      <h2 className="font-bold">Take-off</h2>
      <div className="grid grid-cols-2 gap-3">
        <RunwayFields autoFocus />
        <div>
          <QuantityField
            label="Rotation"
            kind="speed"
            value={plan.rotation_mps ?? answer?.speeds.rotation_mps ?? null}
            step={1}
            check={rotationCheck}
            onChange={(rotation_mps) => set({ rotation_mps })}
          />
          {back(plan.rotation_mps !== null, "Computed rotation", { rotation_mps: null })}
        </div>
        <div>
          <QuantityField
            label="Engine fails on the runway at"
            kind="speed"
            value={plan.failure_mps ?? answer?.accelerate.failure_mps ?? null}
            step={1}
            check={failureCheck}
            onChange={(failure_mps) => set({ failure_mps })}
          />
          {back(plan.failure_mps !== null, jet ? "Balanced speed" : "At rotation", { failure_mps: null })}
        </div>
        <NumberField
          label="Recognition"
          unit="s"
          digits={1}
          value={plan.recognition_s}
          step={0.5}
          check={recognitionCheck}
          onChange={(recognition_s) => set({ recognition_s })}
        />
        <NumberField
          label="Gear up after the failure"
          unit="s"
          digits={1}
          value={plan.gearUp_s}
          step={1}
          check={gearCheck}
          onChange={(gearUp_s) => set({ gearUp_s })}
        />
        {jet ? (
          <QuantityField
            label="Acceleration height"
            kind="height"
            value={plan.acceleration_m}
            step={100}
            check={accelerationCheck}
            onChange={(acceleration_m) => set({ acceleration_m })}
          />
        ) : (
          <NumberField
            label="Feathered after the failure"
            unit="s"
            digits={1}
            value={plan.feather_s}
            step={1}
            check={featherCheck}
            onChange={(feather_s) => set({ feather_s })}
          />
        )}
        <QuantityField
          label="Clearance over obstacles"
          kind="height"
          value={plan.clearance_m}
          step={10}
          check={clearanceCheck}
          onChange={(clearance_m) => set({ clearance_m })}
        />
      </div>
      <OneEngineFields />
      <h2 className="mt-1 font-bold">Obstacles, straight out</h2>
      {plan.obstacles.length === 0 && (
        <p className="text-[14px] text-ink2">None listed. The ground itself is taken from the terrain.</p>
      )}
      {plan.obstacles.map((obstacle, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_150px_140px_auto] items-end gap-2">
          <TextField
            label="Name"
            value={obstacle.name}
            fault={null}
            onChange={(name) => setObstacle(i, { name: name.trim() === "" ? "obstacle" : name.slice(0, 40) })}
          />
          <QuantityField
            label="Distance"
            kind="length"
            value={obstacle.distance_m}
            step={100}
            check={distanceCheck}
            onChange={(distance_m) => setObstacle(i, { distance_m })}
          />
          <QuantityField
            label="Height"
            kind="height"
            value={obstacle.height_m}
            step={10}
            check={heightCheck}
            onChange={(height_m) => setObstacle(i, { height_m })}
          />
          <button
            type="button"
            className="btn btn-quiet px-2"
            aria-label={`Remove ${obstacle.name}`}
            onClick={() => set({ obstacles: plan.obstacles.filter((_, index) => index !== i) })}
          >
            <Trash2 size={15} aria-hidden="true" />
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-quiet self-start"
        disabled={plan.obstacles.length >= 20}
        onClick={() => set({ obstacles: [...plan.obstacles, { name: "mast", distance_m: 3000, height_m: 45 }] })}
      >
        <Plus size={15} aria-hidden="true" /> Add an obstacle
      </button>
    </PlanPopover>
  );
}
