"use client";
import type { SegmentName } from "@/core/take-off/segments";
import type { TakeOffInput } from "@/core/take-off/take-off-day";
import type { SegmentsAnswer } from "@/core/take-off/take-off-answer";
import { formatNumber } from "@/core/quantities/units";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

const NAMES: Record<SegmentName, string> = {
  first: "First: gear down, V_2",
  second: "Second: gear up, V_2",
  final: "Final: clean, continuous thrust",
  approach: "Approach, one engine",
  landing: "Landing climb, both engines",
};

const askSegments: Ask<TakeOffInput, SegmentsAnswer> = (core, input) => core.takeOffSegments(input);

/** The segments' gradients against the least asked for, and the mass that climb allows by height and temperature. */
export function SegmentsView({ input }: { input: TakeOffInput }) {
  const format = useFormat();
  const outcome = outcomeOf(useAnswer(input, askSegments, "long"));
  if (!outcome) return <p className="p-4 text-ink2">Computing …</p>;
  if (!outcome.ok) return <p className="p-4 text-brick">{outcome.issue.message}</p>;
  const { segments, today, table } = outcome.value;
  const heavy = today.mass_kg !== null && input.mass_kg > today.mass_kg;
  const source = {
    calculation: {
      name: "segments",
      input: { aircraft: input.aircraft, mass_kg: input.mass_kg, altitude_m: input.runway.elevation_m, air: input.air },
    },
  };
  return (
    <div className="min-h-0 overflow-auto px-4 py-3" tabIndex={0} role="region" aria-label="Segments and mass">
      <p className={`mb-3 ${heavy || today.mass_kg === null ? "text-brick" : ""}`} role={heavy ? "alert" : undefined}>
        <strong className={heavy || today.mass_kg === null ? "text-[22px]" : ""}>
          {today.mass_kg === null
            ? "No mass meets the gradients."
            : heavy
              ? `Too heavy by ${format("mass", input.mass_kg - today.mass_kg)}.`
              : "It meets every gradient."}
        </strong>{" "}
        {today.mass_kg !== null && (
          <>
            Climb allows{" "}
            <Figure title="Mass limited by climb" figure="limit" source={source} className="font-semibold">
              {format("mass", today.mass_kg)}
            </Figure>{" "}
            at {input.runway.name} today
            {today.binding === null ? ", the structure’s maximum" : `: the ${today.binding} segment binds`}.
          </>
        )}
      </p>
      <table className="w-full max-w-[640px] text-right text-[14px]">
        <caption className="pb-1 text-left text-[13px] text-ink2">
          At {format("mass", input.mass_kg)}; least gradients of two-engine transports, 14 CFR 25.119 and 25.121
        </caption>
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="text-left font-normal">segment</th>
            <th className="font-normal">speed</th>
            <th className="font-normal">gradient</th>
            <th className="font-normal">least</th>
            <th className="font-normal">
              <span className="sr-only">met</span>
            </th>
          </tr>
        </thead>
        <tbody className="num">
          {segments.map((segment) => (
            <tr key={segment.name} className="border-t border-rule">
              <th className="text-left font-sans font-normal">{NAMES[segment.name]}</th>
              <td>{format("speed", segment.eas_mps)}</td>
              <td>
                <Figure
                  title={NAMES[segment.name]}
                  figure={segment.name}
                  source={source}
                  className={segment.complies ? "" : "text-brick"}
                >
                  {formatNumber(segment.gradient * 100, 1)} %
                </Figure>
              </td>
              <td>{segment.name === "first" ? "above 0" : `${formatNumber(segment.required * 100, 1)} %`}</td>
              <td className={`font-sans ${segment.complies ? "text-pine" : "text-brick"}`}>
                {segment.complies ? "met" : "not met"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="mt-5 font-bold">Mass that climb allows, by altitude and temperature</h2>
      <table className="mt-1 w-full max-w-[640px] text-right text-[14px]">
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="text-left font-normal">altitude</th>
            {table[0]?.limits.map(({ deviation_K }) => (
              <th key={deviation_K} className="font-normal">
                ISA {deviation_K < 0 ? "−" : "+"}
                {Math.abs(deviation_K)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="num">
          {table.map((row) => (
            <tr key={row.altitude_m} className="border-t border-rule">
              <th className="text-left font-normal">{format("height", row.altitude_m)}</th>
              {row.limits.map(({ deviation_K, limit }) => (
                <td
                  key={deviation_K}
                  className={limit.mass_kg === null || limit.mass_kg < input.mass_kg ? "text-brick" : ""}
                >
                  {limit.mass_kg === null ? "none" : limit.binding === null ? "maximum" : format("mass", limit.mass_kg)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 max-w-[640px] text-[13px] text-ink2">
        “Maximum” is the structure’s limit. Runway length, obstacles, brakes and tyres limit it besides; brick is less
        than the mass of today.
      </p>
    </div>
  );
}
