// A planned glide as legs of the modelled pilot, and a flight flown so from a moment on: "what if I had turned at
// once?".
import type { SolvedLeg } from "../glide/glide-leg";
import { turnSigns } from "../glide/dubins";
import { eulerAngles } from "./attitude";
import { type Flight, STEPS_PER_S } from "./flight";
import { halfTurn } from "./half-turn";
import { type Leg, flyLegs, freshPilot, legOf } from "./pilot";
import { type Recording, replay } from "./recording";
import * as S from "./state";

/** A glide as the planner has it. */
export interface PlannedGlide {
  /** Of the path. */
  readonly legs: readonly SolvedLeg[];
  /** Straight and in turns, as they are held. */
  readonly glide_mps: number;
  readonly turn_mps: number;
  readonly bank_rad: number;
  /** The aim point, east and north, with the landing direction. */
  readonly target: { readonly x_m: number; readonly y_m: number; readonly heading_rad: number };
}

/** A turn is rolled out of so much before its end, rad: what rolling takes. */
const ROLL_OUT_RAD = 0.05;
/** The final is flown down to here, m. */
const DOWN_M = 3;
const TURN = 2 * Math.PI;

/** The legs: each turn at its bank, each straight for its time, then along the line of the final. */
export function plannedLegs({ legs, glide_mps, turn_mps, bank_rad, target }: PlannedGlide): Leg[] {
  const held = (speed_mps: number): Leg["vertical"] => ({ hold: "speed", speed_mps });
  const positive = (rad: number) => ((rad % TURN) + TURN) % TURN;
  return [
    ...legs.flatMap((solved) => {
      const [first, second] = turnSigns(solved.word);
      const turn = (sign: number, rad: number) =>
        legOf({
          name: "turn",
          vertical: held(turn_mps),
          lateral: { hold: "bank", bank_rad: sign * bank_rad },
          until: { what: "turned", value: Math.max(rad - ROLL_OUT_RAD, 0) },
        });
      const straight = legOf({
        name: "straight",
        vertical: held(glide_mps),
        lateral: { hold: "heading", heading_rad: positive(solved.straightHeading_rad), bank_rad },
        until: { what: "time", value: solved.times_s[1] },
      });
      return [turn(first, solved.turn1_rad), straight, turn(second, solved.turn2_rad)];
    }),
    legOf({
      name: "final",
      vertical: held(glide_mps),
      lateral: {
        hold: "line",
        north_m: target.y_m,
        east_m: target.x_m,
        heading_rad: positive(target.heading_rad),
        bank_rad,
      },
      until: { what: "below", value: DOWN_M },
    }),
  ];
}

/** How a planned glide came out. */
export interface FlownInstead {
  /** Height over the aim point, above its own; null where it came down before. */
  readonly over_m: number | null;
  /** East and north of it, m, when it was passed or came down. */
  readonly beside_m: number;
}

/** Off the line it does not pass the aim. */
const [PASSES_M, PASSES_RAD] = [150, 0.6];

/**
 * Flies a recording up to a step, and from there a plan by the modelled pilot.
 *
 * @param flight - as it was set up; flown on
 * @param step - of the failure, say: from there the hands are the modelled pilot's
 * @param aim_m - height of the aim point above the sea
 */
export function flownInstead(
  flight: Flight,
  recording: Recording,
  step: number,
  plan: PlannedGlide,
  aim_m: number,
): FlownInstead {
  replay(flight, { ...recording, steps: Math.min(step, recording.steps) });
  const { x_m, y_m, heading_rad } = plan.target;
  const [n, e] = [Math.cos(heading_rad), Math.sin(heading_rad)];
  const { state: s } = flight;
  const at = () => {
    const [north, east] = [s[S.NORTH] - y_m, s[S.EAST] - x_m];
    return { along_m: north * n + east * e, beside_m: east * n - north * e };
  };
  let before = at().along_m;
  let passed: FlownInstead | null = null;
  flyLegs(flight, freshPilot(plannedLegs(plan)), (flown) => {
    if (flown % (STEPS_PER_S / 10) !== 0) return true;
    const { along_m, beside_m } = at();
    const on = Math.abs(halfTurn(eulerAngles(s).heading_rad - heading_rad)) < PASSES_RAD;
    if (before < 0 && along_m >= 0 && on && Math.abs(beside_m) < PASSES_M)
      passed = { over_m: -s[S.DOWN] - aim_m, beside_m: Math.abs(beside_m) };
    before = along_m;
    return passed === null;
  });
  return passed ?? { over_m: null, beside_m: Math.hypot(at().along_m, at().beside_m) };
}
