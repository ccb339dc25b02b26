"use client";
import { type LatLon } from "@/core/earth/geodesic";
import {
  ApproachObstacle,
  Circuit,
  DeclaredDistances,
  type StripEnd,
  StripEnd as EndSchema,
} from "@/core/places/place";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { PositionField } from "@/ui/kit/forms/PositionField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";

const check = {
  elevation: checkBy(EndSchema.shape.elevation_m),
  displaced: checkBy(EndSchema.shape.displaced_m),
  designator: checkText(EndSchema.shape.designator),
  obstacleName: checkText(ApproachObstacle.shape.name),
  obstacleDistance: checkBy(ApproachObstacle.shape.distance_m),
  obstacleHeight: checkBy(ApproachObstacle.shape.height_m),
  circuit: checkBy(Circuit.shape.height_m),
  declared: checkBy(DeclaredDistances.shape.lda_m),
};

const DISTANCES = [
  ["tora_m", "TORA"],
  ["toda_m", "TODA"],
  ["asda_m", "ASDA"],
  ["lda_m", "LDA"],
] as const;
/** A circuit of a thousand feet, an obstacle that stands near. */
const USUAL_CIRCUIT_M = 304.8;
const USUAL_OBSTACLE = { name: "Trees", distance_m: 100, height_m: 10 };

/** One end of a strip. */
export function EndFields({
  end,
  length_m,
  prepared,
  onChange,
  onMove,
}: {
  end: StripEnd;
  length_m: number;
  /** A runway has declared distances and a circuit; a field has none. */
  prepared: boolean;
  onChange: (change: Partial<StripEnd>) => void;
  onMove: (threshold: LatLon) => void;
}) {
  const { obstacle, circuit, declared } = end;
  return (
    <fieldset className="flex min-w-0 flex-col gap-2 border-t border-rule pt-1">
      <legend className="pr-2 font-semibold">
        {prepared ? `Landing ${end.designator}` : `Landing towards ${end.designator}`}
      </legend>
      <TextField
        label="Designator"
        value={end.designator}
        fault={check.designator(end.designator)}
        onChange={(designator) => onChange({ designator })}
      />
      <PositionField label="Threshold" value={end.threshold} onChange={onMove} />
      <QuantityField
        label="Elevation"
        kind="height"
        value={end.elevation_m}
        check={check.elevation}
        onChange={(elevation_m) => onChange({ elevation_m })}
      />
      <CheckField label="usable in this direction" checked={end.usable} onChange={(usable) => onChange({ usable })} />
      {prepared && (
        <QuantityField
          label="Threshold displaced by"
          kind="length"
          value={end.displaced_m}
          check={check.displaced}
          onChange={(displaced_m) => onChange({ displaced_m })}
        />
      )}
      <CheckField
        label="something stands in the approach"
        checked={obstacle !== null}
        onChange={(wanted) => onChange({ obstacle: wanted ? USUAL_OBSTACLE : null })}
      />
      {obstacle && (
        <div className="flex flex-col gap-2 border-l-2 border-rule pl-3">
          <TextField
            label="What it is"
            value={obstacle.name}
            fault={check.obstacleName(obstacle.name)}
            onChange={(name) => onChange({ obstacle: { ...obstacle, name } })}
          />
          <QuantityField
            label="Before the threshold"
            kind="length"
            value={obstacle.distance_m}
            check={check.obstacleDistance}
            onChange={(distance_m) => onChange({ obstacle: { ...obstacle, distance_m } })}
          />
          <QuantityField
            label="Height above it"
            kind="height"
            value={obstacle.height_m}
            check={check.obstacleHeight}
            onChange={(height_m) => onChange({ obstacle: { ...obstacle, height_m } })}
          />
        </div>
      )}
      {prepared && (
        <>
          <ChoiceField
            label="Circuit"
            value={circuit?.side ?? "none"}
            choices={[
              { value: "none", label: "not known" },
              { value: "left", label: "left" },
              { value: "right", label: "right" },
            ]}
            onChange={(side) =>
              onChange({
                circuit: side === "none" ? null : { side, height_m: circuit?.height_m ?? USUAL_CIRCUIT_M },
              })
            }
          />
          {circuit && (
            <QuantityField
              label="Circuit height, over the field"
              kind="height"
              value={circuit.height_m}
              check={check.circuit}
              onChange={(height_m) => onChange({ circuit: { ...circuit, height_m } })}
            />
          )}
          <CheckField
            label="has declared distances"
            checked={declared !== null}
            onChange={(wanted) => {
              const usual_m = Math.max(Math.round(length_m - end.displaced_m), 1);
              onChange({
                declared: wanted ? { tora_m: usual_m, toda_m: usual_m, asda_m: usual_m, lda_m: usual_m } : null,
              });
            }}
          />
          {declared && (
            <div className="grid grid-cols-2 gap-2 border-l-2 border-rule pl-3 [&_input]:w-20">
              {DISTANCES.map(([key, label]) => (
                <QuantityField
                  key={key}
                  label={label}
                  kind="length"
                  value={declared[key]}
                  check={check.declared}
                  onChange={(value) => onChange({ declared: { ...declared, [key]: value } })}
                />
              ))}
            </div>
          )}
        </>
      )}
    </fieldset>
  );
}
