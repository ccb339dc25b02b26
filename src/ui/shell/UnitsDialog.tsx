"use client";
import { type QuantityKind, UNITS } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { tellPreferences } from "@/ui/library/preferences";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { useUnits } from "@/ui/kit/units/units-store";

const KIND_WORDS: Record<QuantityKind, string> = {
  speed: "Speed",
  height: "Height and altitude",
  distance: "Distance",
  length: "Runway length",
  mass: "Mass",
  pressure: "Pressure",
  temperature: "Temperature",
  verticalSpeed: "Rate of descent",
  force: "Force and thrust",
  power: "Engine power",
  glide: "Best glide",
  area: "Wing area",
  dimension: "Wing span and arms",
  volume: "Fuel",
};

/** The units that everything is shown and typed in. */
export function UnitsDialog() {
  const { units, choose, reset } = useUnits();
  return (
    <Panel name="units" title="Units">
      <div className="grid grid-cols-2 gap-3">
        {(Object.keys(UNITS) as QuantityKind[]).map((kind) => (
          <ChoiceField
            key={kind}
            label={KIND_WORDS[kind]}
            value={units[kind]}
            choices={Object.entries(UNITS[kind]).map(([value, unit]) => ({ value, label: unit.label }))}
            onChange={(unit) => {
              choose(kind, unit);
              tellPreferences();
            }}
          />
        ))}
      </div>
      <button
        type="button"
        className="btn btn-quiet mt-4"
        onClick={() => {
          reset();
          tellPreferences();
        }}
      >
        Back to the usual ones
      </button>
    </Panel>
  );
}
