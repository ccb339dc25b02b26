"use client";
import { assertNever } from "@/core/outcome";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { EndReach, Reach } from "@/core/landing/reach";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/units/units-store";
import { Figure } from "@/ui/working/Figure";
import { STATUS_TONE } from "./margin";
import { useAirspeed } from "./useAirspeed";
import { firstMove, wordInWords } from "./way";

/** The answer in a sentence, and the figures a pilot would ask for next. */
export function Decision({ end, reach }: { end: EndReach; reach: Reach }) {
  const pilot = useSituation((state) => state.current.pilot);
  const airspeed = useAirspeed();
  const margin = reach.turn.eas_mps / reach.turn.stallEas_mps;
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-3" aria-label="Decision">
      <p className={end.status === "reached" ? "" : STATUS_TONE[end.status]}>
        <strong>{headline(end)}</strong> <Outcome end={end} />
      </p>
      {end.glide && (
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[14px] max-[1150px]:text-[13px]">
          <dt className="text-ink2">Glide</dt>
          <dd className="text-right">
            <Figure title={`Glide to ${end.name}`} figure="glide" source={{ endId: end.endId }}>
              {airspeed(end.glideCalibrated_mps ?? end.glide.eas_mps)} · {formatNumber(end.glide.ratio, 1)}:1
            </Figure>
          </dd>
          <dt className="text-ink2">Turns, {Math.round(degrees(pilot.bank_rad))}° bank</dt>
          <dd className="text-right">
            <Figure title="Speed in the turns" figure="turn" source={{ endId: end.endId }}>
              {airspeed(reach.turn.eas_mps)}
            </Figure>
          </dd>
          <dt className="text-ink2">Stall in the turn</dt>
          <dd className="text-right">
            <Figure title="Stall in the turn" figure="turn" source={{ endId: end.endId }}>
              {airspeed(reach.turn.stallEas_mps)} · margin {formatNumber(margin, 2)}×
            </Figure>
          </dd>
        </dl>
      )}
      <OtherWays end={end} />
    </section>
  );
}

function headline(end: EndReach): string {
  switch (end.status) {
    case "reached":
    case "reserve":
      return `${end.name}, ${firstMove(end)}.`;
    case "terrain":
      return `${end.name}: ground is in the way.`;
    case "short":
      return `${end.name} cannot be made.`;
    case "none":
      return `${end.name}: no way.`;
    default:
      return assertNever(end.status);
  }
}

function Outcome({ end }: { end: EndReach }) {
  const format = useFormat();
  const reserve_m = useSituation((state) => state.current.plan.reserve_m);
  const { path, clearance, points } = end;
  if (!path) return <>{end.issue?.message}</>;
  switch (end.status) {
    case "reached":
      return (
        <>
          {format("height", path.margin_m)} in hand after {format("height", reserve_m)} reserve. Gear and flap last, when it is certain.
        </>
      );
    case "reserve":
      return (
        <>
          It arrives only by spending {format("height", -path.margin_m)} of the {format("height", reserve_m)} reserve.
        </>
      );
    case "terrain":
      return (
        <>
          {Math.round(points[clearance?.index ?? 0]?.time_s ?? 0)} s from now it passes {format("height", -(clearance?.least_m ?? 0))} below the clearance wanted there.
        </>
      );
    case "short":
      return (
        <>
          It ends {format("height", -path.margin_m - reserve_m)} below the aim point; {format("height", -path.margin_m)} are missing with the reserve.
        </>
      );
    case "none":
      return null;
    default:
      return assertNever(end.status);
  }
}

function OtherWays({ end }: { end: EndReach }) {
  const format = useFormat();
  const others = end.ways.slice(1);
  if (others.length + end.failedWays.length === 0) return null;
  return (
    <details className="text-[14px]">
      <summary className="text-ink2">Other ways round ({others.length + end.failedWays.length})</summary>
      <ul className="mt-1 flex flex-col gap-0.5">
        {others.map((way) => (
          <li key={way.words} className="flex justify-between gap-3">
            <span>{wordInWords(way.words)}</span>
            <span className={`num ${way.margin_m >= 0 ? "text-pine" : "text-brick"}`}>{way.margin_m >= 0 ? `+${format("height", way.margin_m)}` : `short by ${format("height", -way.margin_m)}`}</span>
          </li>
        ))}
        {end.failedWays.map((way) => (
          <li key={way.words} className="text-ink2">
            {wordInWords(way.words)}: {way.message}
          </li>
        ))}
      </ul>
    </details>
  );
}
