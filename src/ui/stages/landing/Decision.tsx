"use client";
import { workingOfEnd } from "@/ui/answers/workings";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { Reach } from "@/core/landing/reach";
import type { EndReach } from "@/core/landing/way-to-end";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useVariation } from "@/ui/situation/useVariation";
import { whereInWords } from "./landing-words";
import { useAirspeed } from "@/ui/situation/useAirspeed";
import { useLandingDecision } from "./useLandingDecision";
import { wordsInWords } from "./way";

/** The answer in a sentence, and the figures a pilot would ask for next. */
export function Decision({ end, reach }: { end: EndReach; reach: Reach }) {
  const { pilot, heading_rad } = useSituation((state) => state.current);
  const variation = useVariation();
  const said = useLandingDecision();
  const airspeed = useAirspeed();
  const format = useFormat();
  const margin = reach.turn.eas_mps / reach.turn.stallEas_mps;
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-3" aria-label="Decision">
      <p className={said?.tone ?? "text-brick"}>
        <strong>
          {said?.headline ??
            (reach.ends.every(({ status }) => status === "none")
              ? "No place can be flown to."
              : `${end.name}: no way.`)}
        </strong>{" "}
        {said?.text ?? end.issue?.message}
      </p>
      <p className="num text-[13px] text-ink2">
        {whereInWords(end, heading_rad, variation?.variation_rad ?? null, format)}
      </p>
      {end.glide && (
        <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[14px] max-[1150px]:text-[13px]">
          <dt className="text-ink2">Glide</dt>
          <dd className="text-right">
            <Figure title={`Glide to ${end.name}`} figure="glide" source={workingOfEnd(end.endId)}>
              {airspeed(end.glideCalibrated_mps ?? end.glide.eas_mps)} · {formatNumber(end.glide.ratio, 1)}:1
            </Figure>
          </dd>
          <dt className="text-ink2">Turns, {Math.round(degrees(pilot.bank_rad))}° bank</dt>
          <dd className="text-right">
            <Figure title="Speed in the turns" figure="turn" source={workingOfEnd(end.endId)}>
              {airspeed(reach.turn.eas_mps)}
            </Figure>
          </dd>
          <dt className="text-ink2">Stall in the turn</dt>
          <dd className="text-right">
            <Figure title="Stall in the turn" figure="turn" source={workingOfEnd(end.endId)}>
              {airspeed(reach.turn.stallEas_mps)} · margin {formatNumber(margin, 2)}×
            </Figure>
          </dd>
        </dl>
      )}
      <OtherWays end={end} />
    </section>
  );
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
          <li key={way.words.join(" ")} className="flex justify-between gap-3">
            <span>{wordsInWords(way.words)}</span>
            <span className={`num ${way.margin_m >= 0 ? "text-pine" : "text-brick"}`}>
              {way.margin_m >= 0
                ? `+${format("height", way.margin_m, "down")}`
                : `short by ${format("height", -way.margin_m, "up")}`}
            </span>
          </li>
        ))}
        {end.failedWays.map((way) => (
          <li key={way.words.join(" ")} className="text-ink2">
            {wordsInWords(way.words)}: {way.message}
          </li>
        ))}
      </ul>
    </details>
  );
}
