"use client";
import { Plus } from "lucide-react";
import type { Helicopter, Rating } from "@/core/aircraft/helicopter";
import { M_PER_FT } from "@/core/quantities/constants";
import { fitHelicopter, helicopterResiduals } from "@/core/rotor/helicopter-fit";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { FieldRow } from "../FieldRow";
import { Group } from "../Group";
import { IdentityFields, MassFields } from "../IdentityFields";
import { faultAt, noteAt } from "../notes";
import { QuantityNote } from "../QuantityNote";
import { RotorFit } from "../RotorFit";
import { useEditedHelicopter } from "../useEdited";

/** Any number goes in while it is typed; what it makes of the whole document is said beside the field. */
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** The helicopter as its manual groups it, and the fit to it. */
export function HelicopterForm() {
  const edited = useEditedHelicopter();
  const { document, change } = edited;
  const { handbook, rotor, engines, limits } = document;
  const setBook = (patch: Partial<Helicopter["handbook"]>) =>
    change((now) => ({ ...now, handbook: { ...now.handbook, ...patch } }));
  const setRotor = (patch: Partial<Helicopter["rotor"]>) =>
    change((now) => ({ ...now, rotor: { ...now.rotor, ...patch } }));
  const speed = (
    label: string,
    key: "vToss_mps" | "vy_mps" | "leastSinkSpeed_mps" | "bestRangeSpeed_mps",
    hint: string,
  ) => (
    <QuantityNote
      edited={edited}
      label={label}
      path={`handbook.${key}`}
      kind="speed"
      value={handbook[key]}
      hint={hint}
      onChange={(value) => setBook({ [key]: value })}
      onClear={() => setBook({ [key]: null })}
    />
  );
  const factor = (
    label: string,
    key: "inducedFactor" | "bladeDragFactor" | "ctSigmaMax" | "nrMinFlight" | "nrMinTouchdown",
    digits: number,
    hint: string,
  ) => (
    <NumberField
      label={label}
      value={rotor[key]}
      unit=""
      digits={digits}
      step={10 ** -digits}
      check={anyPositive}
      onChange={(value) => setRotor({ [key]: value })}
      hint={noteAt(edited, `rotor.${key}`) ?? hint}
    />
  );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Handbook">
      <RotorFit
        edited={edited}
        from="Induced power from the hover on one engine, blade drag and drag area from the autorotation."
        residuals={helicopterResiduals}
        fit={fitHelicopter}
      />
      <IdentityFields />
      <Group title="Masses">
        <MassFields />
      </Group>
      <Group title="Speeds and autorotation, at the mass they are printed for">
        <QuantityNote
          edited={edited}
          label="Mass of these figures"
          path="handbook.mass_kg"
          kind="mass"
          value={handbook.mass_kg}
          onChange={(mass_kg) => setBook({ mass_kg })}
          hint="usually the maximum"
        />
        {speed("V_TOSS", "vToss_mps", "take-off safety speed on one engine")}
        {speed("V_Y", "vy_mps", "best rate of climb")}
        <QuantityNote
          edited={edited}
          label="V_NE"
          path="limits.vne_mps"
          kind="speed"
          value={limits.vne_mps}
          onChange={(vne_mps) => change((now) => ({ ...now, limits: { vne_mps } }))}
          onClear={() => change((now) => ({ ...now, limits: { vne_mps: null } }))}
          hint="never exceed"
        />
        {speed("Speed of least sink", "leastSinkSpeed_mps", "in autorotation")}
        <QuantityField
          label="Least sink"
          kind="verticalSpeed"
          value={handbook.leastSink_mps}
          step={10}
          check={anyPositive}
          onChange={(leastSink_mps) => setBook({ leastSink_mps })}
          onClear={() => setBook({ leastSink_mps: null })}
          hint={noteAt(edited, "handbook.leastSink_mps") ?? "in autorotation"}
        />
        {speed("Speed of best range", "bestRangeSpeed_mps", "in autorotation")}
        <QuantityField
          label="Ratio at best range"
          kind="glide"
          value={handbook.bestRangeRatio}
          step={0.1}
          check={anyPositive}
          onChange={(bestRangeRatio) => setBook({ bestRangeRatio })}
          onClear={() => setBook({ bestRangeRatio: null })}
          hint={noteAt(edited, "handbook.bestRangeRatio") ?? "in autorotation"}
        />
      </Group>
      <Ratings />
      <OneEngineHover />
      <Group title="Rotor">
        <QuantityField
          label="Radius"
          kind="dimension"
          value={rotor.radius_m}
          digits={2}
          step={0.05}
          check={anyPositive}
          onChange={(radius_m) => setRotor({ radius_m })}
          hint={noteAt(edited, "rotor.radius_m") ?? "hub to tip"}
        />
        <NumberField
          label="Blades"
          value={rotor.blades}
          unit=""
          digits={0}
          step={1}
          check={anyPositive}
          onChange={(blades) => setRotor({ blades: Math.round(blades) })}
          hint={noteAt(edited, "rotor.blades")}
        />
        <QuantityField
          label="Chord of a blade"
          kind="dimension"
          value={rotor.chord_m}
          digits={3}
          step={0.01}
          check={anyPositive}
          onChange={(chord_m) => setRotor({ chord_m })}
          hint={noteAt(edited, "rotor.chord_m")}
        />
        <QuantityNote
          edited={edited}
          label="Tip speed"
          path="rotor.tipSpeed_mps"
          kind="speed"
          value={rotor.tipSpeed_mps}
          onChange={(tipSpeed_mps) => setRotor({ tipSpeed_mps })}
          hint="at 100 % rotor speed"
        />
        <QuantityField
          label="Hub above the skids"
          kind="dimension"
          value={rotor.hubAboveSkids_m}
          digits={2}
          step={0.1}
          check={anyPositive}
          onChange={(hubAboveSkids_m) => setRotor({ hubAboveSkids_m })}
          hint={noteAt(edited, "rotor.hubAboveSkids_m")}
        />
        <QuantityField
          label="Drag area"
          kind="area"
          value={rotor.flatPlate_m2}
          digits={2}
          step={0.05}
          check={anyPositive}
          onChange={(flatPlate_m2) => setRotor({ flatPlate_m2 })}
          hint={noteAt(edited, "rotor.flatPlate_m2") ?? "fuselage, hub, skids; the fit sets it"}
        />
        <NumberField
          label="Rotor’s inertia"
          value={rotor.polarInertia_kgm2}
          unit="kg m²"
          digits={0}
          step={25}
          check={anyPositive}
          onChange={(polarInertia_kgm2) => setRotor({ polarInertia_kgm2 })}
          hint={noteAt(edited, "rotor.polarInertia_kgm2")}
        />
        {factor("Induced power, over ideal", "inducedFactor", 3, "1.1 to 1.25; the fit sets it")}
        {factor("Blade drag, over smooth", "bladeDragFactor", 2, "0.8 to 1.5; the fit sets it")}
        {factor("Greatest CT/σ", "ctSigmaMax", 3, "blade loading at which it stalls")}
        {factor("Least rotor speed in flight", "nrMinFlight", 2, "of 100 %: 0.92")}
        {factor("Least rotor speed at touchdown", "nrMinTouchdown", 2, "of 100 %: 0.80")}
      </Group>
      <Group title="Engines">
        <ChoiceField
          label="Engines"
          value={String(engines.count)}
          onChange={(count) => change((now) => ({ ...now, engines: { ...now.engines, count: Number(count) } }))}
          choices={["1", "2", "3"].map((value) => ({ value, label: value }))}
        />
        <TextField
          label="Floats and ditching, as the manual says"
          value={handbook.floats ?? ""}
          onChange={(floats) => setBook({ floats: floats === "" ? null : floats })}
          fault={faultAt(edited, "handbook.floats")}
        />
      </Group>
    </div>
  );
}

/** Ratings of one engine, from the shortest to the one without a limit. */
function Ratings() {
  const edited = useEditedHelicopter();
  const { document, change, faults } = edited;
  const { ratings } = document.engines;
  const set = (next: readonly Rating[]) =>
    change((now) => ({ ...now, engines: { ...now.engines, ratings: [...next] } }));
  const patch = (i: number, values: Partial<Rating>) =>
    set(ratings.map((rating, at) => (at === i ? { ...rating, ...values } : rating)));
  const fault = faults.find(({ path }) => path.startsWith("engines.ratings"))?.message;
  return (
    <Group title="Ratings of one engine while another is out, the shortest first">
      {ratings.map((rating, i) => (
        <div key={i} className="col-span-full">
          <FieldRow
            name={`rating ${rating.name}`}
            onRemove={ratings.length > 1 ? () => set(ratings.filter((_, at) => at !== i)) : undefined}
          >
            <TextField label="Rating" value={rating.name} onChange={(name) => patch(i, { name })} fault={null} />
            <NumberField
              label="Lasts"
              value={rating.duration_s}
              unit="s"
              digits={0}
              step={10}
              check={(value) => (value >= 1 ? null : "A rating lasts 1 s at least; empty for no limit.")}
              onChange={(duration_s) => patch(i, { duration_s })}
              onClear={() => patch(i, { duration_s: null })}
              hint="empty: no limit"
            />
            <NumberField
              label="Uses in a flight"
              value={rating.uses}
              unit=""
              digits={0}
              step={1}
              check={(value) => (value >= 1 ? null : "1 use at least; empty for no limit.")}
              onChange={(uses) => patch(i, { uses: Math.round(uses) })}
              onClear={() => patch(i, { uses: null })}
              hint="empty: no limit"
            />
          </FieldRow>
          <div className="grid max-w-3xl grid-cols-2 gap-x-4">
            <QuantityField
              label={`${rating.name}: the engine gives`}
              kind="power"
              value={rating.engine_W}
              check={anyPositive}
              onChange={(engine_W) => patch(i, { engine_W })}
              hint="as rated, at sea level"
            />
            <QuantityField
              label={`${rating.name}: the gearbox takes`}
              kind="power"
              value={rating.gearbox_W}
              check={anyPositive}
              onChange={(gearbox_W) => patch(i, { gearbox_W })}
              hint="from one engine"
            />
          </div>
        </div>
      ))}
      {fault && (
        <p role="alert" className="col-span-full text-[14px] text-brick">
          {fault}
        </p>
      )}
      <button
        type="button"
        className="btn btn-quiet justify-self-start"
        disabled={ratings.length >= 8}
        onClick={() =>
          set([{ ...ratings[0], name: `rating ${ratings.length + 1}`, duration_s: 30, uses: 3 }, ...ratings])
        }
      >
        <Plus size={15} aria-hidden="true" /> Rating
      </button>
    </Group>
  );
}

/** What the manual prints of the hover on one engine. */
function OneEngineHover() {
  const edited = useEditedHelicopter();
  const { document, change } = edited;
  const { handbook, engines } = document;
  const hover = handbook.oneEngineHover;
  const set = (oneEngineHover: typeof hover) =>
    change((now) => ({ ...now, handbook: { ...now.handbook, oneEngineHover } }));
  const last = engines.ratings[engines.ratings.length - 1].name;
  return (
    <Group title="Hover ceiling with one engine, from the manual’s chart">
      <CheckField
        label="The manual has one"
        checked={hover !== null}
        onChange={(has) =>
          set(
            has
              ? {
                  mass_kg: handbook.mass_kg,
                  altitude_m: 0,
                  deviation_K: 0,
                  skids_m: null,
                  rating: engines.ratings[0]?.name ?? last,
                }
              : null,
          )
        }
      />
      {hover && (
        <>
          <QuantityField
            label="Hovers with"
            kind="mass"
            value={hover.mass_kg}
            check={anyPositive}
            onChange={(mass_kg) => set({ ...hover, mass_kg })}
            hint={noteAt(edited, "handbook.oneEngineHover") ?? "greatest mass"}
          />
          <QuantityField
            label="At pressure altitude"
            kind="height"
            value={hover.altitude_m}
            check={(value) => (value >= -500 && value <= 8000 ? null : "−500 to 8 000 m.")}
            onChange={(altitude_m) => set({ ...hover, altitude_m })}
          />
          <NumberField
            label="Off standard temperature"
            value={hover.deviation_K}
            unit="°C"
            digits={0}
            step={1}
            check={(value) => (Math.abs(value) <= 60 ? null : "−60 to 60 °C.")}
            onChange={(deviation_K) => set({ ...hover, deviation_K })}
          />
          <QuantityField
            label="Skids above the ground"
            kind="height"
            value={hover.skids_m}
            check={(value) => (value >= 0 && value <= 30 ? null : "0 to 30 m; empty out of ground effect.")}
            step={M_PER_FT}
            onChange={(skids_m) => set({ ...hover, skids_m })}
            onClear={() => set({ ...hover, skids_m: null })}
            hint="empty: out of ground effect"
          />
          <ChoiceField
            label="On the rating"
            value={hover.rating}
            onChange={(rating) => set({ ...hover, rating })}
            choices={engines.ratings.map(({ name }) => ({ value: name, label: name }))}
          />
        </>
      )}
    </Group>
  );
}
