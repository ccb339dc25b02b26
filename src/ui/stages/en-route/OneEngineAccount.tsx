"use client";
import type { DriftAnswer } from "@/core/drift/drift-answer";
import type { DriftHere } from "@/core/drift/drift-here";
import { flownAs } from "@/core/route/gap";
import { formatClock } from "@/core/quantities/clock";
import { type AnsweredDrift, useRoute } from "@/ui/answers/route-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { WayLedgers } from "./WayLedgers";
import { driftHereInWords, noWayInWords } from "./drift-words";
import { closing } from "./route-words";
import { useDriftHere } from "./useDriftHere";

/** The ledgers of the ways on one engine at the cursor, and the answer in two sentences. */
export function OneEngineAccount() {
  const drift = useRoute((state) => state.drift);
  const here = useDriftHere();
  const format = useFormat();
  const answer = drift?.answer ?? null;
  return (
    <>
      <div className="flex min-h-[316px] flex-1 flex-col px-4 pt-3">
        <h2 className="mb-0.5 font-bold">Height ledger on one engine</h2>
        {answer && here ? (
          <p className="num text-[12.5px] text-ink2">
            {format("distance", here.point.distance_m)} of {format("distance", answer.length_m)} ·{" "}
            {formatClock(here.point.time_s)} · {format("speed", here.state.eas_mps)}
          </p>
        ) : (
          <p className={drift?.issue ? "text-brick" : "text-ink2"}>
            {drift?.issue?.message ?? "Working the ways on one engine out …"}
          </p>
        )}
        {here && here.ways.length > 0 && <WayLedgers here={here} />}
      </div>
      {drift && answer && here && <Decision question={drift.question} answer={answer} here={here} />}
    </>
  );
}

/** Where one engine carries to now; the stretch without a way, and what closes it at a press. */
function Decision({
  question: { route },
  answer,
  here,
}: {
  question: AnsweredDrift["question"];
  answer: DriftAnswer;
  here: DriftHere;
}) {
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const said = driftHereInWords(here, route.oneEngine.clearance_m, format);
  const next = noWayInWords(answer, here.point, route.altitude_m, format);
  const closed = next && answer.gaps[next.index].closing;
  return (
    <section className="flex flex-col gap-2 border-t border-rule px-4 py-3" aria-label="Decision" aria-live="polite">
      <p>
        <strong className={said.tone}>{said.headline}</strong> {said.text}
      </p>
      {next ? (
        <p>
          <strong className="text-brick">{next.headline}</strong> {next.text}
        </p>
      ) : (
        <p className="text-pine">From here on one engine carries to an alternate all the way.</p>
      )}
      {closed && (
        <p>
          <button
            type="button"
            className="btn"
            onClick={() => change((current) => ({ route: flownAs(current.route, closed) }))}
          >
            Plan {closing(closed, route.altitude_m, format)}
          </button>
        </p>
      )}
      {answer.flat && (
        <p className="text-sm text-ochre">No terrain is known here: ground in the way is not looked at.</p>
      )}
    </section>
  );
}
