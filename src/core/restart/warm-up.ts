// Bringing a shut-down piston engine back: how long to warm up by how cold it has become, and what the outside air does
// to a hot one that is throttled. Common practice; the engine maker's limits come first. Not here: oil grades,
// preheating on the ground.
import { ZERO_CELSIUS_K } from "../quantities/constants";

/** One step of a warm-up. */
export interface WarmUpStep {
  readonly name: string;
  /** Share of full power. */
  readonly power: number;
  readonly time_s: number;
}

/** The schedule, and what the air says about shutting down at all. */
export interface WarmUp {
  readonly steps: readonly WarmUpStep[];
  readonly time_s: number;
  /** "cold" means below freezing: no practice shutdown; "cool" wants care. */
  readonly air: "warm" | "cool" | "cold";
  readonly caution: string;
}

/**
 * Shut down for this long an engine has cooled as far as the air lets it: a fin-cooled cylinder loses half its excess
 * in about 4 minutes.
 */
const HALF_S = 240;
/** Cylinder head in flight, K. */
const HOT_K = 200 + ZERO_CELSIUS_K;
/** Warm enough for power, K. */
const WARM_K = 120 + ZERO_CELSIUS_K;
/** A cylinder gains about this much each minute at low power, K. */
const GAIN_KPMIN = 25;
const COOL_K = 10 + ZERO_CELSIUS_K;

/**
 * The schedule by outside temperature and time since the shutdown.
 *
 * Head temperature falls as T = T_air + (T_hot − T_air)·2^(−t/240 s); warm-up at low power gains 25 K a minute up to
 * 120 °C, then two steps of power. All common practice, of the right order only.
 *
 * @param outside_K - 200 to 330
 * @param stopped_s - since it was shut down, 0 or more
 */
export function warmUp(outside_K: number, stopped_s: number): WarmUp {
  const head_K = outside_K + (HOT_K - outside_K) * 2 ** (-stopped_s / HALF_S);
  const low_s = Math.max(((WARM_K - head_K) / GAIN_KPMIN) * 60, 30);
  const steps = [
    { name: "oil pressure within 30 s, or shut down again", power: 0.15, time_s: 30 },
    { name: "low power until heads and oil are warm", power: 0.25, time_s: low_s },
    { name: "half power", power: 0.5, time_s: 60 },
    { name: "cruise power", power: 0.65, time_s: 60 },
  ];
  const air = outside_K < ZERO_CELSIUS_K ? "cold" : outside_K < COOL_K ? "cool" : "warm";
  const cautions = {
    cold: "Below freezing: no real shutdown for practice. Oil in a feathering propeller thickens and may not bring it back; cylinders cool fast enough to crack.",
    cool: "Cool air: reduce power in steps, a few inches a minute, before any shutdown, and keep the practice short.",
    warm: "Warm air: still reduce power in steps before a shutdown; never from high power at once.",
  };
  return { steps, time_s: steps.reduce((sum, step) => sum + step.time_s, 0), air, caution: cautions[air] };
}

/** When a stopped engine is not started again. Common practice. */
export const NO_RESTART: readonly string[] = [
  "There has been fire, or smoke from it.",
  "It shook, banged, or the propeller is not whole.",
  "Oil pressure was lost, or oil is on the cowling.",
  "The cause is not known and the other engine gives what is needed.",
  "Its controls do not move freely, or the starter does not turn it freely.",
];
