import type { Phases } from "@/core/take-off/phases";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import type { Format } from "@/ui/kit/units/units-store";
import { climbsAway } from "@/ui/answers/take-off-words";

type Phase = "stop" | "land" | "ahead" | "go";

/** What to do in a phase, and from when to when it is. */
export interface PhaseRow {
  readonly key: Phase;
  readonly phase: string;
  readonly act: string;
  /** Of the working that says why. */
  readonly figure: string;
  readonly bad: boolean;
  readonly shown: boolean;
}

/** The phase that a failure in the air falls into. */
export function phaseOf(
  { goes, height_m, landSpare_m }: Phases["failures"][number],
  goFrom_m: number | null,
  jet: boolean,
): Phase {
  const advised = goes && height_m >= (goFrom_m ?? Infinity);
  if (advised && jet) return "go";
  if (landSpare_m >= 0) return "land";
  return advised ? "go" : "ahead";
}

/** The phases in their order; what is left rounds down, what lacks and from where it goes round up. */
export function phaseRows(answer: TakeOffAnswer, format: Format): PhaseRow[] {
  const { phases, jet } = answer;
  const land_m = phases.landUntil_m ?? 0;
  return [
    stopRow(answer, format),
    {
      key: "land",
      phase: `Airborne, gear down, until ${format("height", land_m, "down")}`,
      act: "Close both, land on the runway left.",
      figure: "land",
      bad: false,
      shown: !jet && phases.landUntil_m !== null,
    },
    aheadRow(answer, land_m, format),
    goRow(answer, land_m, format),
  ];
}

function stopRow({ accelerate, jet }: TakeOffAnswer, format: Format): PhaseRow {
  const stops = accelerate.stopSpare_m >= 0;
  return {
    key: "stop",
    phase: jet ? `Until V_1 (${format("speed", accelerate.action_mps)})` : "Before rotation",
    act: `Close both, brakes: stops ${stops ? `with ${format("length", accelerate.stopSpare_m, "down")} left` : `${format("length", -accelerate.stopSpare_m, "up")} beyond the end`}.`,
    figure: "stop",
    bad: !stops,
    shown: true,
  };
}

function aheadRow(answer: TakeOffAnswer, land_m: number, format: Format): PhaseRow {
  const { goFrom_m, advisedFrom_m } = answer.phases;
  return {
    key: "ahead",
    phase:
      advisedFrom_m === null
        ? `From ${format("height", land_m, "down")} up`
        : `${format("height", land_m, "down")} to ${format("height", advisedFrom_m, "up")}`,
    act:
      advisedFrom_m !== null && goFrom_m !== null && goFrom_m < advisedFrom_m
        ? `Gear down is a commitment: close both, land ahead. (Without error it goes from ${format("height", goFrom_m, "up")}.)`
        : "No runway left and it does not climb away: close both, land ahead, under control.",
    figure: "climb",
    bad: true,
    shown: !climbsAway(answer) || (advisedFrom_m ?? 0) > land_m + 1,
  };
}

function goRow(answer: TakeOffAnswer, land_m: number, format: Format): PhaseRow {
  const { speeds, jet, climb_mps } = answer;
  const { advisedFrom_m } = answer.phases;
  const phase =
    advisedFrom_m !== null && advisedFrom_m > land_m
      ? `From ${format("height", advisedFrom_m, "up")}`
      : "No runway left, gear up";
  return {
    key: "go",
    phase: jet ? "From V_1" : phase,
    act: jet
      ? `Go: rotate ${format("speed", speeds.rotation_mps)}, V_2 ${format("speed", speeds.screen_mps)}, gear up.`
      : `Heading, power, gear, feather; ${format("speed", speeds.oneEngine_mps)}: ${format("verticalSpeed", climb_mps, "down")} when all is done.`,
    figure: jet ? "go" : "climb",
    bad: false,
    shown: climbsAway(answer),
  };
}
