"use client";
import { workingOfEnd } from "@/ui/answers/workings";
import { type ReactNode, useState } from "react";
import type { Site } from "@/core/landing/sites";
import { SCREEN_M } from "@/core/landing/landing-length";
import { degrees, threeFigures } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { LandingPlan } from "@/core/situation/landing-plan";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { useVariation } from "@/ui/situation/useVariation";
import { NoAnswer } from "./NoAnswer";
import { whereInWords } from "./landing-words";
import { formatMargin } from "@/ui/kit/units/margin";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { RULES, VERDICT_WORDS, reasonInWords } from "./site-words";
import { useLandingPlan } from "./useLandingPlan";
import { useReachQuestion } from "@/ui/answers/useReachQuestion";
import { useSites } from "./useSites";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

const TONE = { good: "text-ink2", caution: "text-ochre", bad: "text-brick" } as const;
const factorCheck = checkBy(LandingPlan.shape.ownFactor);
const tailwindCheck = checkBy(LandingPlan.shape.tailwindLimit_mps);
const crosswindCheck = checkBy(LandingPlan.shape.crosswindLimit_mps.unwrap());
const hourCheck = checkBy(LandingPlan.shape.utc_h.unwrap());
/** Places that fall short by more than this much of what there is are not listed. */
const NEAR_SHARE = 1;

/**
 * Which place is the one to land on: length, wind, obstacles, people, sun, with the reasons; one pinned, two compared.
 */
export function SitesView() {
  const ranked = useSites();
  const question = useReachQuestion();
  const [plan, set] = useLandingPlan();
  const { document } = useAeroplane();
  const shown = useReach(shownEnd);
  const pin = useReach((state) => state.pin);
  const heading_rad = useSituation((state) => state.current.heading_rad);
  const variation = useVariation();
  const [compared, setCompared] = useState<readonly string[]>([]);
  const format = useFormat();
  if (!ranked) return <NoAnswer />;
  const { sites, figures, sun } = ranked;
  const list = sites.filter(
    (site) =>
      site.verdict !== "short" || (site.reach.path && -site.reach.path.margin_m < NEAR_SHARE * site.reach.path.have_m),
  );
  const flaps = document.polar?.flaps ?? [];
  const two = compared.flatMap((id) => sites.find((site) => site.end.id === id) ?? []);
  const sourceOf = (site: Site): WorkingSource => ({
    calculation: { name: "sites", input: { ...question, ends: [site.end], explainEndId: site.end.id } },
  });
  const toggle = (id: string) =>
    setCompared((before) => (before.includes(id) ? before.filter((other) => other !== id) : [...before, id].slice(-2)));
  return (
    <div className="min-h-0 overflow-auto bg-sheet px-4 py-3" tabIndex={0} role="region" aria-label="Places to land">
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <div className="w-[270px]">
          <ChoiceField label="Length judged by" value={plan.rule} choices={RULES} onChange={(rule) => set({ rule })} />
        </div>
        {plan.rule === "own" && (
          <NumberField
            label="Factor"
            value={plan.ownFactor}
            unit="×"
            digits={2}
            step={0.05}
            check={factorCheck}
            onChange={(ownFactor) => set({ ownFactor })}
          />
        )}
        <div className="w-[130px]">
          <ChoiceField
            label="Landing flap"
            value={String(plan.flap ?? document.polar?.landingFlap ?? 0)}
            choices={flaps.map((flap, i) => ({ value: String(i), label: flap.name }))}
            onChange={(flap) => set({ flap: Number(flap) === document.polar?.landingFlap ? null : Number(flap) })}
          />
        </div>
        <QuantityField
          label="Tailwind limit"
          kind="speed"
          value={plan.tailwindLimit_mps}
          step={1}
          check={tailwindCheck}
          onChange={(tailwindLimit_mps) => set({ tailwindLimit_mps })}
        />
        <QuantityField
          label="Crosswind limit"
          kind="speed"
          value={plan.crosswindLimit_mps ?? ranked.crosswindLimit_mps}
          step={1}
          check={crosswindCheck}
          onChange={(crosswindLimit_mps) => set({ crosswindLimit_mps })}
          onClear={() => set({ crosswindLimit_mps: null })}
        />
        <NumberField
          label="Time for the sun"
          value={plan.utc_h}
          unit="h UTC"
          digits={1}
          step={1}
          check={hourCheck}
          onChange={(utc_h) => set({ utc_h })}
          onClear={() => set({ utc_h: null })}
        />
        <span className="pb-1.5">
          <CheckField label="Wet" checked={plan.wet} onChange={(wet) => set({ wet })} />
        </span>
      </div>
      {two.length === 2 && <Comparison two={two} sourceOf={sourceOf} onPin={pin} />}
      {list.length === 0 ? (
        <p>No landing place can be reached. Move the aircraft on the map of Paths, or plan a ditching.</p>
      ) : (
        <DataTable
          className="w-full text-[13px]"
          label="Places to land, the best first, with the reasons"
          rows={list}
          rowKey={(site) => site.end.id}
          rowProps={(site) => ({ className: `align-top ${site.end.id === shown?.endId ? "bg-mark" : ""}` })}
          columns={[
            {
              name: "place",
              className: "whitespace-nowrap",
              cell: ({ end }) => (
                <button
                  type="button"
                  className={`rounded text-left text-[14px] ${end.id === shown?.endId ? "font-bold" : ""}`}
                  aria-pressed={end.id === shown?.endId}
                  onClick={() => pin(end.id)}
                >
                  {end.name}
                </button>
              ),
            },
            {
              name: "length",
              kind: "words",
              cell: ({ verdict }) => VERDICT_WORDS[verdict].text,
              tone: ({ verdict }) => VERDICT_WORDS[verdict].tone,
            },
            {
              name: "in hand",
              cell: ({ end, reach }) =>
                reach.path && (
                  <Figure title={`What is left, ${end.name}`} figure="margin" source={workingOfEnd(end.id)}>
                    {formatMargin(reach.path.margin_m, format)}
                  </Figure>
                ),
            },
            { name: "needs", cell: (site) => <LengthNeeded site={site} source={sourceOf(site)} /> },
            {
              name: "has",
              cell: ({ end }) => (
                <>
                  {format("length", end.length_m)} <span className="font-sans text-ink2">{end.surface}</span>
                </>
              ),
            },
            {
              name: "compare",
              cell: ({ end }) => (
                <input
                  type="checkbox"
                  className="size-4 accent-harbour"
                  aria-label={`Compare ${end.name}`}
                  checked={compared.includes(end.id)}
                  onChange={() => toggle(end.id)}
                />
              ),
            },
          ]}
          under={(site) => (
            <>
              <span className="num text-ink2">
                {whereInWords(site.reach, heading_rad, variation?.variation_rad ?? null, format)}:{" "}
              </span>
              {site.reasons
                .filter((reason) => reason.code !== "too-short" || site.verdict !== "short")
                .map((reason, i) => (
                  <span key={reason.code} className={TONE[reason.tone]}>
                    {i > 0 && ", "}
                    {reasonInWords(reason, format)}
                  </span>
                ))}
            </>
          )}
        />
      )}
      <p className="mt-3 max-w-prose text-[13px] text-ink2">
        Stall with flap {figures.flapName} {format("speed", figures.stallEas_mps)}. Lengths are from{" "}
        {format("height", SCREEN_M)} over the threshold, or from what clears the obstacle by as much, to a stop.{" "}
        {sun
          ? sun.elevation_rad > 0
            ? `The sun stands at ${threeFigures(sun.azimuth_rad)}° true, ${Math.round(degrees(sun.elevation_rad))}° high.`
            : "The sun is down."
          : "Give a time of day and the sun is looked at too."}{" "}
        Among equals the order is by a score of our own; the leaflet is one authority’s rule, not yours unless you
        choose it. Leaving the aeroplane by parachute, or its own, is not planned here: see its manual.
      </p>
    </div>
  );
}

function LengthNeeded({ site, source }: { site: Site; source: WorkingSource }) {
  const format = useFormat();
  if (!site.length) return "–";
  return (
    <Figure title={`Length needed, ${site.end.name}`} figure="length" source={source}>
      {format("length", site.length.needed_m)}
    </Figure>
  );
}

/** Two places side by side, line by line. */
function Comparison({
  two,
  sourceOf,
  onPin,
}: {
  two: readonly Site[];
  sourceOf: (site: Site) => WorkingSource;
  onPin: (id: string) => void;
}) {
  const format = useFormat();
  const rows: readonly { name: string; of: (site: Site) => ReactNode; better?: (site: Site) => number }[] = [
    {
      name: "in hand on arrival",
      of: ({ reach: { path } }) => (path ? formatMargin(path.margin_m, format) : "–"),
      better: ({ reach: { path } }) => path?.margin_m ?? -Infinity,
    },
    {
      name: "length needed",
      of: (site) => <LengthNeeded site={site} source={sourceOf(site)} />,
      better: ({ length }) => -(length?.needed_m ?? Infinity),
    },
    { name: "length there is", of: ({ end }) => format("length", end.length_m), better: ({ end }) => end.length_m },
    {
      name: "to spare",
      of: ({ spare_m }) =>
        spare_m === null ? "–" : spare_m >= 0 ? format("length", spare_m) : `−${format("length", -spare_m)}`,
      better: ({ spare_m }) => spare_m ?? -Infinity,
    },
    {
      name: "touchdown over the ground",
      of: ({ length }) => (length ? format("speed", length.touchdownGroundSpeed_mps) : "–"),
      better: ({ length }) => -(length?.touchdownGroundSpeed_mps ?? Infinity),
    },
    {
      name: "crosswind",
      of: ({ reach }) => format("speed", Math.abs(reach.crosswind_mps)),
      better: ({ reach }) => -Math.abs(reach.crosswind_mps),
    },
    { name: "slope", of: ({ end }) => `${formatNumber(end.slope * 100, 1)} %`, better: ({ end }) => end.slope },
    {
      name: "obstacle",
      of: ({ end }) => (end.obstacle ? `${end.obstacle.name}, ${format("height", end.obstacle.height_m)}` : "none"),
      better: ({ end }) => -(end.obstacle?.height_m ?? 0),
    },
    { name: "surface, width", of: ({ end }) => `${end.surface}, ${format("length", end.width_m)}`, better: () => 0 },
    { name: "score (ours, smaller is better)", of: ({ score }) => formatNumber(score), better: ({ score }) => -score },
    { name: "notes", of: ({ end }) => <span className="font-sans text-[13px] text-ink2">{end.notes || "none"}</span> },
    {
      name: "choose",
      of: ({ end }) => (
        <button type="button" className="btn btn-quiet px-2 py-0.5 font-sans text-[13px]" onClick={() => onPin(end.id)}>
          Plan {end.name}
        </button>
      ),
    },
  ];
  return (
    <section className="mb-4 max-w-[680px] border-b border-rule pb-3" aria-label="Comparison">
      <DataTable
        rows={rows}
        rowKey={(row) => row.name}
        columns={[
          { name: "what", head: <span className="sr-only">what</span>, cell: (row) => row.name },
          ...two.map((site, i): Column<(typeof rows)[number]> => ({
            name: site.end.id,
            head: <strong className="text-[14px] font-semibold text-ink">{site.end.name}</strong>,
            cell: (row) => row.of(site),
            tone: ({ better }) =>
              better && better(site) > better(two[1 - i])
                ? "font-semibold text-pine"
                : better
                  ? ""
                  : "!whitespace-normal",
          })),
        ]}
      />
    </section>
  );
}
