import type { FaultKind } from "../engine/engine-fault";
import { type GaugeName, type Gauges, gaugesIn } from "../engine/gauges";
import type { GaugeMoment } from "./gauge-history";

/** What a cue says about which engine it is. */
export type CueVerdict = "settles" | "hints" | "misleads" | "silent";

/** A cue: a gauge compared between the engines, or what the aeroplane and the feet say. */
export interface Cue {
  readonly cue: GaugeName | "foot";
  readonly verdict: CueVerdict;
  /** Difference between the engines, or of the pedal, over what it was: −1 the reading is gone, 0 the same. */
  readonly difference: number;
  readonly why: string;
}

/** A difference under this cannot be read between two needles; one above the other stands out. */
const SAME = 0.06;
const PLAIN = 0.3;

/** Gauges that a dead engine keeps up, and why. */
const WHY_SAME: Readonly<Record<GaugeName, string>> = {
  manifold: "It follows the throttle, whether or not anything burns: the pistons still pump.",
  rpm: "The windmilling propeller turns the engine and the governor holds its speed.",
  fan: "The air turns it.",
  core: "The air turns it.",
  fuelFlow: "Fuel flows although it is not burnt.",
  exhaust: "What burns, burns as before.",
  head: "Metal cools in minutes, not seconds.",
  oil: "The pump turns as long as the engine is turned.",
};

const WHY_OTHER: Readonly<Record<GaugeName, string>> = {
  manifold: "The intake, or the engine’s turning, has changed.",
  rpm: "Its propeller no longer turns as the governor asks.",
  fan: "It is no longer driven.",
  core: "It is no longer driven.",
  fuelFlow: "It no longer takes fuel as the other does.",
  exhaust: "What is not burnt does not heat: it collapses within seconds.",
  head: "It has cooled.",
  oil: "Its pump is no longer turned, or has no oil.",
};

/** Index of the engines by their readings of a gauge: the bad one over the other, minus 1. */
function difference(bad: Gauges, good: Gauges, gauge: GaugeName): number {
  const [b, g] = [bad[gauge] ?? 0, good[gauge] ?? 0];
  return g === 0 ? (b === 0 ? 0 : 1) : b / g - 1;
}

/**
 * What each cue says at a moment: computed from the readings, not from the fault.
 *
 * A gauge that reads the same on both engines while one of them is dead misleads; a plain difference settles it —
 * unless the gauge is what failed, or the engine that gives less is the good one.
 *
 * @param full_N - pedal with one engine wholly dead
 */
export function cuesAt(moment: GaugeMoment, fault: FaultKind, engine: "left" | "right", full_N: number): Cue[] {
  const [bad, good] = engine === "left" ? [moment.left, moment.right] : [moment.right, moment.left];
  const foot = Math.abs(moment.foot_N) / Math.max(Math.abs(full_N), 1);
  const yawing = foot > SAME;
  const cues = gaugesIn(good).map((gauge): Cue => {
    const apart = difference(bad, good, gauge);
    const same = Math.abs(apart) < SAME;
    if (fault === "gauge")
      return same
        ? { cue: gauge, verdict: "hints", difference: apart, why: "The same on both: the engine is well." }
        : {
            cue: gauge,
            verdict: "misleads",
            difference: apart,
            why: "It is alone: nothing else has changed, and the aeroplane does not yaw. The gauge has failed.",
          };
    if (same)
      return yawing
        ? { cue: gauge, verdict: "misleads", difference: apart, why: WHY_SAME[gauge] }
        : { cue: gauge, verdict: "silent", difference: apart, why: "Nothing to see yet." };
    if (fault === "stuck")
      return {
        cue: gauge,
        verdict: Math.abs(apart) > PLAIN ? "settles" : "hints",
        difference: apart,
        why: "It did not come back with its lever; the other did.",
      };
    return {
      cue: gauge,
      verdict: Math.abs(apart) > PLAIN || gauge === "exhaust" ? "settles" : "hints",
      difference: apart,
      why: WHY_OTHER[gauge],
    };
  });
  const feet: Cue =
    fault === "stuck"
      ? {
          cue: "foot",
          verdict: yawing ? "misleads" : "silent",
          difference: foot,
          why: "The idle foot is on the side of the engine that came back as asked. Dead foot says which engine gives less, not which is at fault.",
        }
      : {
          cue: "foot",
          verdict: yawing ? "settles" : "silent",
          difference: foot,
          why: yawing
            ? "The foot that does nothing is on the side of the engine that does nothing: dead foot, dead engine. It measures thrust itself, which no gauge does."
            : "Neither foot works: the thrust is even.",
        };
  return [feet, ...cues];
}
