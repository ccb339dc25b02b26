// Exercises in a flight log: found where they can be told from what was flown, or marked by hand, and scored by the
// same documents as in the simulator. What the drill was a log does not show.
import { cleanGlide } from "../aircraft/configuration";
import type { Aeroplane } from "../aircraft/aeroplane";
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { polarOf, stallSpeed_mps } from "../aircraft/polar";
import { bookSpeed_mps } from "../exercise/book-speed";
import type { Exercise } from "../exercise/exercise";
import { type ExerciseScore, exerciseScore } from "../exercise/exercise-score";
import { EXERCISES } from "../exercise/library";
import type { Trace } from "../exercise/trace";
import { type Outcome, failure } from "../outcome";
import { procedureCategory } from "../procedure/library/procedures";
import { radians } from "../quantities/angle";
import { M_PER_FT } from "../quantities/constants";
import type { FoundFlight } from "../track/analyse";
import type { DrawnTrack } from "../track/drawn-track";

/** A part of a log that an exercise was flown in. */
export interface ExercisePart {
  readonly exerciseId: string;
  readonly from_s: number;
  readonly to_s: number;
}

/** A log as far as exercises are scored from it. */
export interface ExerciseLog {
  readonly drawn: DrawnTrack;
  readonly flights: readonly FoundFlight[];
  /** Speed and heading through the air are known: by an indicator or a wind. */
  readonly airKnown: boolean;
}

/** A steep turn: so steep, so far round. It begins and ends so long before and after, s. */
const [STEEP_RAD, ROUND_RAD, ABOUT_S] = [radians(38), radians(300), 2];
/** Slow flight: so little over the stall, so level, for so long. Common practice. */
const [OVER_STALL, LEVEL_MPS, SLOW_S] = [1.25, 1.5, 30];
/** An approach on one engine is judged from here, above the ground. */
const APPROACH_M = 1500 * M_PER_FT;
/** Turned back: through so much at least, so soon after lift-off, s, from so low. Common practice. */
const [BACK_RAD, AFTER_LIFT_OFF_S, LOW_M] = [radians(120), 150, 460];
/** Round to a spot: through about half a circle in all, from about circuit height. Common practice. */
const [SPOT_LEAST_RAD, SPOT_MOST_RAD, CIRCUIT_LEAST_M, CIRCUIT_MOST_M] = [radians(140), radians(250), 180, 500];
/** Gone around: down to under this above the ground, then up by this much; from so long before to so long after, s. */
const [AROUND_BELOW_M, UP_AGAIN_M, AROUND_BEFORE_S, AROUND_AFTER_S] = [180, 60, 15, 60];

/**
 * The part of a log as a trace.
 *
 * @param ground_m - height that heights are counted from
 */
export function logTrace(
  { drawn, airKnown }: Pick<ExerciseLog, "drawn" | "airKnown">,
  { from_s, to_s }: Pick<ExercisePart, "from_s" | "to_s">,
  ground_m: number,
): Trace | null {
  const all = Array.from(drawn.time_s, (_, i) => i);
  const picked = all.filter((i) => drawn.time_s[i] >= from_s && drawn.time_s[i] <= to_s);
  if (picked.length < 2) return null;
  const of = (values: Float64Array) => picked.map((i) => (Number.isFinite(values[i]) ? values[i] : null));
  return {
    source: "log",
    time_s: picked.map((i) => drawn.time_s[i] - from_s),
    channels: {
      height: picked.map((i) => drawn.altitude_m[i] - ground_m),
      verticalSpeed: of(drawn.climb_mps),
      ...(airKnown ? { heading: of(drawn.course_rad), speed: of(drawn.eas_mps), bank: of(drawn.bank_rad) } : {}),
    },
  };
}

const groundOf = (flight: FoundFlight | undefined) => flight?.takeOff?.ground_m ?? flight?.landing?.ground_m ?? null;

/**
 * How an exercise was flown in a part of a log; its times are seconds of the log.
 *
 * @returns `part_short` where the part has no two fixes; `never_begun`
 */
export function loggedScore(
  exercise: Exercise,
  log: ExerciseLog,
  part: Pick<ExercisePart, "from_s" | "to_s">,
  aircraft: AircraftDocument,
): Outcome<ExerciseScore> {
  const ground_m = groundOf(
    log.flights.find(({ begins_s, ends_s }) => part.from_s >= begins_s && part.from_s < ends_s),
  );
  const trace = logTrace(log, part, ground_m ?? 0);
  if (!trace) return failure("part_short", "Mark a part with two fixes at least.");
  const { setUp } = exercise;
  // Where no ground is known, heights are held as well; whether the deck was kept is not known.
  const judged = ground_m === null ? { ...exercise, setUp: { ...setUp, hardDeck_m: null } } : exercise;
  const scored = exerciseScore(judged, trace, { drill: null, book_mps: bookSpeed_mps(aircraft) });
  if (!scored.ok) return scored;
  const { verdict, from_s, to_s, tolerances, failed, deck_s, ...rest } = scored.value;
  const at = (time_s: number) => time_s + part.from_s;
  return {
    ok: true,
    value: {
      ...rest,
      verdict: verdict === "passed" && ground_m === null && setUp.hardDeck_m !== null ? "unmeasured" : verdict,
      from_s: at(from_s),
      to_s: at(to_s),
      tolerances: tolerances.map((one) => ({
        ...one,
        busts: one.busts.map((bust) => ({ ...bust, from_s: at(bust.from_s), to_s: at(bust.to_s) })),
      })),
      failed: failed.map((one) => ({ ...one, at_s: at(one.at_s) })),
      deck_s: deck_s === null ? null : at(deck_s),
    },
  };
}

/** Exercises that can be told from what was flown, in the order of their time. */
export function foundExercises(log: ExerciseLog, aircraft: AircraftDocument, mass_kg: number): ExercisePart[] {
  const category = procedureCategory(aircraft);
  const fits = new Set(EXERCISES.filter((exercise) => exercise.fits.includes(category)).map(({ id }) => id));
  const found = log.flights.flatMap((flight): ExercisePart[] => [
    ...steepTurns(flight),
    ...slowed(flight),
    ...failures(flight, category),
    ...goneAround(log, flight),
    ...(isAeroplane(aircraft) ? slowFlight(log, flight, aircraft, mass_kg) : ofRotorcraft(log, flight, category)),
  ]);
  return found.filter(({ exerciseId }) => fits.has(exerciseId)).sort((a, b) => a.from_s - b.from_s);
}

function steepTurns({ turns, failures: stops, begins_s, ends_s }: FoundFlight): ExercisePart[] {
  const withEngine = (at_s: number) =>
    !stops.some(({ time_s, back_s }) => at_s > time_s && at_s < (back_s ?? Infinity));
  return turns
    .filter(({ heading_rad, measures, from_s }) => {
      const { bank_rad } = measures;
      return heading_rad >= ROUND_RAD && bank_rad.known && bank_rad.value >= STEEP_RAD && withEngine(from_s);
    })
    .map(({ from_s, to_s }) => ({
      exerciseId: "steep-turns",
      from_s: Math.max(from_s - ABOUT_S, begins_s),
      to_s: Math.min(to_s + ABOUT_S, ends_s),
    }));
}

/** Minimum control is shown by slowing level until it is left and the speed is had again. */
function slowed({ slowed: demonstrations }: FoundFlight): ExercisePart[] {
  return demonstrations.map(({ from_s, least_s, recovered_s }) => ({
    exerciseId: "vmca-demo",
    from_s,
    to_s: recovered_s.known ? recovered_s.value : least_s,
  }));
}

/** A failure that was flown to the power's return or the log's end; of two engines also the landing on one. */
function failures(
  { failures: stops, takeOff, ends_s }: FoundFlight,
  category: ReturnType<typeof procedureCategory>,
): ExercisePart[] {
  return stops.flatMap((stop): ExercisePart[] => {
    const { time_s, back_s, engine, toGround, height_m, possible } = stop;
    if (possible) return [];
    // An engine that is back only after the touch was flown to the ground without it.
    if (toGround === null)
      return [{ exerciseId: `engine-failure-${category}`, from_s: time_s, to_s: back_s ?? ends_s }];
    const gliding = glidedToGround(stop, takeOff);
    if (gliding) return [{ exerciseId: gliding, from_s: time_s, to_s: ends_s }];
    if (engine === null) return [];
    const low = height_m.known && takeOff !== null && height_m.value < APPROACH_M;
    return low ? [] : [{ exerciseId: "one-engine-approach", from_s: Math.max(time_s, ends_s - 180), to_s: ends_s }];
  });
}

/** A glide to the ground with all engines off: turned back, or round to a spot; null for neither. */
function glidedToGround(
  { time_s, engine, height_m, turns }: FoundFlight["failures"][number],
  takeOff: FoundFlight["takeOff"],
): string | null {
  if (engine !== null || !height_m.known) return null;
  const [turned, greatest] = turns.reduce(
    ([sum, most], { heading_rad }) => [sum + heading_rad, Math.max(most, heading_rad)],
    [0, 0],
  );
  const climbing = takeOff !== null && time_s - takeOff.time_s < AFTER_LIFT_OFF_S;
  if (climbing) return greatest > BACK_RAD && height_m.value < LOW_M ? "turn-back" : null;
  const circuit = height_m.value > CIRCUIT_LEAST_M && height_m.value < CIRCUIT_MOST_M;
  return circuit && turned > SPOT_LEAST_RAD && turned < SPOT_MOST_RAD ? "power-off-180" : null;
}

/** On one engine of two down to near the ground, and up again before the other was back. */
function goneAround({ drawn }: ExerciseLog, flight: FoundFlight): ExercisePart[] {
  const ground_m = groundOf(flight);
  if (ground_m === null) return [];
  return flight.failures.flatMap(({ engine, time_s, back_s, toGround, possible }): ExercisePart[] => {
    if (engine === null || possible || toGround !== null) return [];
    const end_s = back_s ?? flight.ends_s;
    let [lowest, at_s] = [Infinity, 0];
    for (let i = 0; i < drawn.time_s.length; i += 1) {
      if (drawn.time_s[i] < time_s || drawn.time_s[i] > end_s) continue;
      const above = drawn.altitude_m[i] - ground_m;
      if (above < lowest) [lowest, at_s] = [above, drawn.time_s[i]];
      else if (lowest < AROUND_BELOW_M && above > lowest + UP_AGAIN_M)
        return [
          {
            exerciseId: "one-engine-go-around",
            from_s: Math.max(at_s - AROUND_BEFORE_S, time_s),
            to_s: Math.min(at_s + AROUND_AFTER_S, end_s),
          },
        ];
    }
    return [];
  });
}

/** A gyroplane sinks without speed: slower than this, m/s, sinking faster than this, m/s, for so long, s. */
const [NO_SPEED_MPS, SINKING_MPS, DOWN_S] = [9, 3, 4];
/** It flies again from this speed on, m/s. Common practice. */
const SPEED_AGAIN_MPS = 20;
/** A hover: slower over the ground than this, m/s, not higher than this, m; looked at for so long after, s. */
const [HOVER_MPS, HOVER_M, HOVER_S] = [4, 25, 40];

/** What rotorcraft show: a gyroplane down without speed, an engine lost in a hover, an engine out to the ground. */
function ofRotorcraft(
  log: ExerciseLog,
  flight: FoundFlight,
  category: ReturnType<typeof procedureCategory>,
): ExercisePart[] {
  const { drawn, airKnown } = log;
  if (category === "gyroplane") {
    const out = flight.failures
      .filter(({ toGround, possible }) => toGround !== null && !possible)
      .map(({ time_s }) => ({ exerciseId: "gyro-engine-out", from_s: time_s, to_s: flight.ends_s }));
    return [...out, ...(airKnown ? verticalDescents(drawn, flight) : [])];
  }
  const ground_m = groundOf(flight);
  if (category !== "helicopter" || ground_m === null) return [];
  return flight.failures.flatMap(({ time_s, engine, possible }): ExercisePart[] => {
    const i = drawn.time_s.findIndex((at) => at >= time_s);
    const hovers = i >= 0 && drawn.groundSpeed_mps[i] < HOVER_MPS && drawn.altitude_m[i] - ground_m < HOVER_M;
    const to_s = Math.min(time_s + HOVER_S, flight.ends_s);
    return engine !== null && !possible && hovers ? [{ exerciseId: "helicopter-hover", from_s: time_s, to_s }] : [];
  });
}

/** From where the speed was gone to where it was had again. */
function verticalDescents(
  { time_s, eas_mps, climb_mps }: DrawnTrack,
  { begins_s, ends_s }: FoundFlight,
): ExercisePart[] {
  const parts: ExercisePart[] = [];
  let [from, down_s] = [-1, 0];
  for (let i = 0; i < time_s.length; i += 1) {
    if (time_s[i] < begins_s || time_s[i] > ends_s) continue;
    const sinks = eas_mps[i] < NO_SPEED_MPS && climb_mps[i] < -SINKING_MPS;
    if (sinks && from < 0) from = i;
    if (sinks && i > 0) down_s += time_s[i] - time_s[i - 1];
    if (from < 0 || (eas_mps[i] < SPEED_AGAIN_MPS && i < time_s.length - 1)) continue;
    if (down_s >= DOWN_S) parts.push({ exerciseId: "gyro-vertical-descent", from_s: time_s[from], to_s: time_s[i] });
    [from, down_s] = [-1, 0];
  }
  return parts;
}

/** Stretches of a flight that are level a little over the stall. */
function slowFlight(
  { drawn, airKnown }: ExerciseLog,
  { begins_s, ends_s, failures: stops }: FoundFlight,
  aircraft: Aeroplane,
  mass_kg: number,
): ExercisePart[] {
  const polar = polarOf(aircraft, mass_kg, cleanGlide(aircraft));
  if (!airKnown || !polar.ok) return [];
  const most_mps = OVER_STALL * stallSpeed_mps(polar.value.polar);
  const isSlow = (i: number) =>
    drawn.eas_mps[i] < most_mps &&
    Math.abs(drawn.climb_mps[i]) < LEVEL_MPS &&
    !stops.some(({ time_s, back_s }) => drawn.time_s[i] >= time_s && drawn.time_s[i] <= (back_s ?? Infinity));
  const parts: ExercisePart[] = [];
  let from = -1;
  for (let i = 0; i <= drawn.time_s.length; i += 1) {
    const inside = i < drawn.time_s.length && drawn.time_s[i] > begins_s + 10 && drawn.time_s[i] < ends_s - 20;
    if (inside && isSlow(i)) {
      if (from < 0) from = i;
      continue;
    }
    if (from >= 0 && drawn.time_s[i - 1] - drawn.time_s[from] >= SLOW_S)
      parts.push({ exerciseId: "slow-flight", from_s: drawn.time_s[from], to_s: drawn.time_s[i - 1] });
    from = -1;
  }
  return parts;
}
