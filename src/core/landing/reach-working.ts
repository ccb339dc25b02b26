import { airAtAltitude } from "../air/altimetry";
import { stallSpeed_mps } from "../aircraft/polar";
import { accelerationFactor } from "../glide/acceleration-factor";
import { turnSpeed } from "../glide/gliding-turn";
import { WORDS_MEANING } from "../glide/path-words";
import { IN_PRACTICE_DAYS, plannedReaction_s } from "../situation/pilot-practice";
import type { WorkingStep } from "../working";
import type { Reach } from "./reach";
import type { EndReach } from "./way-to-end";
import type { ReachQuestion } from "./reach-question";

const POLAR = "parabolic drag polar, aircraft document";
const PATH = "turn–straight–turn in the drifting air mass (Dubins 1957), exact mean wind of each height band";

/**
 * The working of one landing end's figures, from the aircraft's numbers to the margin, in the order in which a pilot
 * would check them. `figure` names what each line belongs to: `glide`, `turn`, a ledger entry by its name, or `margin`.
 */
export function reachWorking(question: ReachQuestion, reach: Reach, end: EndReach): WorkingStep[] {
  const { polar, best } = reach;
  const glide = end.glide ?? best;
  const { path } = end;
  const air = airAtAltitude(question.altitude_m, question.air);
  const factor = 1 + accelerationFactor(end.glideCalibrated_mps ?? glide.eas_mps, question.altitude_m, question.air);
  const n = 1 / Math.cos(question.pilot.bank_rad);
  const speed = turnSpeed(polar, question.pilot.bank_rad, question.pilot.stallMargin);
  const lines: WorkingStep[] = [
    {
      figure: "glide",
      symbol: "m",
      meaning: "mass",
      formula: "",
      value: question.mass_kg,
      unit: "kg",
      source: "situation",
    },
    {
      figure: "glide",
      symbol: "W/S",
      meaning: "wing loading",
      formula: "m·g/S",
      value: polar.wingLoading,
      unit: "N/m²",
      source: "aircraft document",
    },
    ...reach.shares.map((share) => ({
      figure: "glide",
      symbol: "ΔCD",
      meaning: share.name,
      formula: "",
      value: share.deltaCd,
      unit: "",
      source: "aircraft document",
    })),
    {
      figure: "glide",
      symbol: "CD0",
      meaning: "drag without lift",
      formula: "Σ ΔCD",
      value: polar.cd0,
      unit: "",
      source: POLAR,
    },
    {
      figure: "glide",
      symbol: "CL",
      meaning: "lift coefficient flown",
      formula: question.plan.glideSpeed === "book" ? "√(CD0/k)" : "least sink over ground speed in this wind",
      value: glide.cl,
      unit: "",
      source: POLAR,
    },
    {
      figure: "glide",
      symbol: "V",
      meaning: "speed of the straight, equivalent",
      formula: "√(2·(W/S)/(ρ0·√(CL² + CD²)))",
      value: glide.eas_mps,
      unit: "m/s",
      source: POLAR,
    },
    {
      figure: "glide",
      symbol: "L/D",
      meaning: "distance over height through the air",
      formula: "CL/CD",
      value: glide.ratio,
      unit: "",
      source: POLAR,
    },
    {
      figure: "glide",
      symbol: "σ",
      meaning: "density over sea-level density at the start",
      formula: "ρ/ρ0",
      value: air.sigma,
      unit: "",
      source: "ICAO Doc 7488",
    },
    {
      figure: "glide",
      symbol: "1 + AF",
      meaning: "height given back by the speed lost at constant airspeed, at the start",
      formula: "1 + (V/g)·dV/dh",
      value: factor,
      unit: "",
      source: "energy of a glide at constant calibrated airspeed",
    },
    {
      figure: "glide",
      symbol: "sink",
      meaning: "rate of descent at the start",
      formula: "V·sinθ/√σ/(1 + AF)",
      value: glide.sinkEas_mps / Math.sqrt(air.sigma) / factor,
      unit: "m/s",
      source: POLAR,
    },
    {
      figure: "turn",
      symbol: "φ",
      meaning: "bank",
      formula: "",
      value: question.pilot.bank_rad,
      unit: "rad",
      source: "situation, pilot",
    },
    {
      figure: "turn",
      symbol: "n",
      meaning: "load factor of the turn",
      formula: "1/cosφ",
      value: n,
      unit: "",
      source: "FAA-H-8083-25 (memory)",
    },
    {
      figure: "turn",
      symbol: "V_S·√n",
      meaning: "stall in the turn",
      formula: "√(2·(W/S)·n/(ρ0·CLmax))",
      value: stallSpeed_mps(polar, n),
      unit: "m/s",
      source: POLAR,
    },
    {
      figure: "turn",
      symbol: "V_t",
      meaning: `speed in the turn (${speed.limit} decides)`,
      formula: "max(V_BG·(1 + √n)/2, k·V_S·√n)",
      value: speed.eas_mps,
      unit: "m/s",
      source: "common practice",
    },
  ];
  lines.push(
    {
      figure: "wind",
      symbol: "w_t",
      meaning: "wind from behind at 10 m over the strip",
      formula: "−w·cos(from − landing direction)",
      value: end.tailwind_mps,
      unit: "m/s",
      source: "situation, wind",
    },
    {
      figure: "wind",
      symbol: "w_c",
      meaning: "wind from the right at 10 m over the strip",
      formula: "w·sin(from − landing direction)",
      value: end.crosswind_mps,
      unit: "m/s",
      source: "situation, wind",
    },
  );
  if (!path) {
    lines.push({
      figure: "margin",
      symbol: "–",
      meaning: end.issue?.message ?? "no path",
      formula: "",
      value: "no path",
      unit: "",
      source: PATH,
    });
    return lines;
  }
  lines.push({
    figure: "turn",
    symbol: "R",
    meaning: "radius of the first turn",
    formula: "V²·cos²θ/(g·n·sinφ), at the density there",
    value: path.legs[0].radius1_m,
    unit: "m",
    source: "equilibrium of a gliding turn",
  });
  let turn = 0;
  path.legs.forEach((leg, i) => {
    const straight = path.legs.length === 1 ? "Straight" : `Straight ${i + 1}`;
    lines.push(
      {
        figure: `Turn ${(turn += 1)}`,
        symbol: "ψ",
        meaning: `${leg.word.startsWith("L") ? "left" : "right"} turn`,
        formula: "",
        value: leg.turn1_rad,
        unit: "rad",
        source: PATH,
      },
      {
        figure: `Turn ${turn}`,
        symbol: "dh/dψ",
        meaning: "height for each radian",
        formula: "2(W/S)/(ρ·g·CL)·ε·cosφ/[(cos²φ + ε²)·sinφ]",
        value: leg.turn1_rad > 0 ? (leg.altitudes_m[0] - leg.altitudes_m[1]) / leg.turn1_rad : 0,
        unit: "m/rad",
        source: "equilibrium of a gliding turn",
      },
      {
        figure: straight,
        symbol: "s",
        meaning: "length through the air",
        formula: "",
        value: leg.straight_m,
        unit: "m",
        source: PATH,
      },
      {
        figure: straight,
        symbol: "Δh",
        meaning: "height of the straight",
        formula: "s/(L/D)/(1 + AF)",
        value: leg.altitudes_m[1] - leg.altitudes_m[2],
        unit: "m",
        source: POLAR,
      },
      {
        figure: `Turn ${(turn += 1)}`,
        symbol: "ψ",
        meaning: `${leg.word.endsWith("L") ? "left" : "right"} turn`,
        formula: "",
        value: leg.turn2_rad,
        unit: "rad",
        source: PATH,
      },
    );
  });
  const last = path.legs[path.legs.length - 1];
  lines.push(
    {
      figure: "Reaction",
      symbol: "t",
      meaning: "reaction, straight on at the glide's sink",
      formula: "t·sink",
      value: plannedReaction_s(question.pilot),
      unit: "s",
      source:
        question.pilot.daysSincePractised > IN_PRACTICE_DAYS
          ? "situation, pilot; longer for the days since practised"
          : "situation, pilot",
    },
    {
      figure: "Final",
      symbol: "s",
      meaning: "final through the air, crabbed against the wind there",
      formula: "V·cosθ·final/ground speed",
      value: last.finalAir_m,
      unit: "m",
      source: PATH,
    },
    {
      figure: "Reserve",
      symbol: "Δh",
      meaning: "height to be left over the aim point",
      formula: "",
      value: question.plan.reserve_m,
      unit: "m",
      source: "situation, plan",
    },
    {
      figure: "time",
      symbol: "t",
      meaning: "time to the aim point",
      formula: "Σ of the parts",
      value: path.time_s,
      unit: "s",
      source: PATH,
    },
    {
      figure: "margin",
      symbol: "have",
      meaning: "height over the aim point now",
      formula: "altitude − elevation",
      value: path.have_m,
      unit: "m",
      source: "situation",
    },
    ...path.ledger.map((entry) => ({
      figure: "margin",
      symbol: "−",
      meaning: entry.name,
      formula: "",
      value: entry.height_m,
      unit: "m",
      source: PATH,
    })),
    {
      figure: "margin",
      symbol: "left",
      meaning: path.margin_m >= 0 ? "margin over the reserve" : "short of the reserve",
      formula: "have − Σ",
      value: path.margin_m,
      unit: "m",
      source: "sum",
    },
    {
      figure: "margin",
      symbol: "way",
      meaning: `${path.words.join(" then ")}: ${path.words.map((word) => WORDS_MEANING[word]).join("; then ")}`,
      formula: "",
      value: path.words.join(" "),
      unit: "",
      source: PATH,
    },
    {
      figure: "margin",
      symbol: "validity",
      meaning: "not modelled: rolling in and out, gusts, changes of speed between parts, ground effect",
      formula: "",
      value: "estimate",
      unit: "",
      source: "model",
    },
  );
  return lines;
}
