"use client";
import { drillResult } from "@/core/exercise/flown-drill";
import { flownScore } from "@/core/exercise/flown-result";
import { touchOf } from "@/core/exercise/glide-rows";
import { formatNumber } from "@/core/quantities/units";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { ExerciseVerdict } from "@/ui/library/ExerciseVerdict";
import { bookSpeed_mps } from "@/core/exercise/book-speed";
import { exercisesOf } from "../exercises/useExercises";
import { HeightAccount } from "./HeightAccount";
import { toHold } from "./fly-set-up";
import { useFly } from "./fly-store";
import { bandsOf, flownWords } from "./flown-words";
import { isClean, resultWords } from "../results/result-words";
import { savedWords } from "./spent-words";
import { timesWords } from "../times-words";

const CAUTIONS = ["Simulated: trains decisions and control. Not a certified device, no leave to turn back low."];

/** How the last flight went. */
export function ReplayAside() {
  const format = useFormat();
  const { last, under, account } = useFly();
  const reaction_s = useSituation((state) => state.current.pilot.reaction_s);
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
  const { aircraft } = flight.flown.setUp;
  const bands = bandsOf(rows, toHold(flight), format);
  const saved = account?.spent ? savedWords(account.spent, reaction_s, format) : null;
  const said = flownWords(rows, bands, ended, saved, format);
  const touch = touchOf(rows);
  const exercise = exercisesOf(aircraft).exercises.find(({ id }) => id === exerciseId) ?? null;
  const drill = drillResult(flight, rows);
  const score = exercise && flownScore(exercise, rows, { drill, book_mps: bookSpeed_mps(aircraft) });
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
      {score && exercise && (
        <ExerciseVerdict
          unmeasured="flown within its tolerances; its drill was not done with it."
          score={score}
          name={exercise.name}
        />
      )}
      {drill && flight.drill && (
        <p className="border-t border-rule px-4 py-2 text-[14px]">
          <strong>{flight.drill.run.procedure.name}</strong>:{" "}
          <span className={isClean(drill) ? "text-pine" : "text-brick"}>{resultWords(drill)}</span>.
        </p>
      )}
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
      {account && <HeightAccount account={account} landed={touch !== null} />}
    </DecisionAside>
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
