// An engine and its propeller a step of time later: combustion, shaft, governor, thrust, gauges. Runs inside a step:
// functions of numeric/exact only. Time constants are common practice, of the right order only.
import { discThrust_N } from "../aircraft/propeller-thrust";
import { powerShare } from "../engine/power-share";
import { cos, PI } from "../numeric/exact";
import { PA_PER_INHG, RHO0, ZERO_CELSIUS_K } from "../quantities/constants";
import type { StepAir } from "./step-air";
import { FULL, HEAT, PROPELLER, STARTER } from "./controls";
import type { PropellerModel } from "./propeller-model";
import { bladeTorque_Nm, engineFriction_Nm } from "./propeller-torque";
import * as S from "./state";
import { type EngineTrouble, leverOf } from "./trouble";

/** Combustion dies and comes back within these; the propeller's wake follows within this. */
const [OUT_S, IN_S, WAKE_S] = [0.6, 0.25, 0.1];
/** A turbine’s gas generator follows within this; cranked with fuel it lights after this. */
const GAS_S = 1.8;
const LIGHTS_S = 12;
/** Fuel in the lines, and how long it surges before it stops. */
const [LINES_S, SURGE_S] = [10, 5];
/** Slower than this nothing burns, rad/s; idling it is kept from stopping below this. */
const [FIRES_RADPS, IDLE_RADPS] = [25, 80];
/** Governor: blade by speed, limit; feathering whole; unfeathering; start locks. */
const [GOVERNOR, GOVERNOR_RADPS] = [0.012, (12 * PI) / 180];
const [FEATHER_S, UNFEATHER_RADPS, LOCKS_RADPS] = [6, (14 * PI) / 180, 80];
/** Least governed speed of the greatest; a lever behind this feathers, or goes coarse. */
const [SLOWEST_GOVERNED, FEATHERS_BELOW] = [0.7, 0.05];
/** Without oil the blades drift: to feather where they can, to fine otherwise. */
const [DRIFT_TO_FEATHER, DRIFT_TO_FINE] = [(3 * PI) / 180, (-6 * PI) / 180];
/** Torque of a starter, N m, at rest, and the speed at which it lets go; more where friction is more. */
const [STARTER_NM, STARTER_RADPS, STARTER_OVER] = [110, 45, 1.5];
/** The intake ices up in this, heat clears it in this; a closed intake leaves so much. */
const [ICES_S, CLEARS_S, ICED] = [45, 8, 0.85];
const SEIZES_RADPS2 = 300;

const [FULL_MANIFOLD_PA, CLOSED_MANIFOLD_PA] = [29 * PA_PER_INHG, 10 * PA_PER_INHG];
const FUEL_KGPJ = 0.3 / 3.6e6;
const [EXHAUST_K, COLD_EXHAUST_K] = [750 + ZERO_CELSIUS_K, 150 + ZERO_CELSIUS_K];
const [HEAD_K, COLD_HEAD_K, OIL_K, COLD_OIL_K] = [190, 90, 85, 40].map((celsius) => celsius + ZERO_CELSIUS_K);
const OIL_PA = 410_000;
/** So much hotter without its cooling, and how fast. */
const [HOTTER_K, HOT_S] = [90, 60];
const [MANIFOLD_S, FLOW_S, OIL_S, EXHAUST_S, HEAD_S, OIL_HEAT_S] = [0.25, 0.5, 0.7, 4, 240, 300];

/**
 * Moves an engine on by a step.
 *
 * Ω̇ = (Qi + Qstarter − Qf − Qa)/Ip; Qi = burn·(Qf0 + lever·share·P/Ω0): at the governed speed the brake power is the
 * lever's share of full power, as everywhere in the core. Thrust: of the disc (and the document's line) at the power
 * that the air takes; when the air turns it, the document's drag by the share of the friction that it turns.
 *
 * @param s - the state; written
 * @param at - of the engine's first number
 */
export function stepEngine(
  model: PropellerModel,
  s: Float64Array,
  at: number,
  engine: 0 | 1,
  controls: Int8Array,
  trouble: EngineTrouble,
  air: StepAir,
  tas_mps: number,
  step_s: number,
): void {
  const omega = s[at + S.OMEGA];
  const lever = trouble.stuck >= 0 ? trouble.stuck : leverOf(controls, engine);
  const share = Math.max(powerShare(air.density / RHO0, model.sigmaCritical), 0);

  if (model.turbine) {
    s[at + S.GAS] += ((lever * s[at + S.BURN] - s[at + S.GAS]) * step_s) / GAS_S;
    burnTurbine(s, at, trouble, controls[STARTER + engine] === 1, step_s);
  } else burnPiston(s, at, trouble, omega, step_s);
  const gives = model.turbine ? s[at + S.GAS] : lever;
  const ice = s[at + S.ICE];
  // Heat costs a little power of its own.
  const heated = controls[HEAT + engine] === 1 ? 0.9 : 1;
  const power = trouble.power * heated * (1 - ICED * ice) * share;
  const burning = s[at + S.BURN];
  const full_Nm = model.power_W / model.speed_radps;
  let torque = burning * (model.friction_Nm + gives * power * full_Nm);
  if (burning > 0.5 && omega < IDLE_RADPS) torque += (1.6 * model.friction_Nm * (IDLE_RADPS - omega)) / 20;
  const friction = engineFriction_Nm(model.friction_Nm, model.compression_Nm, omega, model.speed_radps);
  // The starter of a turbine cranks its gas generator, not the propeller.
  if (!model.turbine && controls[STARTER + engine] === 1 && omega < STARTER_RADPS)
    torque += Math.max(STARTER_NM, STARTER_OVER * friction) * (1.4 - omega / STARTER_RADPS);

  const axial = tas_mps + s[at + S.INDUCED];
  const asked = bladeTorque_Nm(model, s[at + S.BLADE], omega, axial, air.density, air.speedOfSound_mps);
  let next = omega + ((torque - friction - asked) / model.inertia_kgm2) * step_s;
  if (trouble.seized) next = omega - SEIZES_RADPS2 * step_s;
  s[at + S.OMEGA] = next > 0 ? next : 0;
  s[at + S.TORQUE] = omega > 1 ? asked : 0;

  stepBlade(model, s, at, controls[PROPELLER + engine] / FULL, trouble, step_s);
  const thrust = thrustOf(model, s, at, asked, friction, share, air.density, tas_mps);
  s[at + S.THRUST] = thrust;
  const area = (PI * model.diameter_m * model.diameter_m) / 4;
  const wake = thrust > 0 ? (Math.sqrt(tas_mps * tas_mps + (2 * thrust) / (air.density * area)) - tas_mps) / 2 : 0;
  s[at + S.INDUCED] += ((wake - s[at + S.INDUCED]) * step_s) / WAKE_S;

  stepGauges(s, at, { lever, power, full_W: model.power_W, speed_radps: model.speed_radps, trouble, air }, step_s);
}

/** Combustion: fuel that comes, a spark, and a shaft that turns. */
export function burnPiston(s: Float64Array, at: number, trouble: EngineTrouble, omega: number, step_s: number): void {
  s[at + S.DRY_S] = trouble.fuel > 0 ? 0 : s[at + S.DRY_S] + step_s;
  const dry = s[at + S.DRY_S];
  let fed = dry < LINES_S ? 1 : 0;
  if (fed === 1 && dry > LINES_S - SURGE_S) fed = 0.75 + 0.25 * cos((dry - LINES_S + SURGE_S) * PI);
  const wanted = omega > FIRES_RADPS && !trouble.seized ? fed * trouble.spark : 0;
  const now = s[at + S.BURN];
  s[at + S.BURN] = now + ((wanted - now) * step_s) / (wanted < now ? OUT_S : IN_S);
  const ice = s[at + S.ICE];
  s[at + S.ICE] = Math.max(0, Math.min(1, ice + (trouble.iceTo > ice ? step_s / ICES_S : -step_s / CLEARS_S)));
}

/** A turbine goes out without fuel; it lights by its starter, after a while, however its propeller stands. */
function burnTurbine(s: Float64Array, at: number, trouble: EngineTrouble, starter: boolean, step_s: number): void {
  const now = s[at + S.BURN];
  const fed = trouble.fuel > 0 && !trouble.seized && trouble.spark > 0;
  s[at + S.CRANKED_S] = fed && starter && now < 0.5 ? s[at + S.CRANKED_S] + step_s : 0;
  if (s[at + S.CRANKED_S] > LIGHTS_S) s[at + S.BURN] = 0.6;
  else if (fed && now > 0.5) s[at + S.BURN] = now + ((1 - now) * step_s) / IN_S;
  else s[at + S.BURN] = now - (now * step_s) / OUT_S;
}

function stepBlade(
  model: PropellerModel,
  s: Float64Array,
  at: number,
  lever: number,
  trouble: EngineTrouble,
  step_s: number,
): void {
  if (!model.governed || trouble.bladesStuck) return;
  const omega = s[at + S.OMEGA];
  const blade = s[at + S.BLADE];
  const most = model.feathers ? model.feather_rad : model.coarse_rad;
  // Below the locks' speed blades that stand fine stay there.
  if (omega < LOCKS_RADPS && blade < model.coarse_rad && model.feathers) return;
  const wanted = model.speed_radps * (SLOWEST_GOVERNED + (1 - SLOWEST_GOVERNED) * Math.max(lever, 0));
  let rate = GOVERNOR * (omega - wanted);
  rate = rate > GOVERNOR_RADPS ? GOVERNOR_RADPS : rate < -GOVERNOR_RADPS ? -GOVERNOR_RADPS : rate;
  if (!trouble.governed) rate = -GOVERNOR_RADPS;
  else if (lever < FEATHERS_BELOW) rate = (most - model.fine_rad) / FEATHER_S;
  else if (trouble.oil < 0.2) rate = model.feathers ? DRIFT_TO_FEATHER : DRIFT_TO_FINE;
  else if (blade > model.coarse_rad && rate < 0) rate = -UNFEATHER_RADPS * Math.min(1, omega / 40 + 0.1);
  s[at + S.BLADE] = Math.max(model.fine_rad, Math.min(most, blade + rate * step_s));
}

/** D/q of a propeller that gives no thrust, m²: by how fast it turns and where its blades stand. */
function deadArea_m2(model: PropellerModel, omega: number, blade: number): number {
  const turning = omega / (0.35 * model.speed_radps);
  const fine = model.stopped_m2 + (model.windmilling_m2 - model.stopped_m2) * (turning >= 1 ? 1 : turning * turning);
  if (!model.governed) return fine;
  if (!model.feathers) {
    const coarse = (blade - model.fine_rad) / (model.coarse_rad - model.fine_rad);
    return fine + (model.coarse_m2 - fine) * coarse * coarse;
  }
  const b = cos(blade);
  const c = cos(model.coarse_rad);
  const f = cos(model.feather_rad);
  const open = (b * b - f * f) / (c * c - f * f);
  return model.feathered_m2 + (fine - model.feathered_m2) * (open > 1 ? 1 : open);
}

function thrustOf(
  model: PropellerModel,
  s: Float64Array,
  at: number,
  asked_Nm: number,
  friction_Nm: number,
  share: number,
  density: number,
  tas_mps: number,
): number {
  const omega = s[at + S.OMEGA];
  const q = 0.5 * density * tas_mps * tas_mps;
  if (asked_Nm > 0 && omega > 1) {
    const { efficiency, diameter_m, line } = model;
    const power_W = asked_Nm * omega;
    const disc = discThrust_N({ power_W, efficiency, diameter_m }, tas_mps, density);
    if (!line) return disc;
    const ofLine = Math.max(line.static_N - line.slope_Nspm * tas_mps, 0) * share * (power_W / (model.power_W * share));
    return Math.min(disc, ofLine);
  }
  const turned = omega > 1 ? Math.min(-asked_Nm / friction_Nm, 1.3) : 1;
  return -q * deadArea_m2(model, omega, s[at + S.BLADE]) * turned;
}

/** What gauges go by. */
interface Gauged {
  readonly lever: number;
  readonly power: number;
  readonly full_W: number;
  readonly speed_radps: number;
  readonly trouble: EngineTrouble;
  readonly air: StepAir;
}

/** Gauges follow what the engine does, each at its own pace; a blind one falls to nothing. */
export function stepGauges(s: Float64Array, at: number, of: Gauged, step_s: number): void {
  const { lever, power, trouble, air } = of;
  const omega = s[at + S.OMEGA];
  const burning = s[at + S.BURN];
  const most_Pa = Math.min(air.pressure_Pa - PA_PER_INHG, FULL_MANIFOLD_PA);
  const drawn_Pa = CLOSED_MANIFOLD_PA + (most_Pa - CLOSED_MANIFOLD_PA) * lever * (1 - 0.7 * s[at + S.ICE]);
  const turning = Math.min(omega / (0.2 * of.speed_radps), 1);
  const shut = trouble.blind ? 0 : 1;
  follow(s, at + S.MANIFOLD, shut * (air.pressure_Pa + (drawn_Pa - air.pressure_Pa) * turning), MANIFOLD_S, step_s);
  // What is not burnt flows all the same.
  const flowing = trouble.fuel > 0 || s[at + S.DRY_S] < LINES_S ? 1 : 0;
  follow(s, at + S.FUEL_FLOW, flowing * turning * FUEL_KGPJ * of.full_W * (0.08 + lever * power), FLOW_S, step_s);
  const heat = COLD_EXHAUST_K + (EXHAUST_K - COLD_EXHAUST_K) * burning * (0.55 + 0.45 * lever);
  follow(s, at + S.EXHAUST, heat, EXHAUST_S, step_s);
  const head_K = COLD_HEAD_K + (HEAD_K - COLD_HEAD_K) * burning * Math.min(1, 0.3 + lever) + HOTTER_K * trouble.hot;
  follow(s, at + S.HEAD, head_K, trouble.hot > 0 ? HOT_S : HEAD_S, step_s);
  follow(s, at + S.OIL, OIL_PA * trouble.oil * Math.min(omega / (0.5 * of.speed_radps), 1), OIL_S, step_s);
  follow(s, at + S.OIL_HEAT, COLD_OIL_K + (OIL_K - COLD_OIL_K) * Math.max(burning, 0.3), OIL_HEAT_S, step_s);
}

/** Towards what is wanted, at a pace of its own. */
export function follow(s: Float64Array, at: number, wanted: number, within_s: number, step_s: number): void {
  s[at] += ((wanted - s[at]) * step_s) / within_s;
}
