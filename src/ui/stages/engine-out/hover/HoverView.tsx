"use client";
import type { HoverAnswer } from "@/core/rotor/hover-answer";
import type { HoverAsked } from "@/core/rotor/hover-answer";
import { formatNumber } from "@/core/quantities/units";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useHover, useHoverAsked } from "@/ui/answers/useHoverAnswer";
import { PowerChart, bandColour } from "./PowerChart";

/** What the registry is asked with for the working of a hover. */
export function hoverSource({ needed_s, ...asked }: HoverAsked) {
  return { calculation: { name: "oei-hover", input: { ...asked, needed_s } } };
}

/** Power required against each rating, what each leaves in hand, and what changes it. */
export function HoverView() {
  const { value, stale } = useHover();
  const asked = useHoverAsked();
  if (!value) return <p className="p-4 text-ink2">Computing …</p>;
  return (
    <div
      className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] overflow-auto"
      aria-busy={stale}
      tabIndex={0}
      role="region"
      aria-label="Hover on one engine"
    >
      <PowerChart answer={value} wind_mps={asked.wind_mps} />
      <div className="grid grid-cols-[minmax(0,1fr)_210px] gap-5 border-t border-rule px-4 py-2">
        <Ratings answer={value} />
        <Factors answer={value} />
      </div>
    </div>
  );
}

function Ratings({ answer }: { answer: HoverAnswer }) {
  const format = useFormat();
  const asked = useHoverAsked();
  const { ratings } = answer.hover;
  return (
    <DataTable
      label="Ratings of one engine in this hover"
      className="w-full self-start text-[14px]"
      rows={ratings}
      rowKey={({ rating }) => rating.name}
      columns={[
        {
          name: "rating",
          cell: ({ rating }, i) => (
            <span className="flex items-center gap-1.5 whitespace-nowrap">
              <span
                aria-hidden="true"
                className="inline-block h-3 w-1.5"
                style={{ background: `var(--${bandColour(i ?? 0, ratings.length)})` }}
              />
              {rating.name}
            </span>
          ),
        },
        { name: "uses", cell: ({ rating }) => rating.uses ?? "any" },
        { name: "gives", cell: ({ available }) => format("power", available.power_W) },
        { name: "bound by", kind: "words", cell: ({ available }) => available.binds },
        {
          name: "in hand",
          tone: ({ margin_W }) => (margin_W < 0 ? "text-brick" : "text-pine"),
          cell: ({ margin_W }) => (
            <Figure title="Power in hand" figure="ratings" source={hoverSource(asked)}>
              {margin_W < 0 ? `short ${format("power", -margin_W, "up")}` : format("power", margin_W, "down")}
            </Figure>
          ),
        },
        { name: "hovers with", cell: ({ greatestMass_kg }) => format("mass", greatestMass_kg, "down") },
        {
          name: "level from",
          cell: ({ level }) =>
            level === null ? "never" : level.slowest_mps === 0 ? "hover" : format("speed", level.slowest_mps, "up"),
        },
      ]}
    />
  );
}

/** What each thing does to the margin, the most first. */
function Factors({ answer }: { answer: HoverAnswer }) {
  const format = useFormat();
  return (
    <section aria-label="What changes it">
      <h2 className="text-[14px] font-bold">What changes the power in hand</h2>
      <DataTable
        headClassName="sr-only"
        className="w-full text-[14px]"
        rows={answer.factors}
        rowKey={({ name }) => name}
        columns={[
          { name: "change", cell: ({ name }) => name },
          {
            name: "power in hand",
            tone: ({ change_W }) => (change_W < 0 ? "text-brick" : "text-pine"),
            cell: ({ change_W }) => `${change_W < 0 ? "−" : "+"}${format("power", Math.abs(change_W))}`,
          },
        ]}
      />
      <p className="mt-1 text-[13px] text-ink2">
        On the strongest rating, a rotor speed of{" "}
        {formatNumber(answer.droop.reduce((a, b) => (b.margin_W > a.margin_W ? b : a)).nr * 100)} % leaves the most; at
        90 % it is {format("power", (answer.droop.at(-1)?.margin_W ?? 0) - answer.droop[0].margin_W)}.
      </p>
    </section>
  );
}
