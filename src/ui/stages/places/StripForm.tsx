"use client";
import { destination } from "@/core/earth/geodesic";
import { magneticVariation } from "@/core/earth/magnetic-variation";
import { GroundSurface, type Strip, Strip as StripSchema, type StripEnd } from "@/core/places/place";
import { magneticHeading_rad, stripLine } from "@/core/places/strip-line";
import { threeFigures, wrapTurn } from "@/core/quantities/angle";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { EndFields } from "./EndFields";

const widthCheck = checkBy(StripSchema.shape.width_m);
const lengthCheck = (length_m: number) =>
  length_m >= 50 && length_m <= 20_000 ? null : "A strip is 50 m to 20 000 m long.";
const headingCheck = (heading_rad: number) =>
  heading_rad >= 0 && heading_rad <= 2 * Math.PI ? null : "A direction is 0° to 360°.";

const SURFACES = GroundSurface.options.map((value) => ({ value, label: value }));

/** A runway or the strip of a site: how it lies, and its two ends. */
export function StripForm({
  strip,
  prepared,
  onChange,
  onMove,
}: {
  strip: Strip;
  prepared: boolean;
  onChange: (strip: Strip) => void;
  /** The ends lie elsewhere: names of the ends follow. */
  onMove: (ends: readonly [StripEnd["threshold"], StripEnd["threshold"]]) => void;
}) {
  const [a, b] = strip.ends;
  const { length_m, headingsTrue_rad, slope } = stripLine(strip.ends);
  const day = new Date();
  const { variation_rad } = magneticVariation(a.threshold, day);
  const magnetic_rad = magneticHeading_rad(a.threshold, headingsTrue_rad[0], day);
  const place = (headingTrue_rad: number, length: number) =>
    onMove([a.threshold, destination(a.threshold, headingTrue_rad, length)]);
  const changeEnd = (i: 0 | 1, change: Partial<StripEnd>) => {
    const ends: Strip["ends"] = i === 0 ? [{ ...a, ...change }, b] : [a, { ...b, ...change }];
    onChange({ ...strip, ends });
  };
  return (
    <div className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 [&_input.num]:w-24">
        <AngleField
          label={`Direction ${a.designator}, magnetic`}
          value={magnetic_rad}
          step={1}
          check={headingCheck}
          hint={`${threeFigures(headingsTrue_rad[0])}° true`}
          onChange={(value) => place(wrapTurn(value + variation_rad), length_m)}
        />
        <QuantityField
          label="Length between the ends"
          kind="length"
          value={length_m}
          check={lengthCheck}
          hint={Math.abs(slope) >= 0.001 ? `rises ${(slope * 100).toFixed(1)} % towards ${b.designator}` : undefined}
          onChange={(value) => place(headingsTrue_rad[0], value)}
        />
        <QuantityField
          label="Width"
          kind="length"
          value={strip.width_m}
          check={widthCheck}
          onChange={(width_m) => onChange({ ...strip, width_m })}
        />
        {strip.surface !== "water" && (
          <ChoiceField
            label="Surface"
            value={strip.surface}
            choices={SURFACES}
            onChange={(surface) => onChange({ ...strip, surface })}
          />
        )}
      </div>
      <div className="grid grid-cols-2 gap-x-3 [&_input.num]:w-20 [&_input.field]:min-w-0">
        <EndFields
          end={a}
          length_m={length_m}
          prepared={prepared}
          onChange={(change) => changeEnd(0, change)}
          onMove={(threshold) => onMove([threshold, b.threshold])}
        />
        <EndFields
          end={b}
          length_m={length_m}
          prepared={prepared}
          onChange={(change) => changeEnd(1, change)}
          onMove={(threshold) => onMove([a.threshold, threshold])}
        />
      </div>
    </div>
  );
}
