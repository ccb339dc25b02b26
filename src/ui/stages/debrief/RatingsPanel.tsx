import { Fragment } from "react";
import type { Outcome } from "@/core/outcome";
import type { RatingsUsed } from "@/core/track/measure/ratings-used";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { AsideFigures } from "@/ui/kit/page/DecisionAside";
import { SHOWN_SIGMAS } from "./debrief-words";

/** Ratings that the engines of a helicopter were flown at, and what was more than is allowed. */
export function RatingsPanel({ ratings }: { ratings: Outcome<RatingsUsed> | null }) {
  if (!ratings) return null;
  if (!ratings.ok)
    return <p className="border-t border-rule px-4 py-2 text-[13px] text-ink2">{ratings.issue.message}</p>;
  const { spells, bands, exceedances, inspection } = ratings.value;
  return (
    <section className="border-t border-rule py-2" aria-label="Ratings used">
      <h3 className="px-4 text-[15px] font-bold">Ratings used</h3>
      {spells.length === 0 ? (
        <p className="px-4 text-[14px] text-ink2">None but continuous power.</p>
      ) : (
        <AsideFigures>
          {spells.map(({ name, from_s, lasted_s, hovers }) => (
            <Fragment key={from_s}>
              <dt>
                {name ?? "Above all ratings"} from {formatClock(from_s)}
                {hovers ? ", hovering" : ""}
              </dt>
              <dd className="num">
                {lasted_s.known
                  ? `${formatNumber(lasted_s.value, 1)} ±${formatNumber(SHOWN_SIGMAS * lasted_s.sigma, 1)} s`
                  : "–"}
              </dd>
            </Fragment>
          ))}
          {bands
            .filter(({ uses, usesLeft }) => uses > 0 && usesLeft !== null)
            .map(({ name, uses, usesLeft }) => (
              <Fragment key={name}>
                <dt>{name}, uses</dt>
                <dd className="num">
                  {uses}, {usesLeft} left
                </dd>
              </Fragment>
            ))}
        </AsideFigures>
      )}
      {exceedances.map(({ name, kind, over_s }, i) => (
        <p key={i} className="px-4 text-[14px] font-bold text-brick">
          {name}: {kind === "uses" ? "one use too many" : `${formatNumber(over_s)} s too long`}
        </p>
      ))}
      {inspection && (
        <p className="px-4 text-[13px] text-ink2">After this the engine is looked at as the manual says.</p>
      )}
    </section>
  );
}
