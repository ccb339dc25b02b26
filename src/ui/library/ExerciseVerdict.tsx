"use client";
import type { ExerciseScore } from "@/core/exercise/exercise-score";
import { formatClock } from "@/core/quantities/clock";
import { useFormat } from "@/ui/kit/units/units-store";
import { failWords, heldWords, toleranceWords } from "./exercise-words";

interface Props {
  readonly score: ExerciseScore;
  readonly name: string;
  /** What is said where nothing failed but not all was measured. */
  readonly unmeasured: string;
  /** How a moment of it is told. */
  readonly clock?: (time_s: number) => string;
}

/** Each tolerance of an exercise as it was held; what failed it at once. */
export function ExerciseVerdict({ score, name, unmeasured, clock = formatClock }: Props) {
  const format = useFormat();
  const { verdict, tolerances, failed, deck_s } = score;
  const words = { passed: "passed.", failed: "not passed.", unmeasured };
  return (
    <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Exercise">
      <p>
        <strong>{name}</strong>:{" "}
        <strong className={verdict === "failed" ? "text-brick" : "text-pine"}>{words[verdict]}</strong>
      </p>
      <ul>
        {tolerances.map((held, i) => (
          <li key={i} className={held.held === false ? "text-brick" : ""}>
            {toleranceWords(held.tolerance, format)}: {heldWords(held, format, clock)}
          </li>
        ))}
        {failed.map(({ event, at_s }, i) => (
          <li key={`failed-${i}`} className="text-brick">
            {failWords(event, format)} at {clock(at_s)}
          </li>
        ))}
        {deck_s !== null && <li className="text-brick">below the hard deck at {clock(deck_s)}</li>}
      </ul>
    </section>
  );
}
