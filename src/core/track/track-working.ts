// How the figures of a log come about, step by step.
import { degrees, wrapTurn } from "../quantities/angle";
import { type WorkingStep, workingStep } from "../working";
import type { Failure, MeasuredTurn, TrackAnalysis } from "./analyse";
import type { CleanLog } from "./clean/clean-log";
import type { Figure } from "./figure";
import type { Glide } from "./measure/glide";
import type { LandingMeasures } from "./measure/landing";
import type { MinimumControl } from "./measure/minimum-control";
import { windSigma_mps } from "./wind/fitted-wind";

const SMOOTHED = "smoothed from all fixes (Rauch, Tung, Striebel 1965)";

/** A measured figure and its bound as two steps, or why it is not known. */
function measured(
  figure: string,
  symbol: string,
  meaning: string,
  formula: string,
  found: Figure,
  unit: string,
): WorkingStep[] {
  if (!found.known) return [workingStep(figure, symbol, meaning, formula, `not known: ${found.reason}`, "", "log")];
  return [
    workingStep(figure, symbol, meaning, formula, found.value, unit, found.sensors.join(", ")),
    workingStep(figure, `2σ(${symbol})`, "holds in 95 of 100", "", 2 * found.sigma, unit, "flights with a known truth"),
  ];
}

/** What a log was and what is left of it. */
export function logWorking({ time_s, interval_s, holes, leftOut, sorted }: CleanLog): WorkingStep[] {
  return [
    workingStep("log", "n", "Fixes that are used", "", time_s.length, "", "log"),
    workingStep("log", "Δt", "Median time between two", "", interval_s, "s", "log"),
    workingStep("log", "", "Holes: more than 3.5 medians and 2.5 s", "", holes.length, "", "common practice"),
    workingStep(
      "log",
      "",
      "Repeated, set back, jumped, without a place",
      "",
      Object.values(leftOut).join(", "),
      "",
      "log",
    ),
    workingStep("log", "", "Sorted in", "", sorted, "", "log"),
  ];
}

/** The wind that a flight shows. */
export function windWorking({ flown: { wind, windRms_mps } }: TrackAnalysis): WorkingStep[] {
  if (!wind) return [workingStep("wind", "w", "Wind", "", "not known", "", "log")];
  const [east, north] = [wind.east_mps, wind.north_mps];
  const formula = wind.sensors.includes("airspeed")
    ? "least Σ(|v_g − w − g·(h − hm)| − k·V)²"
    : wind.sensors.includes("wind given")
      ? "as told"
      : "middle of the circle of v_g in turns";
  const source = wind.sensors.join(", ");
  return [
    workingStep("wind", "", "Blows from", formula, degrees(wrapTurn(Math.atan2(-east, -north))), "°", source),
    workingStep("wind", "w", "Speed", formula, Math.hypot(east, north), "m/s", source),
    workingStep(
      "wind",
      "2σ",
      "its bound, where it is known least",
      "2·√λmax of the covariance",
      2 * windSigma_mps(wind),
      "m/s",
      source,
    ),
    workingStep("wind", "hm", "at a mean height above the sea of", "", wind.altitude_m, "m", "log"),
    ...(windRms_mps === null
      ? []
      : [workingStep("wind", "rms", "what is left of each second", "", windRms_mps, "m/s", "log")]),
    workingStep("wind", "k", "Airspeed over the indicator's", "", wind.airspeedScale, "", source),
  ];
}

/** A turn. */
export function turnWorking(figure: string, { from_s, to_s, measures }: MeasuredTurn): WorkingStep[] {
  return [
    workingStep(figure, "t1", "Turn begins: a quarter of its bank, half of the roll before", "", from_s, "s", SMOOTHED),
    workingStep(figure, "t2", "Turn ends", "", to_s, "s", SMOOTHED),
    ...measured(
      figure,
      "φ",
      "Bank: attitude, else of the way through the air",
      "tanφ = ω·V/g",
      measures.bank_rad,
      "rad",
    ),
    ...measured(figure, "Δψ", "Change of heading", "", measures.heading_rad, "rad"),
    ...measured(figure, "Δh", "Height for half a turn", "(h1 − h2)·180°/Δψ", measures.height_m, "m"),
    ...measured(figure, "Δe", "Energy height for half a turn", "Δ(h + V²/2g)·180°/Δψ", measures.energyHeight_m, "m"),
    ...measured(figure, "Δt", "Time for half a turn", "(t2 − t1)·180°/Δψ", measures.time_s, "s"),
  ];
}

/** A glide. */
export function glideWorking(
  figure: string,
  { from_s, to_s, tas_mps, eas_mps, sink_mps, ratio }: Glide,
): WorkingStep[] {
  return [
    workingStep(figure, "t1", "Straight and steady from", "|φ| < 10°, |dV/dt| < .3 m/s²", from_s, "s", SMOOTHED),
    workingStep(figure, "t2", "to", "", to_s, "s", SMOOTHED),
    ...measured(figure, "V", "True airspeed, mean", "", tas_mps, "m/s"),
    ...measured(figure, "V_E", "Equivalent airspeed", "V·√σ", eas_mps, "m/s"),
    ...measured(figure, "w", "Sink of energy height", "slope of h + V²/2g on time", sink_mps, "m/s"),
    ...measured(figure, "V/w", "Ratio through the air; moving air leaves ± 8 % open", "V/w", ratio, ""),
  ];
}

/** An engine's stop with what followed. */
export function failureWorking(figure: string, failure: Failure): WorkingStep[] {
  const { time_s, sigma_s, by, height_m, delay_s, toGround } = failure;
  const formula =
    by === "engine"
      ? "fuel flow halfway from its level before to that after, less .8 s of lag"
      : "pull over weight ė/V + D/W halfway from before to after";
  return [
    workingStep(figure, "t", "The engine stops", formula, time_s, "s", by === "engine" ? "engine" : "path and polar"),
    workingStep(figure, "2σ(t)", "holds in 95 of 100", "", 2 * sigma_s, "s", "flights with a known truth"),
    ...measured(figure, "h", "Height above the ground of the flight", "", height_m, "m"),
    ...measured(
      figure,
      "Δt",
      "First action: attitude moves by 6° or 2.5°, else bank 8° or the path bends down",
      "",
      delay_s,
      "s",
    ),
    ...(toGround
      ? [
          ...measured(figure, "Δh", "From the stop to the touch", "", toGround.height_m, "m"),
          ...measured(figure, "Δt", "Time of it", "", toGround.time_s, "s"),
        ]
      : []),
  ];
}

/** A landing: along and across the runway, and how fast. */
export function landingWorking(
  figure: string,
  time_s: number,
  sigma_s: number,
  landed: LandingMeasures,
): WorkingStep[] {
  const touch = "speed over the ground breaks, the flare ends; a bump over 1.25 g decides";
  return [
    workingStep(figure, "t", "The touch", touch, time_s, "s", "log"),
    workingStep(figure, "2σ(t)", "holds in 95 of 100", "", 2 * sigma_s, "s", "flights with a known truth"),
    ...measured(figure, "x", `Past the threshold of ${landed.runway}`, "along its line", landed.along_m, "m"),
    ...measured(figure, "y", "Right of its line", "", landed.across_m, "m"),
    ...measured(figure, "V_g", "Speed over the ground", "", landed.groundSpeed_mps, "m/s"),
    workingStep(figure, "L", "Length of the runway", "", landed.length_m, "m", "library"),
  ];
}

/** A speed that was let go slowly. */
export function slowedWorking(figure: string, slowed: MinimumControl): WorkingStep[] {
  return [
    workingStep(figure, "t1", "Speed falls by .3 to 2.5 kt/s, level, from", "", slowed.from_s, "s", SMOOTHED),
    workingStep(figure, "t2", "Least speed at", "", slowed.least_s, "s", SMOOTHED),
    ...measured(figure, "V1", "Indicated at the entry", "", slowed.entry_mps, "m/s"),
    ...measured(figure, "V2", "Least indicated", "", slowed.least_mps, "m/s"),
    ...measured(figure, "−dV/dt", "Between the first and the last tenth of the fall", "", slowed.rate_mps2, "m/s²"),
    ...measured(figure, "Δψ", "Greatest change of heading", "", slowed.heading_rad, "rad"),
    ...measured(figure, "φ", "Greatest bank", "", slowed.bank_rad, "rad"),
    ...measured(figure, "t3", "Faster than the least by 8 kt at", "", slowed.recovered_s, "s"),
  ];
}

/** All of a log's figures. */
export function trackWorking(analysis: TrackAnalysis): WorkingStep[] {
  return [
    ...logWorking(analysis.flown.log),
    ...windWorking(analysis),
    ...analysis.flights.flatMap(({ failures, turns, slowed, landing, landed }, n) => [
      ...(landing && landed ? landingWorking(`landing ${n + 1}`, landing.time_s, landing.sigma_s, landed) : []),
      ...slowed.flatMap((one, i) => slowedWorking(`slowed ${n + 1}.${i + 1}`, one)),
      ...failures.flatMap((failure, i) => [
        ...failureWorking(`failure ${n + 1}.${i + 1}`, failure),
        ...failure.glides.flatMap((glide, k) => glideWorking(`glide ${n + 1}.${i + 1}.${k + 1}`, glide)),
      ]),
      ...turns.flatMap((turn, i) => turnWorking(`turn ${n + 1}.${i + 1}`, turn)),
    ]),
  ];
}
