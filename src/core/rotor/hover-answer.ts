import { type Outcome, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { type HelicopterQuestion } from "./helicopter-question";
import { helicopterCase } from "./helicopter-case";
import { type HoistCase, hoistCase } from "./hoist-case";
import { type HoverFactor, hoverFactors } from "./hover-factors";
import { type HoverOnOne, hoverOnOne } from "./hover-on-one";
import { type SteadyState, steadyPower } from "./steady-power";

/** A hover that is looked at. */
export interface HoverAsked extends HelicopterQuestion {
  readonly wind_mps: number;
  /** Null out of ground effect. */
  readonly skids_m: number | null;
  /** Until the person on the hoist is inside. */
  readonly needed_s: number;
}

/** All that the view of a hover shows at once. */
export interface HoverAnswer {
  readonly hover: HoverOnOne;
  readonly factors: readonly HoverFactor[];
  readonly hoist: HoistCase;
  /** Power of level flight at the same height over airspeed. */
  readonly curve: readonly { readonly tas_mps: number; readonly shaft_W: number }[];
  /** Margin on the shortest rating by rotor speed: a small droop helps the engine, more does not. */
  readonly droop: readonly { readonly nr: number; readonly margin_W: number }[];
}

/** Speeds of the curve, m/s, and rotor speeds of the droop. */
const SPEEDS_MPS = Array.from({ length: 25 }, (_, i) => i * 5 * MPS_PER_KT);
const DROOPED = [1, 0.98, 0.96, 0.94, 0.92, 0.9];

/** A hover on one engine with what changes it. */
export function hoverAnswer({ wind_mps, skids_m, needed_s, ...question }: HoverAsked): Outcome<HoverAnswer> {
  const flight = helicopterCase(question);
  if (!flight.ok) return flight;
  const state: SteadyState = { tas_mps: Math.abs(wind_mps), climb_mps: 0, skids_m, nr: 1 };
  const hover = hoverOnOne(flight.value, state);
  if (!hover.ok) return hover;
  const droop = DROOPED.flatMap((nr) => {
    const drooped = hoverOnOne(flight.value, { ...state, nr });
    return drooped.ok ? [{ nr, margin_W: drooped.value.ratings[0].margin_W }] : [];
  });
  return success({
    hover: hover.value,
    factors: hoverFactors(question, state, hover.value.holdsOn ?? 0),
    hoist: hoistCase(hover.value, question.mass_kg, needed_s),
    curve: SPEEDS_MPS.map((tas_mps) => ({
      tas_mps,
      shaft_W: steadyPower(flight.value, { ...state, tas_mps }).shaft_W,
    })),
    droop,
  });
}
