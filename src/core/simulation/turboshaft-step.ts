// The engines of a helicopter a step of time later: what they are asked for, what they give, light-up, gauges. Runs
// inside a step: functions of numeric/exact only. Time constants are common practice, of the right order only.
import type { Helicopter } from "../aircraft/helicopter";
import { GAMMA_AIR, P0_PA, R_AIR, T0_K, ZERO_CELSIUS_K } from "../quantities/constants";
import { availablePower } from "../rotor/power-available";
import { MIXTURE, STARTER } from "./controls";
import { follow } from "./engine-step";
import * as S from "./state";
import type { StepAir } from "./step-air";
import { type EngineTrouble, leverOf } from "./trouble";

/** An engine takes up the load within this, s; it goes out, comes back, and lights after so long. */
const [LAG_S, OUT_S, IN_S, LIGHTS_S] = [0.9, 0.3, 0.9, 12];
/**
 * The governor brings rotor speed back within this, s, and answers a load that grows by so much more than the load: so
 * that a lag of 0.9 s neither droops nor swings it.
 */
const [BACK_S, AHEAD] = [0.25, 3];
/** A fuel lever behind this is shut; an engine lever at or before this lets the governor have all. */
const [SHUT, OPEN] = [0.12 * 127, 0.95];
const [FUEL_KGPJ, IDLE_KGPS] = [0.32 / 3.6e6, 22 / 3600];
const [IDLE_N, FULL_N] = [0.62, 0.97];
const [HOT_K, COLD_K, OIL_PA] = [720 + ZERO_CELSIUS_K, 180 + ZERO_CELSIUS_K, 420_000];
const [N_S, FLOW_S, OIL_S, EXHAUST_S] = [0.6, 0.5, 0.7, 3];

/** What the rotor asks of all engines together. */
export interface Asked {
  /** Power that main rotor, tail rotor, gearbox and accessories take now, W. */
  readonly shaft_W: number;
  /** I·Ω0², J: what a change of rotor speed costs. */
  readonly inertia_J: number;
  /** Rotor speed over the nominal one. */
  readonly nr: number;
}

/**
 * Moves the engines on: each gives what the governor asks of it, as far as its shortest rating and the gearbox allow.
 *
 * P′ = (wanted − P)/0.9 s, wanted = load + I·Ω0²(1 − n)/0.25 s + 3(load − P), shared by those that run.
 *
 * @param troubles - by engine
 */
export function stepTurboshafts(
  { engines: { count, ratings } }: Helicopter,
  s: Float64Array,
  controls: Int8Array,
  troubles: readonly EngineTrouble[],
  air: StepAir,
  asked: Asked,
  step_s: number,
): void {
  const air_K = (air.speedOfSound_mps * air.speedOfSound_mps) / (GAMMA_AIR * R_AIR);
  const { engine_W, power_W } = availablePower(
    { delta: air.pressure_Pa / P0_PA, theta: air_K / T0_K },
    ratings[0],
    Math.max(asked.nr, 0.3),
  );
  let [live, given_W] = [0, 0];
  for (let i = 0; i < count; i += 1) {
    const at = S.ENGINE + i * S.PER_ENGINE;
    light(s, at, controls[STARTER + i] === 1, fed(troubles[i], controls, i), step_s);
    if (s[at + S.BURN] > 0.5) live += 1;
    given_W += s[at + S.POWER];
  }
  const wanted_W = asked.shaft_W + (asked.inertia_J * (1 - asked.nr)) / BACK_S + AHEAD * (asked.shaft_W - given_W);
  for (let i = 0; i < count; i += 1) {
    const at = S.ENGINE + i * S.PER_ENGINE;
    const trouble = troubles[i];
    const burning = s[at + S.BURN] > 0.5;
    const lever = leverOf(controls, i === 0 ? 0 : 1);
    const most_W = Math.max(power_W, 0) * trouble.power * (lever >= OPEN ? 1 : lever);
    let gives_W = Math.max(0, Math.min(wanted_W / Math.max(live, 1), most_W));
    if (trouble.stuck >= 0) gives_W = trouble.stuck * ratings[0].engine_W;
    if (!trouble.governed) gives_W = most_W;
    if (trouble.seized || !burning) follow(s, at + S.POWER, 0, OUT_S, step_s);
    else follow(s, at + S.POWER, gives_W, LAG_S, step_s);
    // The limiter does not lag: a rotor that slows down takes less torque at once.
    if (trouble.stuck < 0) s[at + S.POWER] = Math.min(s[at + S.POWER], Math.max(most_W, 0));
    const load = engine_W > 0 ? s[at + S.POWER] / engine_W : 0;
    const spool = burning ? IDLE_N + (FULL_N - IDLE_N) * Math.sqrt(load) : 0;
    follow(s, at + S.OMEGA, trouble.seized ? 0 : spool, burning ? N_S : 5, step_s);
    follow(s, at + S.FUEL_FLOW, burning ? IDLE_KGPS + FUEL_KGPJ * s[at + S.POWER] : 0, FLOW_S, step_s);
    const heat = burning ? COLD_K + (HOT_K - COLD_K) * (0.5 + 0.5 * load) : COLD_K;
    follow(s, at + S.EXHAUST, trouble.blind ? 0 : heat, EXHAUST_S, step_s);
    follow(s, at + S.OIL, OIL_PA * trouble.oil * Math.min(s[at + S.OMEGA] / IDLE_N, 1), OIL_S, step_s);
  }
}

const fed = (trouble: EngineTrouble, controls: Int8Array, engine: number): boolean =>
  trouble.fuel > 0 && trouble.spark > 0 && !trouble.seized && controls[MIXTURE + engine] >= SHUT;

/** Combustion goes out without fuel; the starter lights it after a while. */
function light(s: Float64Array, at: number, starter: boolean, isFed: boolean, step_s: number): void {
  const burn = s[at + S.BURN];
  s[at + S.CRANKED_S] = isFed && starter && burn < 0.5 ? s[at + S.CRANKED_S] + step_s : 0;
  if (s[at + S.CRANKED_S] > LIGHTS_S) s[at + S.BURN] = 0.6;
  else if (isFed && burn > 0.5) follow(s, at + S.BURN, 1, IN_S, step_s);
  else follow(s, at + S.BURN, 0, OUT_S, step_s);
}
