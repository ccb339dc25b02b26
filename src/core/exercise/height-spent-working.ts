// The working of a glide's account of height.
import type { WorkingStep } from "../working";
import { CAUSES, type Cause, type HeightSpent, type SpentPart } from "./height-account";

const TRACE = "this flight, ten rows a second";
const ENERGY = "energy height, E. S. Rutowski, J. Aeronautical Sciences 21 (1954) (memory)";
const POLAR = "parabolic drag polar, aircraft document";

const MEANING: Readonly<Record<Cause, readonly [meaning: string, formula: string, source: string]>> = {
  speed: ["actual speed instead of the best, at a load of one in straight flight", "Σ D(V)·V/W·Δt − least", POLAR],
  bank: [
    "actual load, and in turns the actual bank instead of the planned one",
    "Σ [D(V, n) − D(V, planned)]·V/W·Δt",
    POLAR,
  ],
  flap: ["flap out", "Σ ΔCD·q·V/(W/S)·Δt", POLAR],
  gear: ["gear out, where it goes up", "Σ ΔCD·q·V/(W/S)·Δt", POLAR],
  slip: [
    "sideslip, rudder and ailerons",
    "Σ (CDβ·β² + CDδr·δr² + CDδa·δa²)·q·V/(W/S)·Δt",
    "flight mechanics, sign conventions of one-engine flight",
  ],
  engine: [
    "the engine’s drag beyond the least that it can be given; its pull counts less",
    "Σ (−T − D_least)·V/W·Δt",
    TRACE,
  ],
  air: ["what is left: gusts, wind that changes with height", "lost − all the others", TRACE],
};

/** Each line names the figure it belongs to: a part, a cause, or `lost`. */
export function heightSpentWorking(spent: HeightSpent): WorkingStep[] {
  const metres = (line: Omit<WorkingStep, "unit">): WorkingStep => ({ ...line, unit: "m" });
  const part = (
    figure: "reaction" | "turns" | "straight",
    { time_s, distance_m, turned_rad, lost_m, least_m }: SpentPart,
    formula: string,
  ) => [
    { figure, symbol: "t", meaning: `time, ${figure}`, formula: "", value: time_s, unit: "s", source: TRACE },
    figure === "turns"
      ? {
          figure,
          symbol: "ψ",
          meaning: "heading turned through",
          formula: "Σ |Δψ|",
          value: turned_rad,
          unit: "rad",
          source: TRACE,
        }
      : {
          figure,
          symbol: "s",
          meaning: `way over the ground, ${figure}`,
          formula: "",
          value: distance_m,
          unit: "m",
          source: TRACE,
        },
    metres({
      figure,
      symbol: "Δhe",
      meaning: `height and speed lost, ${figure}`,
      formula: "Δ(h + V²/2g)",
      value: lost_m,
      source: ENERGY,
    }),
    metres({
      figure,
      symbol: "least",
      meaning: `what it needs at its best, ${figure}`,
      formula,
      value: least_m,
      source: POLAR,
    }),
  ];
  const one = spent.kind === "one-engine" ? "−t · climb at V_YSE, clean, feathered, without a slip" : null;
  return [
    ...part("reaction", spent.reaction, "nothing: nothing was done"),
    ...part("turns", spent.turns, one ?? "ψ · height for each radian at the planned bank and turn speed"),
    ...part("straight", spent.straight, one ?? "Σ way ÷ glide ratio over the ground at the speed to fly in this wind"),
    ...CAUSES.map((cause) => {
      const [meaning, formula, source] = MEANING[cause];
      return metres({ figure: cause, symbol: "Δh", meaning, formula, value: spent.beyond_m[cause], source });
    }),
    metres({
      figure: "lost",
      symbol: "ΔV²/2g",
      meaning: "become speed; negative where speed became height",
      formula: "(V₂² − V₁²)/2g",
      value: spent.intoSpeed_m,
      source: ENERGY,
    }),
    metres({
      figure: "lost",
      symbol: "lost",
      meaning: "altitude at the failure less altitude at the end",
      formula: "reaction + least of turns and straight + all beyond + become speed",
      value: spent.lost_m,
      source: TRACE,
    }),
  ];
}
