// A turn back as it was flown, in the frame of its runway: where and how it was when the engine stopped, how it was
// flown, part by part, and what height was left over the runway's end.
import { radians } from "../quantities/angle";
import { type Outcome, failure, success } from "../outcome";
import type { Motion } from "../flight/point-mass";
import type { LandingEnd } from "../landing/landing-end";
import type { Failure, FoundFlight } from "../track/analyse";
import type { Flown } from "../track/flown";
import { indexAt } from "../track/clean/index-at";
import { landedOn, onRunway, placeAt } from "../track/measure/landing";
import { valueAt } from "../track/events/turns";
import { meanOver } from "../track/measure/turn";

/** Parts of a turn back, in their order. */
export const BESIDE_PARTS = ["reaction", "straight", "turn", "line", "final"] as const;
/** @see BESIDE_PARTS */
export type BesidePart = (typeof BESIDE_PARTS)[number];

/** A part: height that it took and how long. */
export interface PartTaken {
  readonly part: BesidePart;
  readonly height_m: number;
  readonly time_s: number;
}

/** @see turnBackFlown */
export interface TurnBackFlown {
  /** In the direction of the take-off. */
  readonly runway: LandingEnd;
  readonly start: Readonly<Motion>;
  /** Null where the log does not show it. */
  readonly delay_s: number | null;
  /** From the first action to the turn; null likewise. */
  readonly straight_s: number;
  readonly side: 1 | -1;
  readonly bank_rad: number;
  /** Equivalent, in the turn and on the way down after it. */
  readonly turnEas_mps: number;
  readonly finalEas_mps: number;
  readonly parts: readonly PartTaken[];
  /**
   * Height over the runway's end, or where it was aligned over the runway itself; what lacks to the end where it
   * touched before. Null where it was never aligned.
   */
  readonly left_m: number | null;
  readonly sigma_m: number;
  readonly alignedHeight_m: number | null;
}

/** Aligned: as the planner has it: so near to the line, to its direction, so level. */
const [ALIGNED_M, ALIGNED_RAD, ALIGNED_BANK_RAD] = [14, radians(8), radians(10)];
/** Turned back: through so much at least. */
const BACK_RAD = radians(120);
/** Before the touch the speed is that of the flare, s; so far a glide goes for its height. */
const [FLARE_S, STEEP] = [4, 8];
/** Just after lift-off the runway is the one below. */
const ON_CLIMB_S = 4;

type MeasuredTurn = Failure["turns"][number];

/** What makes it a turn back: the runway that was taken off from, the turn, the touch; why it is none otherwise. */
function recognised(
  flown: Flown,
  { takeOff, landing }: FoundFlight,
  turns: readonly MeasuredTurn[],
  ends: readonly LandingEnd[],
): Outcome<{ runway: LandingEnd; turn: MeasuredTurn; bank_rad: number; touch_s: number }> {
  if (!takeOff) return failure("no_take_off", "The log does not hold the take-off.");
  const found = landedOn(flown, takeOff.time_s + ON_CLIMB_S, ends);
  const runway = ends.find(({ name, threshold }) => name === found?.name && threshold === found.threshold);
  if (!runway) return failure("no_runway", "It was not taken off from a runway that is known.");
  const turn = turns.reduce<MeasuredTurn | null>(
    (most, one) => (one.heading_rad > (most?.heading_rad ?? 0) ? one : most),
    null,
  );
  if (!turn || turn.heading_rad < BACK_RAD || !landing)
    return failure("not_turned_back", "It was not turned back to the runway.");
  const { bank_rad } = turn.measures;
  if (!bank_rad.known || !(flown.has.airspeed || flown.wind))
    return failure("no_wind", "Without a wind or an airspeed the turn cannot be compared.");
  return success({ runway, turn, bank_rad: bank_rad.value, touch_s: landing.time_s });
}

/** The motion at a moment in the runway's frame. */
function motionAt(
  { time_s, altitude_m, climb_mps, tas_mps, course_rad }: Flown,
  place: { along_m: number; across_m: number },
  runway: LandingEnd,
  at_s: number,
): Motion {
  const at = (values: Float64Array) => valueAt(time_s, values, at_s);
  const tas = Math.max(at(tas_mps), 1);
  const course = at(course_rad) - runway.headingTrue_rad;
  return {
    tas_mps: tas,
    gamma_rad: Math.asin(Math.min(Math.max(at(climb_mps) / tas, -0.5), 0.5)),
    psi_rad: course - 2 * Math.PI * Math.round(course / (2 * Math.PI)),
    x_m: place.along_m,
    y_m: place.across_m,
    height_m: at(altitude_m) - runway.elevation_m,
  };
}

/**
 * Takes a turn back out of a log.
 *
 * @returns `no_take_off`, `no_runway`, `not_turned_back`, `no_wind`: why there is none
 */
export function turnBackFlown(
  flown: Flown,
  flight: FoundFlight,
  { time_s: stop_s, delay_s, turns }: Failure,
  ends: readonly LandingEnd[],
): Outcome<TurnBackFlown> {
  const known = recognised(flown, flight, turns, ends);
  if (!known.ok) return known;
  const { runway, turn, bank_rad, touch_s } = known.value;
  const { time_s, altitude_m, eas_mps } = flown;
  const height = (t: number) => valueAt(time_s, altitude_m, t) - runway.elevation_m;
  const acted_s = delay_s.known ? Math.min(stop_s + delay_s.value, turn.from_s) : turn.from_s;
  const aligned_s = alignedAt(flown, runway, (turn.from_s + turn.to_s) / 2, touch_s);
  const over = aligned_s === null ? null : overEnd(flown, runway, aligned_s, touch_s);
  const lineFrom_s = Math.min(turn.to_s, aligned_s ?? turn.to_s);
  const finalFrom_s = aligned_s ?? lineFrom_s;
  const times: [BesidePart, number, number][] = [
    ["reaction", stop_s, acted_s],
    ["straight", acted_s, turn.from_s],
    ["turn", turn.from_s, lineFrom_s],
    ["line", lineFrom_s, finalFrom_s],
    ["final", finalFrom_s, over?.at_s ?? finalFrom_s],
  ];
  const touch = flight.landed?.along_m;
  return success({
    runway,
    start: motionAt(flown, onRunway(runway, placeAt(flown, stop_s)), runway, stop_s),
    delay_s: delay_s.known ? acted_s - stop_s : null,
    straight_s: turn.from_s - acted_s,
    side: turn.side,
    bank_rad,
    turnEas_mps: meanOver(flown, eas_mps, turn.from_s, lineFrom_s),
    finalEas_mps: meanOver(flown, eas_mps, lineFrom_s, touch_s - FLARE_S),
    parts: times.map(([part, from_s, to_s]) => ({
      part,
      height_m: height(from_s) - height(to_s) + (part === "final" && over ? over.below_m : 0),
      time_s: to_s - from_s,
    })),
    left_m: over ? over.left_m : null,
    sigma_m: Math.hypot(flown.has.pressure ? 2 : 5, over?.touched && touch?.known ? touch.sigma / STEEP : 0),
    alignedHeight_m: aligned_s === null ? null : height(aligned_s),
  });
}

/** When it is aligned with the runway on the way back; null for never. */
function alignedAt(flown: Flown, runway: LandingEnd, from_s: number, to_s: number): number | null {
  const { time_s, groundEast_mps, groundNorth_mps, bank_rad } = flown;
  for (let i = indexAt(time_s, from_s); i < time_s.length && time_s[i] < to_s; i += 1) {
    if (Math.abs(bank_rad[i]) > ALIGNED_BANK_RAD) continue;
    const track = Math.atan2(groundEast_mps[i], groundNorth_mps[i]) - runway.headingTrue_rad - Math.PI;
    if (Math.abs(track - 2 * Math.PI * Math.round(track / (2 * Math.PI))) > ALIGNED_RAD) continue;
    if (Math.abs(onRunway(runway, placeAt(flown, time_s[i])).across_m) < ALIGNED_M) return time_s[i];
  }
  return null;
}

/** Height that is left at the runway's end, or where it was aligned over the runway. */
function overEnd(
  flown: Flown,
  runway: LandingEnd,
  aligned_s: number,
  touch_s: number,
): { at_s: number; left_m: number; below_m: number; touched: boolean } {
  const { time_s, altitude_m } = flown;
  const along = (t: number) => onRunway(runway, placeAt(flown, t)).along_m;
  const height = (t: number) => valueAt(time_s, altitude_m, t) - runway.elevation_m;
  if (along(aligned_s) <= runway.length_m)
    return { at_s: aligned_s, left_m: height(aligned_s), below_m: 0, touched: false };
  const short_m = along(touch_s) - runway.length_m;
  if (short_m > 0) {
    // What lacks: the slope that it came down on goes on below the ground.
    const slope = height(aligned_s) / Math.max(along(aligned_s) - along(touch_s), 1);
    return { at_s: touch_s, left_m: -slope * short_m, below_m: slope * short_m, touched: true };
  }
  let [low, high] = [aligned_s, touch_s];
  for (let n = 0; n < 40; n += 1) {
    const middle = (low + high) / 2;
    if (along(middle) > runway.length_m) low = middle;
    else high = middle;
  }
  return { at_s: high, left_m: height(high), below_m: 0, touched: false };
}
