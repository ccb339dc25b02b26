// Working of a series: the prediction at the briefed value, each run's ratio, what they come to together.
import { type WorkingStep, workingStep } from "../working";
import type { SeriesResult } from "./series-result";
import type { SeriesStatistics } from "./series-statistics";
import type { TestCard } from "./test-card";

const MEAN = "NIST/SEMATECH e-Handbook 1.3.5.2";
const LOG = "measured from the log";

function statisticsSteps(figure: string, what: string, statistics: SeriesStatistics, common: number): WorkingStep[] {
  const { count, mean, spread, meanBound, runBound } = statistics;
  return [
    workingStep(figure, "n", "runs that count", "", count, "", "the card"),
    workingStep(figure, "r̄", `mean of ${what}`, "Σr/n", mean, "", MEAN),
    ...(meanBound === null || runBound === null
      ? []
      : [
          workingStep(figure, "s", "sample standard deviation", "√(Σ(r − r̄)²/(n − 1))", spread, "", MEAN),
          workingStep(figure, "±s", "bound of the mean by its spread, 95 of 100", "t·s/√n", meanBound, "", MEAN),
          workingStep(
            figure,
            "±c",
            "what all runs may share: half of a run's bound",
            "σ̄/predicted",
            common,
            "",
            "common practice",
          ),
          workingStep(figure, "±", "bound of the mean", "√(±s² + ±c²)", Math.hypot(meanBound, common), "", MEAN),
          workingStep(figure, "±1", "where 19 of 20 more runs lie", "t·s·√(1 + 1/n)", runBound, "", MEAN),
        ]),
  ];
}

/** Each figure of a series as it came about. */
export function seriesWorking(card: TestCard, result: SeriesResult): WorkingStep[] {
  const turning = card.kind === "half-turn";
  const [what, unit] = turning ? ["height of 180°", "m"] : ["sink", "m/s"];
  const polar = turning ? "steady gliding turn of the aircraft's polar" : "steady glide of the aircraft's polar";
  const { briefed, asBriefed, aircraft, bookRatio, common } = result;
  return [
    workingStep(
      "briefed",
      turning ? "φ" : "V",
      turning ? "bank" : "equivalent airspeed",
      "",
      card.briefed,
      turning ? "rad" : "m/s",
      "the card",
    ),
    workingStep(
      "briefed",
      "V",
      "equivalent airspeed flown",
      turning ? "max(V, m·V_S·√n)" : "",
      briefed.eas_mps,
      "m/s",
      "the card",
    ),
    workingStep(
      "briefed",
      turning ? "h₁₈₀" : "w",
      `${what}, predicted`,
      turning ? "π·w/ω" : "V·sinθ",
      briefed.predicted,
      unit,
      polar,
    ),
    ...(asBriefed ? statisticsSteps("flown", `${what} flown over predicted`, asBriefed, common) : []),
    ...(asBriefed
      ? [
          workingStep(
            "flown",
            "h",
            `${what} flown, at the briefed value`,
            "r̄·predicted",
            asBriefed.mean * briefed.predicted,
            unit,
            LOG,
          ),
        ]
      : []),
    ...(aircraft
      ? statisticsSteps("aircraft", `${what} of energy over predicted at the speed flown`, aircraft, common)
      : []),
    ...(aircraft
      ? [
          workingStep("aircraft", "CL/CD", "best glide of the book", "1/(2√(k·CD0))", bookRatio, "", "the aircraft"),
          workingStep(
            "aircraft",
            "CL/CD′",
            "best glide as flown",
            "(CL/CD)/r̄",
            bookRatio / aircraft.mean,
            "",
            "sink grows with drag",
          ),
        ]
      : []),
    ...result.rows.flatMap(({ run, predicted, difference, bySpeed, byGain, score }) => {
      const figure = `run ${run.number}`;
      return [
        workingStep(figure, "flown", what, "", run.flown, unit, LOG),
        ...(predicted === null || difference === null
          ? []
          : [
              workingStep(
                figure,
                "pred.",
                `${what}, predicted for its ${turning ? "bank" : "speed"}`,
                "",
                predicted,
                unit,
                polar,
              ),
              workingStep(figure, "Δ", "difference", "flown − pred.", difference, unit, "arithmetic"),
              ...(bySpeed === null
                ? []
                : [
                    workingStep(
                      figure,
                      "Δ_V",
                      "by another speed than the briefed one",
                      "pred.(V flown) − pred.",
                      bySpeed,
                      unit,
                      polar,
                    ),
                  ]),
              ...(byGain === null
                ? []
                : [workingStep(figure, "ΔV²/2g", "speed gained", "flown − energy height", byGain, unit, "h + V²/2g")]),
              workingStep(
                figure,
                "M",
                "modified score",
                "0.6745·(r − median)/MAD",
                score,
                "",
                "Iglewicz and Hoaglin (1993), NIST/SEMATECH e-Handbook 1.3.5.17",
              ),
            ]),
      ];
    }),
  ];
}
