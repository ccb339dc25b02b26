"use client";
import type { Gyroplane } from "@/core/aircraft/gyroplane";
import { degrees, radians } from "@/core/quantities/angle";
import { fitGyroplane, gyroplaneResiduals } from "@/core/rotor/gyroplane-fit";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { Group } from "../Group";
import { IdentityFields, MassFields } from "../IdentityFields";
import { noteAt } from "../notes";
import { QuantityNote } from "../QuantityNote";
import { RotorFit } from "../RotorFit";
import { useEditedGyroplane } from "../useEdited";

/** Any number goes in while it is typed; what it makes of the whole document is said beside the field. */
const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

type Book = Gyroplane["handbook"];

/** The gyroplane as its manual groups it, and the fit to it. */
export function GyroplaneForm() {
  const edited = useEditedGyroplane();
  const { document, change } = edited;
  const { handbook, rotor, body, tail, engines, limits } = document;
  const setBook = (patch: Partial<Book>) => change((now) => ({ ...now, handbook: { ...now.handbook, ...patch } }));
  const setRotor = (patch: Partial<Gyroplane["rotor"]>) =>
    change((now) => ({ ...now, rotor: { ...now.rotor, ...patch } }));
  const setBody = (patch: Partial<Gyroplane["body"]>) => change((now) => ({ ...now, body: { ...now.body, ...patch } }));
  const setTail = (patch: Partial<Gyroplane["tail"]>) => change((now) => ({ ...now, tail: { ...now.tail, ...patch } }));
  const book = (
    label: string,
    key: Exclude<keyof Book, "mass_kg" | "bestGlideRatio">,
    kind: "speed" | "verticalSpeed",
    hint: string,
  ) => (
    <QuantityNote
      edited={edited}
      label={label}
      path={`handbook.${key}`}
      kind={kind}
      value={handbook[key]}
      hint={hint}
      onChange={(value) => setBook({ [key]: value })}
      onClear={() => setBook({ [key]: null })}
    />
  );
  const area = (label: string, path: string, value: number, set: (value: number) => void, hint: string) => (
    <QuantityField
      label={label}
      kind="area"
      value={value}
      digits={3}
      step={0.01}
      check={(typed) => (typed >= 0 ? null : "0 or more.")}
      onChange={set}
      hint={noteAt(edited, path) ?? hint}
    />
  );
  const plain = (
    label: string,
    path: string,
    value: number,
    unit: string,
    digits: number,
    set: (value: number) => void,
    hint: string,
  ) => (
    <NumberField
      label={label}
      value={value}
      unit={unit}
      digits={digits}
      step={10 ** -digits}
      check={(typed) => (typed >= 0 ? null : "0 or more.")}
      onChange={set}
      hint={noteAt(edited, path) ?? hint}
    />
  );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Handbook">
      <RotorFit
        edited={edited}
        from="Blade drag from the least sink, drag areas from best glide and vertical descent."
        residuals={gyroplaneResiduals}
        fit={fitGyroplane}
      />
      <IdentityFields />
      <Group title="Masses">
        <MassFields />
      </Group>
      <Group title="Engine stopped, at the mass it is printed for">
        <QuantityNote
          edited={edited}
          label="Mass of these figures"
          path="handbook.mass_kg"
          kind="mass"
          value={handbook.mass_kg}
          onChange={(mass_kg) => setBook({ mass_kg })}
          hint="usually the maximum"
        />
        {book("Best glide", "bestGlideSpeed_mps", "speed", "engine stopped, still air")}
        <QuantityField
          label="Best glide ratio"
          kind="glide"
          value={handbook.bestGlideRatio}
          step={0.1}
          check={anyPositive}
          onChange={(bestGlideRatio) => setBook({ bestGlideRatio })}
          onClear={() => setBook({ bestGlideRatio: null })}
          hint={noteAt(edited, "handbook.bestGlideRatio") ?? "distance over height"}
        />
        {book("Speed of least sink", "leastSinkSpeed_mps", "speed", "engine stopped")}
        {book("Least sink", "leastSink_mps", "verticalSpeed", "engine stopped")}
        {book("Vertical descent", "verticalSink_mps", "verticalSpeed", "without airspeed")}
        {book("Flare from", "flareSpeed_mps", "speed", "approach speed, engine stopped")}
        {book("Least level speed", "leastLevelSpeed_mps", "speed", "full power")}
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
      </Group>
      <Group title="Rotor and body">
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
        {plain("Blades", "rotor.blades", rotor.blades, "", 0, (blades) => setRotor({ blades: Math.round(blades) }), "")}
        <QuantityField
          label="Chord of a blade"
          kind="dimension"
          value={rotor.chord_m}
          digits={3}
          step={0.005}
          check={anyPositive}
          onChange={(chord_m) => setRotor({ chord_m })}
          hint={noteAt(edited, "rotor.chord_m")}
        />
        {plain(
          "Blade pitch",
          "rotor.pitch_rad",
          degrees(rotor.pitch_rad),
          "°",
          1,
          (shown) => setRotor({ pitch_rad: radians(shown) }),
          "fixed",
        )}
        {plain(
          "Rotor’s inertia",
          "rotor.polarInertia_kgm2",
          rotor.polarInertia_kgm2,
          "kg m²",
          0,
          (polarInertia_kgm2) => setRotor({ polarInertia_kgm2 }),
          "",
        )}
        {plain(
          "Blade drag, over smooth",
          "rotor.bladeDragFactor",
          rotor.bladeDragFactor,
          "",
          2,
          (bladeDragFactor) => setRotor({ bladeDragFactor }),
          "the fit sets it",
        )}
        {area(
          "Drag area along",
          "body.flatPlateAlong_m2",
          body.flatPlateAlong_m2,
          (flatPlateAlong_m2) => setBody({ flatPlateAlong_m2 }),
          "without the propeller; the fit sets it",
        )}
        {area(
          "Drag area straight down",
          "body.flatPlateAcross_m2",
          body.flatPlateAcross_m2,
          (flatPlateAcross_m2) => setBody({ flatPlateAcross_m2 }),
          "the fit sets it",
        )}
        {area(
          "Drag area of the stopped propeller",
          "body.stoppedPropeller_m2",
          body.stoppedPropeller_m2,
          (stoppedPropeller_m2) => setBody({ stoppedPropeller_m2 }),
          "",
        )}
        <QuantityField
          label="Idle thrust, standing"
          kind="force"
          value={body.idleThrust_N}
          check={(value) => (value >= 0 ? null : "0 or more.")}
          onChange={(idleThrust_N) => setBody({ idleThrust_N })}
          hint={noteAt(edited, "body.idleThrust_N")}
        />
        <QuantityNote
          edited={edited}
          label="Idle thrust gone at"
          path="body.idleNone_mps"
          kind="speed"
          value={body.idleNone_mps}
          onChange={(idleNone_mps) => setBody({ idleNone_mps })}
          hint="above it the idling propeller drags"
        />
      </Group>
      <Group title="Engine and tail">
        <QuantityField
          label="Power"
          kind="power"
          value={engines.power_W}
          check={anyPositive}
          onChange={(power_W) => change((now) => ({ ...now, engines: { ...now.engines, power_W } }))}
          hint="full power at sea level"
        />
        {plain(
          "Turns of the propeller",
          "engines.speed_rpm",
          engines.speed_rpm,
          "rpm",
          0,
          (speed_rpm) => change((now) => ({ ...now, engines: { ...now.engines, speed_rpm } })),
          "at full power",
        )}
        <QuantityField
          label="Propeller diameter"
          kind="dimension"
          value={engines.propeller.diameter_m}
          step={0.01}
          check={anyPositive}
          onChange={(diameter_m) =>
            change((now) => ({
              ...now,
              engines: { ...now.engines, propeller: { ...now.engines.propeller, diameter_m } },
            }))
          }
          hint="tip to tip"
        />
        {area("Fin", "tail.finArea_m2", tail.finArea_m2, (finArea_m2) => setTail({ finArea_m2 }), "")}
        {area("Rudder", "tail.rudderArea_m2", tail.rudderArea_m2, (rudderArea_m2) => setTail({ rudderArea_m2 }), "")}
        {plain(
          "Rudder travel",
          "tail.rudderMax_rad",
          degrees(tail.rudderMax_rad),
          "°",
          0,
          (shown) => setTail({ rudderMax_rad: radians(shown) }),
          "to each side",
        )}
        <QuantityField
          label="Tail’s arm"
          kind="dimension"
          value={tail.arm_m}
          step={0.05}
          check={anyPositive}
          onChange={(arm_m) => setTail({ arm_m })}
          hint={noteAt(edited, "tail.arm_m") ?? "mast to rudder"}
        />
        {plain(
          "Share of the swirl",
          "tail.swirlShare",
          tail.swirlShare,
          "",
          2,
          (swirlShare) => setTail({ swirlShare }),
          "that meets the tail",
        )}
      </Group>
    </div>
  );
}
