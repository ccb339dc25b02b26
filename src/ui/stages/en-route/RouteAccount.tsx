"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { RouteHere } from "@/core/route/route-here";
import { flownAs } from "@/core/route/gap";
import { formatClock } from "@/core/quantities/clock";
import { type AnsweredRoute, useRoute } from "@/ui/answers/route-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useVariation } from "@/ui/situation/useVariation";
import { workingOfRoute } from "@/ui/answers/workings";
import { Figure } from "@/ui/kit/working/Figure";
import { RelightsHere } from "./RelightsHere";
import { PlaceLedgers } from "./PlaceLedgers";
import { chanceInWords, closing, costOfRound, gapInWords, hereInWords, underInWords } from "./route-words";
import { useRouteHere } from "./useRouteHere";

/** The ledgers at the cursor, and the answer in two sentences with what closes the next gap. */
export function RouteAccount() {
  const route = useRoute((state) => state.route);
  const here = useRouteHere();
  const format = useFormat();
  const planned = useSituation((state) => state.current.route.points.length > 1);
  const answer = route?.answer ?? null;
  return (
    <>
      <div className="flex min-h-[316px] flex-1 flex-col px-4 pt-3">
        <h2 className="mb-0.5 font-bold">Height ledger</h2>
        {answer && here ? (
          <p className="num text-[12.5px] text-ink2">
            {format("distance", here.point.distance_m)} of {format("distance", answer.length_m)} ·{" "}
            {formatClock(here.point.time_s)} of {formatClock(answer.time_s)}
          </p>
        ) : (
          <p className={route?.issue ? "text-brick" : "text-ink2"}>
            {route?.issue?.message ?? (planned ? "Working the cover out …" : "A route of two points is needed.")}
          </p>
        )}
        {here && here.places.length > 0 && <PlaceLedgers here={here} />}
      </div>
      {route && answer && here && <Decision question={route.question} answer={answer} here={here} />}
    </>
  );
}

/** Where one could land now; the next gap, and what closes it at a press. */
function Decision({
  question,
  answer,
  here,
}: {
  question: AnsweredRoute["question"];
  answer: NonNullable<AnsweredRoute["answer"]>;
  here: RouteHere;
}) {
  const detours = useRoute((state) => state.detours);
  const change = useSituation((state) => state.change);
  // The answer may still be that of the aircraft before.
  const flown = useAircraft().document;
  const variation = useVariation();
  const format = useFormat();
  const { altitude_m } = question.route;
  const said = hereInWords(here, here.point.track_rad, variation?.variation_rad ?? null, format);
  const next = gapInWords(answer, detours, here.point, altitude_m, format);
  const under = underInWords(answer, format);
  const closed = next && answer.gaps[next.index].closing;
  const detour = next && detours.find(({ gap }) => gap === next.index);
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-3" aria-label="Decision" aria-live="polite">
      <p>
        <strong className={said.tone}>{said.headline}</strong> {said.text}
        {here.chance !== null && (
          <>
            {" "}
            Chance:{" "}
            <Figure title="Chance of a place" figure="chance" source={workingOfRoute(here.point.distance_m)}>
              {chanceInWords(here.chance)}
            </Figure>
          </>
        )}
      </p>
      {next ? (
        <p>
          <strong className="text-brick">{next.headline}</strong> {next.text}
        </p>
      ) : (
        <p className="text-pine">From here on a place is in reach all the way.</p>
      )}
      {(closed || detour) && (
        <p className="flex flex-wrap gap-2">
          {closed && (
            <button
              type="button"
              className="btn"
              onClick={() => change((current) => ({ route: flownAs(current.route, closed) }))}
            >
              Plan {closing(closed, altitude_m, format)}
            </button>
          )}
          {detour && (
            <button type="button" className="btn" onClick={() => change({ route: detour.route })}>
              Take the way round, {costOfRound(detour)}
            </button>
          )}
        </p>
      )}
      {under && <p className="font-bold text-brick">{under}</p>}
      {isAeroplane(flown) && flown.relight && <RelightsHere point={here.point} />}
      {answer.flat && (
        <p className="text-sm text-ochre">No terrain is known here: ground in the way is not looked at.</p>
      )}
      {answer.profile.ceiling_m !== null && (
        <p className="text-sm text-ochre">
          It climbs no higher than {format("height", answer.profile.ceiling_m, "down")}: the planned altitude is not
          reached.
        </p>
      )}
    </section>
  );
}
