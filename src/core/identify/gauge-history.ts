import { clamp } from "../numeric/clamp";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { type EngineSurroundings, type Gauges, gaugesOf } from "../engine/gauges";
import { type EngineState, RUNNING, engineMoment, engineStep } from "../engine/engine-state";
import { asymmetricCase } from "../asymmetric/anchored-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { deadDragArea_m2 } from "../engine/engine-force";
import { loadingAt } from "../asymmetric/equilibrium";
import { type Outcome, failure, success } from "../outcome";
import type { FaultKind } from "../engine/engine-fault";

/** One second of the minute. */
export interface GaugeMoment {
  readonly time_s: number;
  readonly left: Gauges;
  readonly right: Gauges;
  /**
   * Heading at which it would come to rest without rudder, right positive, rad: it swings toward the engine with less
   * thrust.
   */
  readonly yaw_rad: number;
  /** Balls out without rudder, right positive. */
  readonly ball: number;
  /** Pedal that holds it straight, right positive, N. */
  readonly foot_N: number;
}

/** What happened, and what is done about it. */
export interface GaugeQuestion {
  readonly question: AsymmetricQuestion;
  readonly eas_mps: number;
  readonly fault: FaultKind;
  readonly engine: "left" | "right";
  /** Lever closed to verify, and when; null for none. */
  readonly closed: { readonly engine: "left" | "right"; readonly time_s: number } | null;
}

/** A minute is followed, told by the second, flown in eighths, which add up exactly. */
export const GAUGE_SECONDS = 60;
const STEPS_A_SECOND = 8;
/** Lever position to which both are brought back when one sticks, and how long a lever takes. */
const BACK = 0.5;
const LEVER_S = 2;

const ramp = (time_s: number, over_s: number) => clamp(time_s / over_s, 0, 1);

/** The lever of each engine by time. */
function lever({ fault, engine, closed }: GaugeQuestion, which: "left" | "right", t: number): number {
  const back = fault === "stuck" && which !== engine ? 1 - (1 - BACK) * ramp(t, LEVER_S) : 1;
  // A stuck lever cannot be closed: that is the trouble.
  if (!closed || closed.engine !== which || t < closed.time_s || (fault === "stuck" && which === engine)) return back;
  return back * (1 - ramp(t - closed.time_s, LEVER_S));
}

/**
 * Gauges of both engines, yaw, ball and foot over the minute after a fault.
 *
 * Thrust of each engine between full and its dead drag by its power; yaw and pedal are those of the one-engine
 * equilibrium by the share of the asymmetry, which is linear. Without rudder it comes to rest where Cnβ·β takes up the
 * thrust's moment.
 *
 * @returns a moment for each second, 0…60; failures of the case; `no_such_fault` for what this kind of engine has not
 *
 */
export function gaugeHistory(asked: GaugeQuestion): Outcome<GaugeMoment[]> {
  const { question, eas_mps, engine, fault } = asked;
  const jet = question.aircraft.engines.kind === "jet";
  if (jet && !["starvation", "seizure", "partial", "gauge", "stuck"].includes(fault))
    return failure("no_such_fault", "Jets have no such fault.", "fault");
  const dead = asymmetricCase({ ...question, failed: engine, deadPropeller: jet ? "none" : "windmilling" });
  if (!dead.ok) return dead;
  const flight = dead.value;
  const straight = zeroSideslip(flight, eas_mps);
  if (!straight) return failure("no_equilibrium", "No bank holds this speed straight on one engine.", "eas_mps");
  const level = loadingAt(flight, eas_mps, 0);
  const full = straight.thrust_N;
  const whole = full + straight.deadDrag_N;
  const stoppedDrag_N =
    straight.q * (deadDragArea_m2(question.aircraft, jet ? "none" : "stopped") ?? flight.deadArea_m2);
  const force = (state: EngineState) => {
    const moment = engineMoment(state, jet);
    const power = moment.power * state.lever;
    return power * full - (1 - power) * (moment.turning === "stopped" ? stoppedDrag_N : straight.deadDrag_N);
  };
  const { cnBeta, cyBeta } = flight.asymmetric;
  // Without rudder, wings level, dead engine wholly dead: where it comes to rest, and how far out the ball.
  const swing = -level.cnThrust / cnBeta;
  const ball = (-cyBeta * swing) / level.cw / (Math.PI / 36);
  const around: EngineSurroundings = {
    engines: question.aircraft.engines,
    air: flight.engineAir,
    sigmaCritical: flight.sigmaCritical,
    tas_mps: straight.tas_mps,
    setting: question.setting,
  };
  const begin = (which: "left" | "right"): EngineState => ({
    ...RUNNING,
    fault: which === engine ? fault : null,
    lever: lever(asked, which, 0),
  });
  let [left, right] = [begin("left"), begin("right")];
  const moments: GaugeMoment[] = [];
  for (let step = 0; step <= GAUGE_SECONDS * STEPS_A_SECOND; step += 1) {
    const time_s = step / STEPS_A_SECOND;
    if (step > 0) {
      left = engineStep(left, lever(asked, "left", time_s), 1 / STEPS_A_SECOND, jet);
      right = engineStep(right, lever(asked, "right", time_s), 1 / STEPS_A_SECOND, jet);
    }
    if (step % STEPS_A_SECOND > 0) continue;
    const [failed, other] = engine === "left" ? [left, right] : [right, left];
    const share = (force(other) - force(failed)) / whole;
    moments.push({
      time_s,
      left: gaugesOf(left, around),
      right: gaugesOf(right, around),
      yaw_rad: -swing * share,
      ball: ball * share,
      foot_N: straight.pedal_N * share,
    });
  }
  return success(moments);
}

/**
 * Sink with neither engine giving power, both propellers in a state, at a speed: what shutting down the wrong one
 * costs, m/s.
 */
export function sinkOnNone_mps(flight: AsymmetricCase, eas_mps: number, deadArea_m2: number): number {
  const load = loadingAt(flight, eas_mps, 0);
  const drag_N = load.q * (flight.wing.area_m2 * (flight.cd0 + flight.k * load.cl ** 2) + 2 * deadArea_m2);
  return (drag_N / flight.weight_N) * load.tas_mps;
}
