import type { LandingPlan } from "../situation/landing-plan";
import type { WorkingStep } from "../working";
import type { Site, Sites } from "./sites";

const TRADE = "common practice";
const MODEL = "landing roll, parabolic drag polar with landing flap and dead propeller";
const LEAFLET = "UK CAA Safety Sense Leaflet 7 (memory)";

/** How the length of a place comes about; figures `length`, `wind`, `score`. */
export function siteWorking(
  { figures, crosswindLimit_mps }: Sites,
  { end, length, issue, reach, score, reasons }: Site,
  plan: LandingPlan,
): WorkingStep[] {
  const figure = "length";
  const lines: WorkingStep[] = [
    {
      figure,
      symbol: "V_S",
      meaning: `stall, flap ${figures.flapName}, equivalent`,
      formula: "√(2·(W/S)/(ρ0·CLmax))",
      value: figures.stallEas_mps,
      unit: "m/s",
      source: "aircraft document",
    },
    {
      figure: "wind",
      symbol: "w",
      meaning: "along the landing direction at 10 m, tail positive",
      formula: "w·u(direction)",
      value: reach.tailwind_mps,
      unit: "m/s",
      source: "situation",
    },
    {
      figure: "wind",
      symbol: "x",
      meaning: "across, from the right positive",
      formula: "",
      value: reach.crosswind_mps,
      unit: "m/s",
      source: "situation",
    },
    {
      figure: "wind",
      symbol: "x_max",
      meaning: "planned with across",
      formula: plan.crosswindLimit_mps === null ? "max(0.2·V_S0, 15 kt)" : "",
      value: crosswindLimit_mps,
      unit: "m/s",
      source: plan.crosswindLimit_mps === null ? "14 CFR 23.233 before 2017 (memory); common practice" : "situation",
    },
    {
      figure: "wind",
      symbol: "w_max",
      meaning: "planned with from behind",
      formula: "",
      value: plan.tailwindLimit_mps,
      unit: "m/s",
      source: "situation",
    },
  ];
  if (!length)
    lines.push({
      figure,
      symbol: "–",
      meaning: issue?.message ?? "no length",
      formula: "",
      value: "none",
      unit: "",
      source: MODEL,
    });
  else {
    lines.push(
      {
        figure,
        symbol: "V_app",
        meaning: "approach, true",
        formula: "1.3·V_S·√(ρ0/ρ)",
        value: length.approachTas_mps,
        unit: "m/s",
        source: TRADE,
      },
      {
        figure,
        symbol: "h_t",
        meaning: end.obstacle
          ? `over the threshold: 50 ft, or what clears ${end.obstacle.name} by 50 ft`
          : "over the threshold",
        formula: end.obstacle ? "max(50 ft, h_o + 50 ft − d_o/ratio)" : "50 ft",
        value: length.threshold_m,
        unit: "m",
        source: TRADE,
      },
      {
        figure,
        symbol: "ratio",
        meaning: "ground distance over height on the approach",
        formula: "(CL/CD)·(V_app + w)/V_app",
        value: length.ratio,
        unit: "",
        source: MODEL,
      },
      {
        figure,
        symbol: "s_a",
        meaning: "from the threshold to the flare",
        formula: "h_t·ratio",
        value: length.air_m,
        unit: "m",
        source: MODEL,
      },
      {
        figure,
        symbol: "s_f",
        meaning: "flare",
        formula: "(V_app − V_td)/(0.2·g) at the mean speed",
        value: length.flare_m,
        unit: "m",
        source: TRADE,
      },
      {
        figure,
        symbol: "Vg",
        meaning: "touchdown over the ground",
        formula: "1.1·V_S·√(ρ0/ρ) + w",
        value: length.touchdownGroundSpeed_mps,
        unit: "m/s",
        source: TRADE,
      },
      {
        figure,
        symbol: "N",
        meaning: `braking on ${end.surface}${plan.wet ? ", wet" : ""}, slope included, of g`,
        formula: "N_surface + slope",
        value: length.braking,
        unit: "",
        source: TRADE,
      },
      {
        figure,
        symbol: "s_r",
        meaning: "roll",
        formula: "Vg²/(2·N·g)",
        value: length.roll_m,
        unit: "m",
        source: MODEL,
      },
      {
        figure,
        symbol: "s",
        meaning: "computed",
        formula: "s_a + s_f + s_r",
        value: length.computed_m,
        unit: "m",
        source: MODEL,
      },
      ...length.factors.map((factor): WorkingStep => ({
        figure,
        symbol: "×",
        meaning: factor.name,
        formula: "",
        value: factor.value,
        unit: "",
        source: plan.rule === "own" ? "situation" : LEAFLET,
      })),
      {
        figure,
        symbol: "L_n",
        meaning: "length needed",
        formula: "s·Π factors",
        value: length.needed_m,
        unit: "m",
        source: plan.rule === "computed" || plan.rule === "own" ? MODEL : LEAFLET,
      },
      {
        figure,
        symbol: "L",
        meaning: "length available",
        formula: "threshold to threshold, displaced part left out",
        value: end.length_m,
        unit: "m",
        source: "place",
      },
    );
  }
  lines.push({
    figure: "score",
    symbol: "score",
    meaning: `ours, smaller is better: ${
      reasons
        .filter((reason) => reason.tone !== "good")
        .map((reason) => reason.code)
        .join(", ") || "nothing against it"
    }`,
    formula: "Σ points, 20 at most for little spare length",
    value: score,
    unit: "",
    source: "Utrimax",
  });
  return lines;
}
