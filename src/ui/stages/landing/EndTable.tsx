"use client";
import type { SiteVerdict } from "@/core/landing/site-verdict";
import { workingOfEnd } from "@/ui/answers/workings";
import { useEffect, useMemo, useRef } from "react";
import type { EndReach } from "@/core/landing/way-to-end";
import { assertNever } from "@/core/outcome";
import { oClock, threeFigures } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { fromSi, unitOf } from "@/core/quantities/units";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { STATUS_TONE, formatMargin } from "@/ui/kit/units/margin";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { VERDICT_WORDS } from "./site-words";
import { useSites } from "./useSites";
import { wayInWords } from "./way";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Shortfalls up to this are listed however little height there is, m (about 2,000 ft). */
const ALWAYS_LISTED_M = 610;

/** Ends that fall short by more than the height at hand are not near enough to matter. */
function nearEnough({ path, status }: EndReach): boolean {
  return status === "none" || (path !== null && path.margin_m > -Math.max(path.have_m, ALWAYS_LISTED_M));
}

/** Columns that a narrow window has no room for; the ledger and the map say the same. */
const WIDE_ONLY = "max-[1500px]:hidden";

/** Every landing end within reach or nearly so, the best first. */
export function EndTable() {
  const ends = useReach((state) => state.answer?.reach?.ends);
  const shown = useReach(shownEnd);
  const pin = useReach((state) => state.pin);
  const all = useLandingEnds();
  const strips = useMemo(() => new Map(all.map((end) => [end.id, end])), [all]);
  const sites = useSites();
  const verdicts = useMemo(() => new Map(sites?.sites.map((site) => [site.end.id, site.verdict])), [sites]);
  const heading_rad = useSituation((state) => state.current.heading_rad);
  const variation_rad = useVariation()?.variation_rad ?? null;
  const format = useFormat();
  const speedUnit = useUnits((state) => state.units.speed);
  const whereShort = ({ bearingTrue_rad, distance_m }: EndReach) =>
    `${oClock(bearingTrue_rad, heading_rad)} h${variation_rad === null ? "" : ` ${threeFigures(bearingTrue_rad - variation_rad)}°`} ${format("distance", distance_m)}`;
  const list = useMemo(() => (ends ?? []).filter(nearEnough), [ends]);
  const current = useRef<HTMLTableRowElement>(null);
  const shownId = shown?.endId;
  useEffect(() => {
    current.current?.scrollIntoView({ block: "nearest" });
  }, [shownId]);
  const whole = (speed_mps: number) => Math.round(Math.abs(fromSi("speed", speedUnit, speed_mps)));
  const unit = unitOf("speed", speedUnit).label;
  const columns: Column<EndReach>[] = [
    {
      name: "Landing end",
      className: "max-w-48 truncate px-3 py-1",
      cell: ({ endId, name }) => (
        <button
          type="button"
          className={`rounded text-left text-[14px] ${endId === shownId ? "font-bold" : ""}`}
          aria-pressed={endId === shownId}
          onClick={() => pin(endId)}
        >
          {name}
        </button>
      ),
    },
    {
      name: "left",
      cell: ({ endId, name, path, status }) => {
        const verdict = verdicts.get(endId);
        return path ? (
          <Figure
            title={`What is left, ${name}`}
            figure="margin"
            source={workingOfEnd(endId)}
            className={verdict ? VERDICT_WORDS[verdict].tone : STATUS_TONE[status]}
          >
            {formatMargin(path.margin_m, format)}
          </Figure>
        ) : (
          <span className="font-sans text-brick">no path</span>
        );
      },
    },
    {
      name: "uses",
      className: WIDE_ONLY,
      cell: ({ endId, name, path }) =>
        path && (
          <Figure title={`What it uses, ${name}`} figure="margin" source={workingOfEnd(endId)}>
            {format("height", path.used_m)}
          </Figure>
        ),
    },
    {
      name: "time",
      cell: ({ endId, name, path }) =>
        path && (
          <Figure title={`Time, ${name}`} figure="time" source={workingOfEnd(endId)}>
            {formatClock(path.time_s)}
          </Figure>
        ),
    },
    {
      name: `wind, ${unit}`,
      cell: ({ endId, name, tailwind_mps }) => (
        <Figure title={`Wind, ${name}`} figure="wind" source={workingOfEnd(endId)}>
          {whole(tailwind_mps) === 0 ? "0" : `${tailwind_mps > 0 ? "tail" : "head"} ${whole(tailwind_mps)}`}
        </Figure>
      ),
    },
    {
      name: "cross",
      className: "whitespace-nowrap",
      head: (
        <abbr className="no-underline" title="Crosswind from the left (L) or right (R)">
          cross, {unit}
        </abbr>
      ),
      cell: ({ endId, name, crosswind_mps }) => (
        <Figure title={`Wind, ${name}`} figure="wind" source={workingOfEnd(endId)}>
          {whole(crosswind_mps) === 0 ? "0" : `${whole(crosswind_mps)} ${crosswind_mps > 0 ? "R" : "L"}`}
        </Figure>
      ),
    },
    {
      name: "strip",
      className: WIDE_ONLY,
      cell: ({ endId }) => {
        const strip = strips.get(endId);
        return strip && `${format("length", strip.length_m)} ${strip.surface}`;
      },
    },
    {
      name: "lies, way",
      kind: "words",
      head: (
        <>
          <abbr
            className="no-underline"
            title="Clock position from the nose, magnetic bearing, distance to the aim point"
          >
            lies
          </abbr>
          , way
        </>
      ),
      cell: (end) => (
        <>
          <span className="num whitespace-nowrap">{whereShort(end)}</span> {saying(end, verdicts.get(end.endId))}
        </>
      ),
    },
  ];
  if (!ends) return null;
  if (list.length === 0)
    return <p className="p-4">No landing place is near enough to be worth a path. Move the aircraft, or add a site.</p>;
  return (
    <DataTable
      className="w-full text-[13px]"
      headClassName="sticky top-0 z-10 bg-sheet [&_th]:py-1.5"
      label="Landing ends in the order of the places to land on: what fits in today’s wind first, prepared before surveyed, then by the height left; last what is out of reach"
      rows={list}
      rowKey={(end) => end.endId}
      rowProps={(end) => ({
        ref: end.endId === shownId ? current : undefined,
        className: `hover:bg-mark ${end.endId === shownId ? "bg-mark" : ""}`,
        onClick: () => pin(end.endId),
      })}
      columns={columns}
    />
  );
}

function saying(end: EndReach, verdict: SiteVerdict | undefined): string {
  if (verdict === "too-short" || verdict === "wind") return `${VERDICT_WORDS[verdict].text}: ${wayInWords(end)}`;
  switch (end.status) {
    case "reached":
      return wayInWords(end);
    case "reserve":
      return `spends the reserve: ${wayInWords(end)}`;
    case "terrain":
      return "ground in the way";
    case "short":
      return "falls short";
    case "none":
      return end.issue?.message ?? "no path";
    default:
      return assertNever(end.status);
  }
}
