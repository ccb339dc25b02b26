// Every calculation by name: the table of contents of the core.
import { z } from "zod";
import type { Calculation, Progress } from "./calculation";
import { accelerateCalculation } from "./calculations/accelerate";
import { airspeedCalculation } from "./calculations/airspeed";
import { atmosphereCalculation } from "./calculations/atmosphere";
import { callCalculation } from "./calculations/call";
import { ceilingsCalculation } from "./calculations/ceilings";
import { controlCalculation } from "./calculations/control";
import { departureCalculation } from "./calculations/departure";
import { departureChanceCalculation } from "./calculations/departure-chance";
import { coverCalculation } from "./calculations/cover";
import { ditchingCalculation } from "./calculations/ditching";
import { driftdownCalculation } from "./calculations/driftdown";
import { equalTimeCalculation } from "./calculations/equal-time";
import { exposureCalculation } from "./calculations/exposure";
import { seriesCalculation } from "./calculations/series";
import { fitCalculation } from "./calculations/fit";
import { glideCalculation } from "./calculations/glide";
import { keysCalculation } from "./calculations/keys";
import { loadingCalculation } from "./calculations/loading";
import { loseHeightCalculation } from "./calculations/lose-height";
import { metarCalculation } from "./calculations/metar";
import { minutesLeftCalculation } from "./calculations/minutes-left";
import { oneEngineApproachCalculation } from "./calculations/one-engine-approach";
import { oneEngineClimbCalculation } from "./calculations/one-engine-climb";
import { pathCalculation } from "./calculations/path";
import { polarCalculation } from "./calculations/polar";
import { relightCalculation } from "./calculations/relight";
import { restartBudgetCalculation } from "./calculations/restart-budget";
import { segmentsCalculation } from "./calculations/segments";
import { oneEngineRouteCalculation } from "./calculations/one-engine-route";
import { routeCalculation } from "./calculations/route";
import { sitesCalculation } from "./calculations/sites";
import { touchdownCalculation } from "./calculations/touchdown";
import { turnCalculation } from "./calculations/turn";
import { turnbackCalculation } from "./calculations/turnback";
import { vmcaCalculation } from "./calculations/vmca";
import { zeroThrustCalculation } from "./calculations/zero-thrust";
import { autorotationCalculation } from "./calculations/autorotation";
import { flyAwayCalculation } from "./calculations/fly-away";
import { gyroGlideCalculation } from "./calculations/gyro-glide";
import { gyroRecoveryCalculation } from "./calculations/gyro-recovery";
import { oeiHoverCalculation } from "./calculations/oei-hover";
import { ratingsCalculation } from "./calculations/ratings";
import { rotorPathCalculation } from "./calculations/rotor-path";
import { exerciseScoreCalculation } from "./calculations/exercise-score";
import { procedureCheckCalculation } from "./calculations/procedure-check";
import { refitCalculation } from "./calculations/refit";
import { simulateCalculation } from "./calculations/simulate";
import { trackMeasureCalculation } from "./calculations/track-measure";
import { trackReadCalculation } from "./calculations/track-read";
import { rudderAuthorityCalculation } from "./calculations/rudder-authority";
import { trimTabCalculation } from "./calculations/trim-tab";
import { type Issue, issuesOf } from "./outcome";

/** In the order in which they are listed. */
export const CALCULATIONS: readonly Calculation[] = [
  atmosphereCalculation,
  airspeedCalculation,
  metarCalculation,
  fitCalculation,
  loadingCalculation,
  polarCalculation,
  turnCalculation,
  glideCalculation,
  pathCalculation,
  coverCalculation,
  routeCalculation,
  oneEngineRouteCalculation,
  equalTimeCalculation,
  turnbackCalculation,
  departureCalculation,
  departureChanceCalculation,
  controlCalculation,
  vmcaCalculation,
  oneEngineClimbCalculation,
  ceilingsCalculation,
  driftdownCalculation,
  zeroThrustCalculation,
  accelerateCalculation,
  segmentsCalculation,
  restartBudgetCalculation,
  relightCalculation,
  minutesLeftCalculation,
  sitesCalculation,
  keysCalculation,
  loseHeightCalculation,
  oneEngineApproachCalculation,
  touchdownCalculation,
  ditchingCalculation,
  callCalculation,
  oeiHoverCalculation,
  ratingsCalculation,
  flyAwayCalculation,
  autorotationCalculation,
  rotorPathCalculation,
  gyroGlideCalculation,
  gyroRecoveryCalculation,
  rudderAuthorityCalculation,
  trimTabCalculation,
  procedureCheckCalculation,
  exerciseScoreCalculation,
  simulateCalculation,
  trackReadCalculation,
  trackMeasureCalculation,
  refitCalculation,
  exposureCalculation,
  seriesCalculation,
];

/** A result, or every fault of the input. */
export type CalculationResult =
  | { readonly ok: true; readonly value: unknown }
  | { readonly ok: false; readonly unknown: boolean; readonly issues: readonly Issue[] };

/**
 * Runs a calculation on untrusted input.
 *
 * @returns `unknown: true` when there is no calculation of that name; otherwise the faults of the input or of the
 *   model's validity
 */
export function calculate(name: string, input: unknown, progress?: Progress): CalculationResult {
  const calculation = CALCULATIONS.find((candidate) => candidate.name === name);
  if (!calculation)
    return {
      ok: false,
      unknown: true,
      issues: [
        {
          code: "no_such_calculation",
          path: "",
          message: `There is no calculation “${name}”. Known: ${CALCULATIONS.map((entry) => entry.name).join(", ")}.`,
        },
      ],
    };
  const parsed = calculation.input.safeParse(input);
  if (!parsed.success) return { ok: false, unknown: false, issues: issuesOf(parsed.error) };
  const outcome = calculation.run(parsed.data, progress);
  if (!outcome.ok) return { ok: false, unknown: false, issues: [outcome.issue] };
  return { ok: true, value: calculation.output.parse(outcome.value) };
}

/**
 * Name, question, sources and JSON Schema of a calculation's input and output; null when there is none of that name.
 */
export function describeCalculation(
  name: string,
): { name: string; question: string; sources: readonly string[]; input: unknown; output: unknown } | null {
  const calculation = CALCULATIONS.find((candidate) => candidate.name === name);
  if (!calculation) return null;
  return {
    name,
    question: calculation.question,
    sources: calculation.sources,
    input: z.toJSONSchema(calculation.input, { io: "input" }),
    output: z.toJSONSchema(calculation.output, { io: "output" }),
  };
}
