"use client";
import { type ExerciseScore, exerciseScore } from "@/core/exercise/exercise-score";
import { flownTrace } from "@/core/exercise/flown-trace";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { failWords, heldWords, toleranceWords } from "../exercises/exercise-words";
import { bookSpeed_mps, exercisesOf } from "../exercises/useExercises";
import { speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";
import { bandsOf, failedFrom, flownWords, touchOf } from "./flown-words";
import { timesWords } from "../times-words";

const CAUTIONS = ["Simulated: trains decisions and control. Not a certified device, no leave to turn back low."];

/** How the last flight went. */
export function ReplayAside() {
  const format = useFormat();
  const { last, under } = useFly();
  if (!last || last.rows.length < 2) {
    const said = under
      ? { lead: "A flight waits, paused.", rest: "Go on with it in “Fly it”, or end it there to look at it here." }
      : {
          lead: "Nothing flown yet.",
          rest: "Fly it; what was flown is looked at here, with one cursor over all of it.",
        };
    return <DecisionAside said={said} good cautions={CAUTIONS} />;
  }
  const { rows, flight } = last;
  const { assistance, backs, words, ended, exerciseId } = flight;
  const { aircraft, mass_kg } = flight.flown.setUp;
  const held = speedToHold_mps(aircraft, mass_kg);
  const bands = bandsOf(rows, held, Math.min(assistance.bank_rad, 0.79), format);
  const said = flownWords(rows, bands, ended, format);
  const touch = touchOf(rows);
  const exercise = exercisesOf(aircraft).exercises.find(({ id }) => id === exerciseId) ?? null;
  const scored =
    exercise &&
    exerciseScore(exercise, flownTrace(rows, failedFrom(rows)), { drill: null, book_mps: bookSpeed_mps(aircraft) });
  const score = scored?.ok ? scored.value : null;
  const help = [
    assistance.attitude && "attitude held",
    assistance.ball && "ball held",
    assistance.speed_mps !== null && "speed held",
  ].filter(Boolean);
  return (
    <DecisionAside said={said} good={said.good} cautions={CAUTIONS}>
      <p className="border-t border-rule px-4 py-2 text-[14px] text-ink2">
        {words} Help: {help.length > 0 ? help.join(", ") : "none"}
        {backs > 0 ? `; gone back ${timesWords(backs)}` : ""}.
      </p>
      {score && exercise && <ExerciseVerdict score={score} name={exercise.name} />}
      <AsideFigures>
        {bands.map(({ name, within, out_s }) => (
          <BandLine key={name} name={`${name} ${within}`} out_s={out_s} />
        ))}
        {touch && (
          <>
            <dt>Touched at</dt>
            <dd className="num">{format("speed", touch.ias_mps)}</dd>
            <dt>Sinking</dt>
            <dd className="num">{format("verticalSpeed", Math.max(touch.sink_mps, 0), "up")}</dd>
          </>
        )}
      </AsideFigures>
    </DecisionAside>
  );
}

/** Each tolerance of the exercise as it was held; what failed it at once. */
function ExerciseVerdict({ score, name }: { score: ExerciseScore; name: string }) {
  const format = useFormat();
  const { verdict, tolerances, failed, deck_s } = score;
  return (
    <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Exercise">
      <p>
        <strong>{name}</strong>:{" "}
        <strong className={verdict === "failed" ? "text-brick" : "text-pine"}>
          {verdict === "failed" ? "not passed." : "flown within its tolerances; its drill stands apart."}
        </strong>
      </p>
      <ul>
        {tolerances.map((held, i) => (
          <li key={i} className={held.held === false ? "text-brick" : ""}>
            {toleranceWords(held.tolerance, format)}: {heldWords(held, format)}
          </li>
        ))}
        {failed.map(({ event, at_s }, i) => (
          <li key={`failed-${i}`} className="text-brick">
            {failWords(event, format)} at {formatClock(at_s)}
          </li>
        ))}
        {deck_s !== null && <li className="text-brick">below the hard deck at {formatClock(deck_s)}</li>}
      </ul>
    </section>
  );
}

function BandLine({ name, out_s }: { name: string; out_s: number }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className={`num ${out_s > 0 ? "text-brick" : "text-pine"}`}>
        {out_s > 0 ? `${formatNumber(out_s)} s out` : "held"}
      </dd>
    </>
  );
}
