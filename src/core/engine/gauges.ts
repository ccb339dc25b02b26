// What an engine shows. Readings of a healthy engine at full power and their lags are common practice.
import type { Aeroplane } from "../aircraft/aeroplane";
import { P0_PA, PA_PER_INHG, RHO0, ZERO_CELSIUS_K } from "../quantities/constants";
import { type EngineAir, engineForce } from "./engine-force";
import { powerShare } from "./power-share";
import { type EngineMoment, type EngineState, engineMoment } from "./engine-state";

/**
 * A gauge of one engine: manifold pressure and propeller speed, or for jets fan and core speed; then what both have.
 */
const GAUGES = ["manifold", "rpm", "fan", "core", "fuelFlow", "exhaust", "head", "oil"] as const;
/** @see GAUGES */
export type GaugeName = (typeof GAUGES)[number];

/** Readings of one engine: Pa, 1/min, shares of full speed, kg/s, K, K, Pa. Gauges that it has not are left out. */
export type Gauges = Readonly<Partial<Record<GaugeName, number>>>;

/** The gauges that an engine has, in the order of the panel. */
export function gaugesIn(readings: Gauges): GaugeName[] {
  return GAUGES.filter((name) => name in readings);
}

/** What the readings depend on beside the engine's own state. */
export interface EngineSurroundings {
  readonly engines: Aeroplane["engines"];
  readonly air: EngineAir;
  /** Density ratio at the turbocharger's critical height; null without one. */
  readonly sigmaCritical: number | null;
  readonly tas_mps: number;
  /** Share of full power that an open lever asks for. */
  readonly setting: number;
}

const FULL_MANIFOLD_PA = 29 * PA_PER_INHG;
const CLOSED_MANIFOLD_PA = 10 * PA_PER_INHG;
const FUEL_KG_PER_J = 0.3 / 3.6e6;
const JET_FUEL_KG_PER_NS = 1.8e-5;
const EXHAUST_K = 750 + ZERO_CELSIUS_K;
const COLD_EXHAUST_K = 150 + ZERO_CELSIUS_K;
const HEAD_K = 190 + ZERO_CELSIUS_K;
const COLD_HEAD_K = 90 + ZERO_CELSIUS_K;
const HEAD_S = 240;
const OIL_PA = 410_000;
/** A windmilling propeller holds its governed speed down to this true airspeed, m/s: 74 kt. */
const HOLD_MPS = 38;
const OVERSPEED = 1.15;
const OVERSPEED_S = 3;
/** Below this lever position a governed propeller is turned by the air. */
const IDLE = 0.15;
/** Windmilling core and fan of a jet, share of full speed. */
const JET_CORE = 0.1;
const JET_FAN = 0.2;

/** Readings of an engine at a moment. A gauge that has failed reads nothing. */
export function gaugesOf(state: EngineState, around: EngineSurroundings): Gauges {
  const { engines } = around;
  const moment = engineMoment(state, engines.kind === "jet");
  const gauges =
    engines.kind === "jet" ? jetGauges(state, moment, around) : pistonGauges(engines, state, moment, around);
  return moment.blind === null || gauges[moment.blind] === undefined ? gauges : { ...gauges, [moment.blind]: 0 };
}

const exhaustOf = (heat: number, lever: number) =>
  COLD_EXHAUST_K + (EXHAUST_K - COLD_EXHAUST_K) * heat * (0.55 + 0.45 * lever);

function jetGauges({ lever }: EngineState, moment: EngineMoment, around: EngineSurroundings): Gauges {
  const setting = around.setting * lever;
  const live = engineForce(around.engines, around.air, around.tas_mps, setting, around.sigmaCritical);
  // Speed goes with the root of thrust, nearly; a flamed-out engine windmills.
  const spool = Math.max(moment.fuel, 0) * (0.35 + 0.65 * Math.sqrt(setting * moment.power));
  const stopped = moment.turning === "stopped";
  const windmilling = moment.turning === "windmilling";
  return {
    fan: stopped ? 0 : Math.max(spool, windmilling ? JET_FAN : 0),
    core: stopped ? 0 : Math.max(0.4 * Math.min(moment.fuel, 1) + 0.6 * spool, windmilling ? JET_CORE : 0),
    exhaust: exhaustOf(moment.heat, lever),
    fuelFlow: JET_FUEL_KG_PER_NS * live.thrust_N * moment.fuel,
    oil: OIL_PA * moment.oil * (windmilling ? Math.max(0.35, spool) : stopped ? 0 : 1),
  };
}

type Piston = Extract<Aeroplane["engines"], { kind: "propeller" }>;

function pistonGauges(engines: Piston, state: EngineState, moment: EngineMoment, around: EngineSurroundings): Gauges {
  const { air, sigmaCritical } = around;
  const outside_Pa = air.delta * P0_PA;
  const most_Pa = sigmaCritical === null ? Math.min(outside_Pa - PA_PER_INHG, FULL_MANIFOLD_PA) : FULL_MANIFOLD_PA;
  const setting = around.setting * state.lever;
  const rpm = propellerSpeed_rpm(engines.speed_rpm, state, moment, around.tas_mps);
  return {
    manifold:
      moment.turning === "stopped"
        ? outside_Pa
        : CLOSED_MANIFOLD_PA + (most_Pa - CLOSED_MANIFOLD_PA) * setting * moment.intake,
    rpm,
    fuelFlow: FUEL_KG_PER_J * engines.power_W * powerShare(air.density / RHO0, sigmaCritical) * setting * moment.fuel,
    exhaust: exhaustOf(moment.heat, state.lever),
    head: HEAD_K - (HEAD_K - COLD_HEAD_K) * (1 - Math.exp(-state.idle_s / HEAD_S)),
    oil: OIL_PA * moment.oil * Math.min(rpm / (0.5 * engines.speed_rpm), 1),
  };
}

/** Speed of the propeller in its present condition: governed, turned by the air, running away or stopped. */
function propellerSpeed_rpm(governed_rpm: number, state: EngineState, moment: EngineMoment, tas_mps: number): number {
  const windmill_rpm = governed_rpm * Math.min(tas_mps / HOLD_MPS, 1);
  switch (moment.turning) {
    case "stopped":
      return 0;
    case "windmilling":
      return windmill_rpm + (governed_rpm - windmill_rpm) * moment.power;
    case "runaway":
      return governed_rpm * (1 + (OVERSPEED - 1) * Math.min(state.since_s / OVERSPEED_S, 1));
    case "driven":
      return state.lever < IDLE ? windmill_rpm : governed_rpm;
  }
}
