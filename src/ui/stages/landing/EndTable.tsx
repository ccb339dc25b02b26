"use client";
import { workingOfEnd } from "@/ui/answers/workings";
import { useEffect, useMemo, useRef } from "react";
import type { LandingEnd } from "@/core/landing/landing-end";
import type { EndReach } from "@/core/landing/reach";
import type { SiteVerdict } from "@/core/landing/sites";
import { assertNever } from "@/core/outcome";
import { oClock, threeFigures } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { fromSi, unitOf } from "@/core/quantities/units";
import { useLandingEnds } from "@/ui/library/workspace";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { STATUS_TONE, formatMargin } from "@/ui/kit/units/margin";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { VERDICT_WORDS } from "./site-words";
import { useSites } from "./useSites";
import { wayInWords } from "./way";

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
  if (!ends) return null;
  if (list.length === 0)
    return <p className="p-4">No landing place is near enough to be worth a path. Move the aircraft, or add a site.</p>;
  return (
    <table className="w-full text-[13px]">
      <caption className="sr-only">
        Landing ends in the order of the places to land on: what fits in today’s wind first, prepared before surveyed,
        then by the height left; last what is out of reach
      </caption>
      <thead className="sticky top-0 z-10 bg-sheet">
        <tr className="text-right text-[13px] text-ink2">
          <th className="px-3 py-1.5 text-left font-normal">Landing end</th>
          <th className="px-1.5 font-normal">left</th>
          <th className={`px-1.5 font-normal ${WIDE_ONLY}`}>uses</th>
          <th className="px-1.5 font-normal">time</th>
          <th className="px-1.5 font-normal">wind, {unitOf("speed", speedUnit).label}</th>
          <th className="px-1.5 font-normal whitespace-nowrap">
            <abbr className="no-underline" title="Crosswind from the left (L) or right (R)">
              cross, {unitOf("speed", speedUnit).label}
            </abbr>
          </th>
          <th className={`px-1.5 font-normal ${WIDE_ONLY}`}>strip</th>
          <th className="px-1.5 text-left font-normal">
            <abbr
              className="no-underline"
              title="Clock position from the nose, magnetic bearing, distance to the aim point"
            >
              lies
            </abbr>
            , way
          </th>
        </tr>
      </thead>
      <tbody>
        {list.map((end) => (
          <EndRow
            key={end.endId}
            end={end}
            strip={strips.get(end.endId)}
            verdict={verdicts.get(end.endId)}
            lies={whereShort(end)}
            current={end.endId === shownId}
            rowRef={end.endId === shownId ? current : undefined}
            onPin={() => pin(end.endId)}
          />
        ))}
      </tbody>
    </table>
  );
}

function EndRow({
  end,
  strip,
  verdict,
  lies,
  current,
  rowRef,
  onPin,
}: {
  end: EndReach;
  strip: LandingEnd | undefined;
  verdict: SiteVerdict | undefined;
  lies: string;
  current: boolean;
  rowRef?: React.Ref<HTMLTableRowElement>;
  onPin: () => void;
}) {
  const format = useFormat();
  const speedUnit = useUnits((state) => state.units.speed);
  const { path } = end;
  const whole = (speed_mps: number) => Math.round(Math.abs(fromSi("speed", speedUnit, speed_mps)));
  const along = whole(end.tailwind_mps);
  const across = whole(end.crosswind_mps);
  return (
    <tr
      ref={rowRef}
      className={`border-t border-rule text-right hover:bg-mark ${current ? "bg-mark" : ""}`}
      onClick={onPin}
    >
      <th scope="row" className="max-w-48 truncate px-3 py-1 text-left text-[14px] font-normal">
        <button
          type="button"
          className={`rounded text-left ${current ? "font-bold" : ""}`}
          aria-pressed={current}
          onClick={onPin}
        >
          {end.name}
        </button>
      </th>
      <td className="px-1.5 whitespace-nowrap">
        {path ? (
          <Figure
            title={`What is left, ${end.name}`}
            figure="margin"
            source={workingOfEnd(end.endId)}
            className={verdict ? VERDICT_WORDS[verdict].tone : STATUS_TONE[end.status]}
          >
            {formatMargin(path.margin_m, format)}
          </Figure>
        ) : (
          <span className="text-brick">no path</span>
        )}
      </td>
      <td className={`num px-1.5 whitespace-nowrap ${WIDE_ONLY}`}>
        {path && (
          <Figure title={`What it uses, ${end.name}`} figure="margin" source={workingOfEnd(end.endId)}>
            {format("height", path.used_m)}
          </Figure>
        )}
      </td>
      <td className="num px-1.5">
        {path && (
          <Figure title={`Time, ${end.name}`} figure="time" source={workingOfEnd(end.endId)}>
            {formatClock(path.time_s)}
          </Figure>
        )}
      </td>
      <td className="num px-1.5 whitespace-nowrap">
        <Figure title={`Wind, ${end.name}`} figure="wind" source={workingOfEnd(end.endId)}>
          {along === 0 ? "0" : `${end.tailwind_mps > 0 ? "tail" : "head"} ${along}`}
        </Figure>
      </td>
      <td className="num px-1.5 whitespace-nowrap">
        <Figure title={`Wind, ${end.name}`} figure="wind" source={workingOfEnd(end.endId)}>
          {across === 0 ? "0" : `${across} ${end.crosswind_mps > 0 ? "R" : "L"}`}
        </Figure>
      </td>
      <td className={`num px-1.5 whitespace-nowrap ${WIDE_ONLY}`}>
        {strip && `${format("length", strip.length_m)} ${strip.surface}`}
      </td>
      <td className="px-1.5 text-left">
        <span className="num whitespace-nowrap">{lies}</span> {saying(end, verdict)}
      </td>
    </tr>
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
