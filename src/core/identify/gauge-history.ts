import { asymmetricCase } from "../asymmetric/anchored-case";
import type { AsymmetricCase, AsymmetricQuestion } from "../asymmetric/asymmetric-case";
import { deadDragArea_m2, engineForce, powerShare } from "../asymmetric/engine-force";
import { loadingAt } from "../asymmetric/equilibrium";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { type Outcome, failure, success } from "../outcome";
import { P0_PA, PA_PER_INHG, ZERO_CELSIUS_K } from "../quantities/constants";
import type { FaultKind } from "./engine-fault";

/** A gauge of one engine: manifold pressure and propeller speed, or for jets fan and core speed; then what both have. */
export type GaugeName = "manifold" | "rpm" | "fan" | "core" | "fuelFlow" | "exhaust" | "head" | "oil";

/** Readings of one engine: Pa, 1/min, shares of full speed, kg/s, K, K, Pa. Gauges that it has not are left out. */
export type Gauges = Readonly<Partial<Record<GaugeName, number>>>;

/** One second of the minute. */
export interface GaugeMoment {
  readonly time_s: number;
  readonly left: Gauges;
  readonly right: Gauges;
  /** Heading at which it would come to rest without rudder, right positive, rad: it swings toward the engine with less thrust. */
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

/** What one engine does at a moment, as shares of what it did before. */
interface EngineMoment {
  /** Power that its lever position gives. */
  readonly power: number;
  /** Opening of the intake: 1 as the lever asks. */
  readonly intake: number;
  readonly fuel: number;
  /** Of the heat that combustion brings to the exhaust; above 1 hotter. */
  readonly heat: number;
  readonly turning: "driven" | "windmilling" | "stopped" | "runaway";
  readonly oil: number;
  /** Gauge that has failed. */
  readonly blind: GaugeName | null;
}

/** A minute is followed, a second at a time. */
export const GAUGE_SECONDS = 60;
const FINE: EngineMoment = { power: 1, intake: 1, fuel: 1, heat: 1, turning: "driven", oil: 1, blind: null };

// Readings of a healthy engine at full power, and time constants. Common practice.
const FULL_MANIFOLD_PA = 29 * PA_PER_INHG;
const CLOSED_MANIFOLD_PA = 10 * PA_PER_INHG;
const FUEL_KG_PER_J = 0.3 / 3.6e6;
const JET_FUEL_KG_PER_NS = 1.8e-5;
const EXHAUST_K = 750 + ZERO_CELSIUS_K;
const COLD_EXHAUST_K = 150 + ZERO_CELSIUS_K;
const HEAD_K = 190 + ZERO_CELSIUS_K;
const COLD_HEAD_K = 90 + ZERO_CELSIUS_K;
const OIL_PA = 410_000;
const HEAD_S = 240;
const EXHAUST_S = 4;
const QUICK_S = 1.5;
/** A windmilling propeller holds its governed speed down to this true airspeed, m/s: 74 kt. */
const HOLD_MPS = 38;
const OVERSPEED = 1.15;
/** Fuel in the lines lasts so long, s; ice and lean mixture take so long. */
const LINES_S = 15;
const ICE_S = 45;
const LEAN_S = 20;
/** Lever position to which both are brought back when one sticks. */
const BACK = 0.5;
/** Windmilling core and fan of a jet, share of full speed. */
const JET_CORE = 0.1;
const JET_FAN = 0.2;

const falling = (time_s: number, over_s: number) => Math.exp(-Math.max(time_s, 0) / over_s);
const ramp = (time_s: number, over_s: number) => Math.min(Math.max(time_s / over_s, 0), 1);

/** The troubled engine by time since the trouble. */
function troubled(fault: FaultKind, t: number, jet: boolean): EngineMoment {
  const stopping = (since: number): EngineMoment => ({
    ...FINE,
    power: falling(since, QUICK_S),
    fuel: falling(since, QUICK_S),
    heat: falling(since, EXHAUST_S),
    turning: "windmilling",
  });
  switch (fault) {
    case "starvation":
      return stopping(t);
    case "selector": {
      if (t < LINES_S - 5) return FINE;
      // It surges before it stops.
      if (t < LINES_S) {
        const surge = 0.75 + 0.25 * Math.cos((t - LINES_S + 5) * Math.PI);
        return { ...FINE, power: surge, fuel: surge };
      }
      return stopping(t - LINES_S);
    }
    case "ignition":
      return { ...stopping(t), fuel: 1 };
    case "mixture": {
      const lean = ramp(t, LEAN_S);
      if (lean < 1)
        return { ...FINE, power: 1 - 0.25 * lean, fuel: 1 - 0.45 * lean, heat: 1 + 0.12 * Math.sin(lean * Math.PI) };
      const out = stopping(t - LEAN_S);
      return { ...out, power: 0.75 * out.power, fuel: 0.55 * out.fuel };
    }
    case "ice": {
      const closing = ramp(t, ICE_S);
      return {
        ...FINE,
        intake: 1 - 0.7 * closing,
        power: 1 - 0.85 * closing,
        fuel: 1 - 0.75 * closing,
        heat: 1 - 0.25 * closing,
      };
    }
    case "seizure":
      return {
        ...FINE,
        power: falling(t, 0.5),
        fuel: falling(t, 0.5),
        heat: falling(t, EXHAUST_S),
        turning: t < 1 ? "driven" : "stopped",
        oil: falling(t, 1),
      };
    case "partial":
      return {
        ...FINE,
        power: 1 - 0.4 * (1 - falling(t, QUICK_S)),
        fuel: 1 - 0.08 * (1 - falling(t, QUICK_S)),
        heat: 1 - (jet ? -0.12 : 0.1) * (1 - falling(t, EXHAUST_S)),
      };
    case "overspeed":
      return { ...FINE, power: 1 - 0.6 * (1 - falling(t, 2)), turning: "runaway", oil: 1 - 0.3 * ramp(t, 20) };
    case "gauge":
      return { ...FINE, blind: jet ? "exhaust" : "manifold" };
    case "stuck":
      return FINE;
  }
}

/** The lever of each engine by time. */
function lever({ fault, engine, closed }: GaugeQuestion, which: "left" | "right", t: number): number {
  const back = fault === "stuck" && which !== engine ? 1 - (1 - BACK) * ramp(t, 2) : 1;
  // A stuck lever cannot be closed: that is the trouble.
  if (!closed || closed.engine !== which || t < closed.time_s || (fault === "stuck" && which === engine)) return back;
  return back * (1 - ramp(t - closed.time_s, 2));
}

/** A first-order lag is already in the moments; the cylinder head has its own. */
function readings(
  one: AsymmetricCase,
  tas_mps: number,
  moment: EngineMoment,
  position: number,
  t: number,
  changedAt_s: number,
): Gauges {
  const { engines } = one.question.aircraft;
  const blind = (gauges: Gauges): Gauges =>
    moment.blind === null ? gauges : { ...gauges, [moment.blind]: gauges[moment.blind] === undefined ? undefined : 0 };
  const setting = one.question.setting * position;
  const exhaust = COLD_EXHAUST_K + (EXHAUST_K - COLD_EXHAUST_K) * moment.heat * (0.55 + 0.45 * position);
  if (engines.kind === "jet") {
    const live = engineForce(engines, one.engineAir, tas_mps, setting, one.sigmaCritical);
    // Speed goes with the root of thrust, nearly; a flamed-out engine windmills.
    const spool = Math.max(moment.fuel, 0) * (0.35 + 0.65 * Math.sqrt(setting * moment.power));
    const stopped = moment.turning === "stopped";
    return blind({
      fan: stopped ? 0 : Math.max(spool, moment.turning === "windmilling" ? JET_FAN : 0),
      core: stopped
        ? 0
        : Math.max(0.4 * Math.min(moment.fuel, 1) + 0.6 * spool, moment.turning === "windmilling" ? JET_CORE : 0),
      exhaust,
      fuelFlow: JET_FUEL_KG_PER_NS * (live?.thrust_N ?? 0) * moment.fuel,
      oil: OIL_PA * moment.oil * (moment.turning === "windmilling" ? Math.max(0.35, spool) : stopped ? 0 : 1),
    });
  }
  if (engines.kind !== "piston") return {};
  const outside_Pa = one.engineAir.delta * P0_PA;
  const most_Pa = one.sigmaCritical === null ? Math.min(outside_Pa - PA_PER_INHG, FULL_MANIFOLD_PA) : FULL_MANIFOLD_PA;
  const open = setting * moment.intake;
  const share = powerShare(one.state.sigma, one.sigmaCritical);
  const speed = engines.speed_rpm;
  const windmill = speed * Math.min(tas_mps / HOLD_MPS, 1);
  const rpm =
    moment.turning === "stopped"
      ? 0
      : moment.turning === "windmilling"
        ? windmill + (speed - windmill) * moment.power
        : moment.turning === "runaway"
          ? speed * (1 + (OVERSPEED - 1) * ramp(t, 3))
          : position < 0.15
            ? windmill
            : speed;
  const cooling = moment.power * position < 0.5 ? 1 - falling(t - changedAt_s, HEAD_S) : 0;
  return blind({
    manifold: moment.turning === "stopped" ? outside_Pa : CLOSED_MANIFOLD_PA + (most_Pa - CLOSED_MANIFOLD_PA) * open,
    rpm,
    fuelFlow: FUEL_KG_PER_J * engines.power_W * share * setting * moment.fuel,
    exhaust,
    head: HEAD_K - (HEAD_K - COLD_HEAD_K) * cooling,
    oil: OIL_PA * moment.oil * Math.min(rpm / (0.5 * speed), 1),
  });
}

/**
 * Gauges of both engines, yaw, ball and foot over the minute after a fault.
 *
 * Thrust of each engine between full and its dead drag by its power; yaw and pedal are those of the one-engine equilibrium by the share
 * of the asymmetry, which is linear. Without rudder it comes to rest where Cnβ·β takes up the thrust's moment.
 *
 * @returns a moment for each second, 0…60; failures of the case; `no_such_fault` for what this kind of engine has not
 */
export function gaugeHistory(asked: GaugeQuestion): Outcome<GaugeMoment[]> {
  const { question, eas_mps, engine, fault, closed } = asked;
  const jet = question.aircraft.engines.kind === "jet";
  if (jet && !["starvation", "seizure", "partial", "gauge", "stuck"].includes(fault))
    return failure("no_such_fault", "Jets have no such fault.", "fault");
  const dead = asymmetricCase({ ...question, failed: engine, deadPropeller: jet ? "none" : "windmilling" });
  if (!dead.ok) return dead;
  const one = dead.value;
  const straight = zeroSideslip(one, eas_mps);
  if (!straight) return failure("no_equilibrium", "No bank holds this speed straight on one engine.", "eas_mps");
  const level = loadingAt(one, eas_mps, 0);
  const full = straight.thrust_N;
  const whole = full + straight.deadDrag_N;
  const stoppedDrag_N = straight.q * (deadDragArea_m2(question.aircraft, jet ? "none" : "stopped") ?? one.deadArea_m2);
  const force = (moment: EngineMoment, position: number) => {
    const power = moment.power * position;
    return power * full - (1 - power) * (moment.turning === "stopped" ? stoppedDrag_N : straight.deadDrag_N);
  };
  const { cnBeta, cyBeta } = one.asymmetric;
  // Without rudder, wings level, dead engine wholly dead: where it comes to rest, and how far out the ball.
  const swing = -level.cnThrust / cnBeta;
  const ball = (-cyBeta * swing) / level.cw / (Math.PI / 36);
  return success(
    Array.from({ length: GAUGE_SECONDS + 1 }, (_, t): GaugeMoment => {
      const bad = troubled(fault, t, jet);
      const of = (which: "left" | "right") => ({
        moment: which === engine ? bad : FINE,
        position: lever(asked, which, t),
      });
      const [left, right] = [of("left"), of("right")];
      const failed = engine === "left" ? left : right;
      const other = engine === "left" ? right : left;
      const share = (force(other.moment, other.position) - force(failed.moment, failed.position)) / whole;
      const read = (which: "left" | "right", { moment, position }: typeof left) =>
        readings(
          one,
          straight.tas_mps,
          moment,
          position,
          t,
          closed?.engine === which && which !== engine ? closed.time_s : 0,
        );
      return {
        time_s: t,
        left: read("left", left),
        right: read("right", right),
        yaw_rad: -swing * share,
        ball: ball * share,
        foot_N: straight.pedal_N * share,
      };
    }),
  );
}

/** Sink with neither engine giving power, both propellers in a state, at a speed: what shutting down the wrong one costs, m/s. */
export function sinkOnNone_mps(one: AsymmetricCase, eas_mps: number, deadArea_m2: number): number {
  const load = loadingAt(one, eas_mps, 0);
  const drag_N = load.q * (one.wing.area_m2 * (one.cd0 + one.k * load.cl ** 2) + 2 * deadArea_m2);
  return (drag_N / one.weight_N) * load.tas_mps;
}
