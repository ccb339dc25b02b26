// One-engine flight put together: what moves with a slider, the tables beside it, and the card.
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import {
  type CeilingAtMass,
  type ClimbAtHeight,
  type SpeedsRow,
  ceilingsByMass,
  climbByHeight,
  mendedOf,
  speedsTable,
} from "./climb-by-height";
import { type BankChoice, type ClimbLedger, climbLedger } from "./climb-ledger";
import { type ControlForces, controlForces } from "./control-forces";
import { type ClimbSpeeds, SERVICE_ONE_MPS, ceiling_m, steadySpeeds, zeroSideslip } from "./one-engine-climb";
import { type RudderAtSpeed, rudderBySpeed } from "./rudder-by-speed";
import { type ControlLimit, type Vmca, vmca, usedShares } from "./vmca";
import { type VmcaAtAltitude, type VmcaAtBank, vmcaByBank, vmcaCurve } from "./vmca-curve";
import { type VmcaFactor, vmcaFactors } from "./vmca-factors";
import { type ZeroThrust, zeroThrust } from "./zero-thrust";
import { type SpeedLimit, configurationLimit } from "../aircraft/configuration-limit";
import { type Outcome, success } from "../outcome";
import { oneEngineHeight } from "./one-engine-height";
import { radians } from "../quantities/angle";

/** What moves with a slider. */
export interface EngineOutNow {
  readonly eas_mps: number;
  /** Fastest speed with flap and gear as set. */
  readonly limit: SpeedLimit | null;
  /**
   * Altitude at which the drift-down of the aeroplane mended ends; null where it climbs, or holds no height above the
   * sea.
   */
  readonly holdsAt_m: number | null;
  readonly ledger: ClimbLedger;
  /** Of the aeroplane mended: clean, feathered, no sideslip. These are its V_YSE and V_XSE. */
  readonly speeds: ClimbSpeeds;
  readonly vmca: Vmca;
  /** Bank without sideslip at this speed, into the live engine; null where there is none. */
  readonly zeroSideslip_rad: number | null;
  /** Share used of each control's stop. */
  readonly used: Readonly<Record<ControlLimit, number>>;
  readonly forces: ControlForces;
  /** +1 with the right engine live. */
  readonly liveSide: 1 | -1;
}

/** What may take a moment longer. */
export interface EngineOutTables {
  readonly factors: readonly VmcaFactor[];
  readonly curve: readonly VmcaAtAltitude[];
  readonly byBank: readonly VmcaAtBank[];
  readonly rudder: readonly RudderAtSpeed[];
  readonly byHeight: readonly ClimbAtHeight[];
  readonly service: Outcome<number>;
  readonly absolute: Outcome<number>;
}

/** Speeds by height and mass, ceilings by mass, zero thrust. */
export interface EngineOutCard {
  readonly rows: readonly SpeedsRow[];
  readonly ceilings: readonly CeilingAtMass[];
  readonly zero: Outcome<ZeroThrust>;
}

/** Altitudes of the curve: sea level to 6,000 m; of the climb; of the card. */
const CURVE_M = Array.from({ length: 21 }, (_, i) => i * 300);
const CLIMB_M = Array.from({ length: 13 }, (_, i) => i * 304.8);
const CARD_M = [0, 609.6, 1219.2, 1828.8, 2438.4];
const BANKS_RAD = Array.from({ length: 13 }, (_, i) => radians(i - 3));
/** Speeds of the rudder's table, over the stall. */
const RUDDER_SPEEDS = [1.15, 1.25, 1.35, 1.45, 1.6, 1.8, 2, 2.2];

/**
 * Control, climb and limits of one engine at a speed.
 *
 * @param eas_mps - null takes V_YSE, no faster than flap and gear allow
 * @returns failures of the case and of its speeds
 */
export function engineOutNow(
  question: AsymmetricQuestion,
  bank: BankChoice,
  eas_mps: number | null,
): Outcome<EngineOutNow> {
  const flight = asymmetricCase(question);
  if (!flight.ok) return flight;
  const mended = asymmetricCase(mendedOf(question));
  if (!mended.ok) return mended;
  const steady = steadySpeeds(mended.value);
  if (!steady.ok) return steady;
  const speeds = steady.value;
  const { aircraft, flap, gearDown } = question;
  const limit = configurationLimit(aircraft, flap, gearDown ? "down" : "up");
  const speed = eas_mps ?? Math.min(speeds.rate.eas_mps, limit?.speed_mps ?? Infinity);
  const drifts = speeds.rate.climb_mps > 0 ? null : oneEngineHeight(mendedOf(question), 0);
  const ledger = climbLedger({ ...question, eas_mps: speed, bank });
  if (!ledger.ok) return ledger;
  const straight = zeroSideslip(flight.value, speed);
  const { state } = ledger.value;
  return success({
    eas_mps: speed,
    limit,
    holdsAt_m: drifts?.ok ? drifts.value.levelsOff_m : null,
    speeds,
    ledger: ledger.value,
    liveSide: flight.value.liveSide,
    forces: controlForces(flight.value, state),
    vmca: vmca(flight.value, bank.kind === "bank" ? bank.bank_rad : flight.value.liveSide * (straight?.bank_rad ?? 0)),
    zeroSideslip_rad: straight && flight.value.liveSide * straight.bank_rad,
    used: usedShares(flight.value, state),
  });
}

/**
 * Minimum control speed by what changes it, by altitude and bank; rudder by speed; climb by height; ceilings.
 *
 * @param bank_rad - as flown
 * @param stall_mps - equivalent, of the moment: the rudder is told at multiples of it
 */
export function engineOutTables(question: AsymmetricQuestion, bank_rad: number, stall_mps: number): EngineOutTables {
  const rudder = rudderBySpeed(
    question,
    RUDDER_SPEEDS.map((ratio) => ratio * stall_mps),
  );
  return {
    factors: vmcaFactors(question, bank_rad),
    curve: vmcaCurve(question, bank_rad, CURVE_M),
    byBank: vmcaByBank(question, BANKS_RAD),
    rudder: rudder.ok ? rudder.value : [],
    byHeight: climbByHeight(question, CLIMB_M),
    service: ceiling_m(question, SERVICE_ONE_MPS, 1),
    absolute: ceiling_m(question, 0, 1),
  };
}

/**
 * Speeds by height and mass, ceilings by mass, zero thrust.
 *
 * @param eas_mps - speed at which zero thrust is set
 */
export function engineOutCard(question: AsymmetricQuestion, bank_rad: number, eas_mps: number): EngineOutCard {
  const { maximum_kg, minimum_kg } = question.aircraft.mass;
  const masses = [maximum_kg, (maximum_kg + minimum_kg) / 2, minimum_kg];
  return {
    rows: speedsTable(question, bank_rad, CARD_M, masses),
    ceilings: ceilingsByMass(question, masses),
    zero: zeroThrust(question, eas_mps),
  };
}
