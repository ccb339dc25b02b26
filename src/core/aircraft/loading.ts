// Mass and centre of gravity from what is on board, and whether they are within the limits.
import { type Outcome, failure, success } from "../outcome";
import type { WorkingStep } from "../working";
import type { LimitCorner, Load, LoadingPlan } from "./loading-plan";

/** Common practice: the sum of masses times arms, over the sum of masses. */
const SOURCE = "mass times arm, summed";

/** One line of the sum. */
export interface LoadRow {
  readonly name: string;
  readonly mass_kg: number;
  readonly arm_m: number;
  readonly moment_kgm: number;
}

/** Where the centre of gravity may lie at one mass. */
export interface ArmLimits {
  readonly forward_m: number;
  readonly aft_m: number;
}

/** A loaded aircraft at one moment. */
export interface Loaded {
  readonly rows: readonly LoadRow[];
  readonly mass_kg: number;
  readonly arm_m: number;
  /** Null where the limits have nothing at this mass. */
  readonly limits: ArmLimits | null;
  /** 0 at the forward limit, 1 at the aft limit; null outside. */
  readonly centreOfGravity: number | null;
  /** Why it may not be flown so; null when it may. */
  readonly fault: string | null;
}

/** The three moments of a flight that matter here. */
export interface LoadedMoments {
  readonly now: Loaded;
  readonly failure: Loaded;
  readonly landing: Loaded;
}

/** Half a kilogram, a tenth of a millimetre, half a litre: what rounding of a typed limit makes of it. */
const [MASS_SLACK_KG, ARM_SLACK_M, FUEL_SLACK_M3] = [0.5, 1e-4, 5e-4];

const litres = (volume_m3: number) => `${Math.round(volume_m3 * 1000)} L`;

/**
 * Forward and aft limit at a mass, m, by straight lines between the corners.
 *
 * @param limits - corners in order, once round, as `LoadingPlan` checks them
 * @returns null below the lowest and above the highest corner
 */
export function armLimits(limits: readonly LimitCorner[], mass_kg: number): ArmLimits | null {
  const masses = limits.map((corner) => corner.mass_kg);
  const [least, most] = [Math.min(...masses), Math.max(...masses)];
  if (!(mass_kg >= least - MASS_SLACK_KG && mass_kg <= most + MASS_SLACK_KG)) return null;
  const within = Math.min(Math.max(mass_kg, least), most);
  const arms = limits.flatMap((corner, i) => {
    const next = limits[(i + 1) % limits.length];
    if ((corner.mass_kg - within) * (next.mass_kg - within) > 0) return [];
    if (corner.mass_kg === next.mass_kg) return [corner.arm_m, next.arm_m];
    const share = (within - corner.mass_kg) / (next.mass_kg - corner.mass_kg);
    return [corner.arm_m + share * (next.arm_m - corner.arm_m)];
  });
  return { forward_m: Math.min(...arms), aft_m: Math.max(...arms) };
}

function faultOf(mass_kg: number, arm_m: number, { limits }: LoadingPlan, bounds: ArmLimits | null): string | null {
  if (!bounds)
    return mass_kg > Math.max(...limits.map((corner) => corner.mass_kg))
      ? "It is heavier than its limits of mass and centre of gravity reach."
      : "It is lighter than its limits of mass and centre of gravity reach.";
  const cm = (distance_m: number) => `${(Math.ceil(distance_m * 1000 - 0.01) / 10).toFixed(1)} cm`;
  if (arm_m > bounds.aft_m + ARM_SLACK_M)
    return `The centre of gravity is ${cm(arm_m - bounds.aft_m)} behind its aft limit: the stall comes with less warning, a spin may not end, and on one engine control goes earlier.`;
  if (arm_m < bounds.forward_m - ARM_SLACK_M)
    return `The centre of gravity is ${cm(bounds.forward_m - arm_m)} before its forward limit: the elevator may not be enough to flare.`;
  return null;
}

/** Adds up one moment: fuel burnt comes from all tanks alike, by what is in them. */
function loadedAt(plan: LoadingPlan, load: Load, burnt_m3: number): Loaded {
  const fuel_m3 = plan.tanks.map((tank) => load.tanks.find((entry) => entry.id === tank.id)?.volume_m3 ?? 0);
  const total_m3 = fuel_m3.reduce((sum, volume) => sum + volume, 0);
  const left = total_m3 > 0 ? Math.max(0, 1 - burnt_m3 / total_m3) : 0;
  const row = (name: string, mass_kg: number, arm_m: number): LoadRow => ({
    name,
    mass_kg,
    arm_m,
    moment_kgm: mass_kg * arm_m,
  });
  const rows = [
    row("empty", plan.empty_kg, plan.emptyArm_m),
    ...plan.stations.map((station) =>
      row(station.name, load.stations.find((entry) => entry.id === station.id)?.mass_kg ?? 0, station.arm_m),
    ),
    ...plan.tanks.map((tank, i) => row(tank.name, fuel_m3[i] * left * plan.fuelDensity_kgpm3, tank.arm_m)),
  ];
  const mass_kg = rows.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
  const arm_m = rows.reduce((sum, { moment_kgm }) => sum + moment_kgm, 0) / mass_kg;
  const limits = armLimits(plan.limits, mass_kg);
  const fault = faultOf(mass_kg, arm_m, plan, limits);
  const width_m = limits ? limits.aft_m - limits.forward_m : 0;
  const share = limits && width_m > 0 ? (arm_m - limits.forward_m) / width_m : 0.5;
  return {
    rows,
    mass_kg,
    arm_m,
    limits,
    centreOfGravity: fault === null ? Math.min(Math.max(share, 0), 1) : null,
    fault,
  };
}

/**
 * Mass and centre of gravity now, at the failure and at the landing.
 *
 * @returns `load_unknown_place` for a place the aircraft does not have, `load_too_much` for one that holds more than it
 *   may, `fuel_short` when more fuel is burnt than there is, or more at the failure than at the landing. Outside the
 *   limits of mass and centre of gravity it is a value with its `fault`.
 */
export function loadedMoments(plan: LoadingPlan, load: Load): Outcome<LoadedMoments> {
  for (const { id, mass_kg } of load.stations) {
    const station = plan.stations.find((entry) => entry.id === id);
    if (!station) return failure("load_unknown_place", `This aircraft has no place “${id}”.`, "load.stations");
    if (mass_kg > station.maximum_kg + MASS_SLACK_KG)
      return failure(
        "load_too_much",
        `${station.name} may carry ${station.maximum_kg} kg, not ${Math.round(mass_kg)}.`,
        "load.stations",
      );
  }
  for (const { id, volume_m3 } of load.tanks) {
    const tank = plan.tanks.find((entry) => entry.id === id);
    if (!tank) return failure("load_unknown_place", `This aircraft has no tank “${id}”.`, "load.tanks");
    if (volume_m3 > tank.capacity_m3 + FUEL_SLACK_M3)
      return failure(
        "load_too_much",
        `${tank.name} holds ${litres(tank.capacity_m3)}, not ${litres(volume_m3)}.`,
        "load.tanks",
      );
  }
  const fuel_m3 = load.tanks.reduce((sum, { volume_m3 }) => sum + volume_m3, 0);
  if (load.burntAtLanding_m3 > fuel_m3 + FUEL_SLACK_M3)
    return failure(
      "fuel_short",
      "More fuel is burnt until the landing than there is on board.",
      "load.burntAtLanding_m3",
    );
  if (load.burntAtFailure_m3 > load.burntAtLanding_m3 + FUEL_SLACK_M3)
    return failure(
      "fuel_short",
      "More fuel is burnt until the failure than until the landing.",
      "load.burntAtFailure_m3",
    );
  return success({
    now: loadedAt(plan, load, 0),
    failure: loadedAt(plan, load, load.burntAtFailure_m3),
    landing: loadedAt(plan, load, load.burntAtLanding_m3),
  });
}

/** Full of what is usual: front seats and half of the fuel. */
export function usualLoad(plan: LoadingPlan): Load {
  return {
    stations: plan.stations.map(({ id, maximum_kg }, i) => ({ id, mass_kg: i === 0 ? Math.min(80, maximum_kg) : 0 })),
    tanks: plan.tanks.map(({ id, capacity_m3 }) => ({ id, volume_m3: capacity_m3 / 2 })),
    burntAtFailure_m3: 0,
    burntAtLanding_m3: 0,
    moment: "now",
  };
}

/** The sum, line by line. */
export function loadingWorking(loaded: Loaded): WorkingStep[] {
  const figure = "centre of gravity";
  const step = (symbol: string, meaning: string, formula: string, value: number, unit: string, source: string) => ({
    figure,
    symbol,
    meaning,
    formula,
    value,
    unit,
    source,
  });
  return [
    ...loaded.rows.flatMap(({ name, mass_kg, arm_m }) => [
      step("m_i", name, "", mass_kg, "kg", "load"),
      step("x_i", `${name}: arm from the datum`, "", arm_m, "m", "aircraft document"),
    ]),
    step("m", "mass", "Σ m_i", loaded.mass_kg, "kg", SOURCE),
    step("x", "centre of gravity, from the datum", "Σ m_i·x_i / m", loaded.arm_m, "m", SOURCE),
    ...(loaded.limits
      ? [
          step(
            "x_f",
            "forward limit at this mass",
            "straight between the corners",
            loaded.limits.forward_m,
            "m",
            "aircraft document",
          ),
          step(
            "x_a",
            "aft limit at this mass",
            "straight between the corners",
            loaded.limits.aft_m,
            "m",
            "aircraft document",
          ),
        ]
      : []),
    ...(loaded.centreOfGravity === null
      ? []
      : [step("cg", "share from forward to aft limit", "(x − x_f)/(x_a − x_f)", loaded.centreOfGravity, "", SOURCE)]),
  ];
}
