import type { WorkingStep } from "../working";
import { SECTION_SLOPE } from "./blade-drag";
import type { HelicopterCase } from "./helicopter-case";
import type { RatingMargin } from "./hover-on-one";
import { ACCESSORIES_W, GEARBOX, tailShare } from "./shaft-power";
import type { SteadyPower, SteadyState } from "./steady-power";

const MOMENTUM = "momentum theory";
const TYPICAL = "typical of the class; the maker’s charts decide";

/** How the power of a hover comes about. */
export function hoverPowerSteps(
  flight: HelicopterCase,
  state: SteadyState,
  { shaft_W, main_W, rotor, thrust_N, ctSigma }: SteadyPower,
): WorkingStep[] {
  const { density, blades, weight_N } = flight;
  const vh = Math.sqrt(thrust_N / (2 * density * blades.discArea_m2));
  const figure = "hoverPower";
  const step = (
    symbol: string,
    meaning: string,
    formula: string,
    value: number,
    unit: string,
    source: string,
  ): WorkingStep => ({ figure, symbol, meaning, formula, value, unit, source });
  return [
    step("W", "weight", "m·g", weight_N, "N", "situation"),
    step("ρ", "density of the air", "", density, "kg/m³", "ICAO Doc 7488"),
    step("A", "disc area", "πR²", blades.discArea_m2, "m²", "aircraft document"),
    step("T", "thrust, with 4 % of download in the hover", "W(1 + 0.04F)", thrust_N, "N", "common practice"),
    step("vh", "induced velocity of the hover", "√(T/(2ρA))", vh, "m/s", MOMENTUM),
    step("V", "wind, from whichever side", "", state.tas_mps, "m/s", "situation"),
    step("vi", "induced velocity", "λ√(μ² + (μz + λ)²) = 1", rotor.induced_mps, "m/s", MOMENTUM),
    step("F", "share of the hover", "1/(1 + (V/vh)²)", rotor.share, "", "common practice"),
    step(
      "κkT·vi",
      "induced power, near the ground less",
      "κ·k·T·vi",
      rotor.induced_W,
      "W",
      "J. S. Hayden, AHS 1976 (memory)",
    ),
    step("CT/σ", "blade loading", "T/(ρA·tip²·σ)", ctSigma, "", "aircraft document"),
    step("α", "mean angle of the blades", "6CT/(σa), a = 5.7", (6 * ctSigma) / SECTION_SLOPE, "rad", "blade element"),
    step(
      "P0",
      "drag of the blades",
      "σcd/8·ρA·tip³(1 + 4.65μ²)",
      rotor.profile_W,
      "W",
      "F. J. Bailey Jr., NACA Report 716 (memory)",
    ),
    step("P", "main rotor", "κkT·vi + P0 + T·vn", main_W, "W", MOMENTUM),
    step(
      "t",
      "tail rotor, share of the main rotor’s power",
      "0.05 + 0.05/(1 + (V/18 m/s)²)",
      tailShare(state.tas_mps),
      "",
      TYPICAL,
    ),
    step("η", "gearbox", "", GEARBOX, "", TYPICAL),
    step("Pacc", "accessories", "", ACCESSORIES_W, "W", TYPICAL),
    step("P req", "power required", "P(1 + t)/η + Pacc", shaft_W, "W", "sum"),
  ];
}

/** How the power of each rating comes about. */
export function ratingSteps(flight: HelicopterCase, margins: readonly RatingMargin[]): WorkingStep[] {
  const figure = "ratings";
  return [
    {
      figure,
      symbol: "δ",
      meaning: "pressure over standard",
      formula: "p/p0",
      value: flight.delta,
      unit: "",
      source: "ICAO Doc 7488",
    },
    {
      figure,
      symbol: "θ",
      meaning: "temperature over standard",
      formula: "T/T0",
      value: flight.theta,
      unit: "",
      source: "ICAO Doc 7488",
    },
    ...margins.flatMap(({ rating, available, margin_W, greatestMass_kg }): WorkingStep[] => [
      {
        figure,
        symbol: `P ${rating.name}`,
        meaning: "engine",
        formula: "rated·0.97·δ·θ^−2.3·(2n − n²)",
        value: available.engine_W,
        unit: "W",
        source: TYPICAL,
      },
      {
        figure,
        symbol: `Pg ${rating.name}`,
        meaning: "gearbox",
        formula: "rated·n",
        value: available.gearbox_W,
        unit: "W",
        source: "aircraft document",
      },
      {
        figure,
        symbol: `ΔP ${rating.name}`,
        meaning: `in hand; the ${available.binds} binds`,
        formula: "min(P, Pg) − P req",
        value: margin_W,
        unit: "W",
        source: "difference",
      },
      {
        figure,
        symbol: `m ${rating.name}`,
        meaning: "greatest mass that it holds",
        formula: "P req(m) = min(P, Pg)",
        value: greatestMass_kg,
        unit: "kg",
        source: "search",
      },
    ]),
  ];
}
