"use client";
import type { SegmentName } from "@/core/take-off/segments";
import type { TakeOffQuestion } from "@/core/take-off/take-off-day";
import type { SegmentsAnswer } from "@/core/take-off/take-off-answer";
import { formatNumber } from "@/core/quantities/units";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

const NAMES: Record<SegmentName, string> = {
  first: "First: gear down, V_2",
  second: "Second: gear up, V_2",
  final: "Final: clean, continuous thrust",
  approach: "Approach, one engine",
  landing: "Landing climb, both engines",
};

const askSegments: Ask<TakeOffQuestion, SegmentsAnswer> = (core, question) => core.takeOffSegments(question);

/** The segments' gradients against the least asked for, and the mass that climb allows by height and temperature. */
export function SegmentsView({ question }: { question: TakeOffQuestion }) {
  const format = useFormat();
  const outcome = outcomeOf(useAnswer(question, askSegments, "long"));
  if (!outcome) return <p className="p-4 text-ink2">Computing …</p>;
  if (!outcome.ok) return <p className="p-4 text-brick">{outcome.issue.message}</p>;
  const { segments, today, table } = outcome.value;
  const heavy = today.mass_kg !== null && question.mass_kg > today.mass_kg;
  const source = {
    calculation: {
      name: "segments",
      input: {
        aircraft: question.aircraft,
        mass_kg: question.mass_kg,
        altitude_m: question.runway.elevation_m,
        air: question.air,
      },
    },
  };
  return (
    <div className="min-h-0 overflow-auto px-4 py-3" tabIndex={0} role="region" aria-label="Segments and mass">
      <p className={`mb-3 ${heavy || today.mass_kg === null ? "text-brick" : ""}`} role={heavy ? "alert" : undefined}>
        <strong className={heavy || today.mass_kg === null ? "text-[22px]" : ""}>
          {today.mass_kg === null
            ? "No mass meets the gradients."
            : heavy
              ? `Too heavy by ${format("mass", question.mass_kg - today.mass_kg)}.`
              : "It meets every gradient."}
        </strong>{" "}
        {today.mass_kg !== null && (
          <>
            Climb allows{" "}
            <Figure title="Mass limited by climb" figure="limit" source={source} className="font-semibold">
              {format("mass", today.mass_kg)}
            </Figure>{" "}
            at {question.runway.name} today
            {today.binding === null ? ", the structure’s maximum" : `: the ${today.binding} segment binds`}.
          </>
        )}
      </p>
      <DataTable
        className="w-full max-w-[640px] text-[14px]"
        caption={`At ${format("mass", question.mass_kg)}; least gradients of two-engine transports, 14 CFR 25.119 and 25.121`}
        rows={segments}
        rowKey={(segment) => segment.name}
        columns={[
          { name: "segment", cell: (segment) => NAMES[segment.name] },
          { name: "speed", cell: (segment) => format("speed", segment.eas_mps) },
          {
            name: "gradient",
            cell: (segment) => (
              <Figure
                title={NAMES[segment.name]}
                figure={segment.name}
                source={source}
                className={segment.complies ? "" : "text-brick"}
              >
                {formatNumber(segment.gradient * 100, 1)} %
              </Figure>
            ),
          },
          {
            name: "least",
            cell: ({ name, required }) => (name === "first" ? "above 0" : `${formatNumber(required * 100, 1)} %`),
          },
          {
            name: "met",
            head: <span className="sr-only">met</span>,
            kind: "words",
            cell: ({ complies }) => (complies ? "met" : "not met"),
            tone: ({ complies }) => (complies ? "text-pine" : "text-brick"),
          },
        ]}
      />
      <h2 className="mt-5 font-bold">Mass that climb allows, by altitude and temperature</h2>
      <DataTable
        className="mt-1 w-full max-w-[640px] text-[14px]"
        rows={table}
        rowKey={(row) => row.altitude_m}
        columns={[
          {
            name: "altitude",
            kind: "figure",
            className: "!text-left",
            cell: (row) => format("height", row.altitude_m),
          },
          ...(table[0]?.limits ?? []).map(({ deviation_K }, i): Column<(typeof table)[number]> => ({
            name: `ISA ${deviation_K < 0 ? "−" : "+"}${Math.abs(deviation_K)}`,
            cell: ({ limits }) => {
              const { mass_kg, binding } = limits[i].limit;
              return mass_kg === null ? "none" : binding === null ? "maximum" : format("mass", mass_kg);
            },
            tone: ({ limits }) => {
              const { mass_kg } = limits[i].limit;
              return mass_kg === null || mass_kg < question.mass_kg ? "text-brick" : "";
            },
          })),
        ]}
      />
      <p className="mt-1 max-w-[640px] text-[13px] text-ink2">
        “Maximum” is the structure’s limit. Runway length, obstacles, brakes and tyres limit it besides; brick is less
        than the mass of today.
      </p>
    </div>
  );
}
