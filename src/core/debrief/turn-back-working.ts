import { energyLeft } from "./energy-left";
import { type WorkingStep, workingStep } from "../working";
import { EXPLAINED, type Explained, type TurnBackBeside } from "./turn-back-beside";
import type { BesidePart } from "./turn-back-flown";

const PLANNER = "planner: point mass in wind, from where the engine stopped";
const LOG = "log";
const PART_WORDS: Record<BesidePart, string> = {
  reaction: "Reaction",
  straight: "Straight on",
  turn: "Turn",
  line: "To the line",
  final: "Final",
};
const EXPLAINED_WORDS: Record<Explained, string> = {
  delay: "the flown delay",
  straight: "straight on as flown",
  bank: "the flown bank",
  speed: "the flown speeds in the turn and after it",
  wind: "the flown wind",
};

/** How a turn back beside its plan comes about. */
export function turnBackWorking(beside: TurnBackBeside): WorkingStep[] {
  const { height_m, predicted, flown, explained, rest_m } = beside;
  const energy = energyLeft(beside);
  const start = (figure: string) => [
    workingStep(figure, "h", "Height of the stop over the runway", "", height_m, "m", LOG),
    workingStep(figure, "V", "True airspeed there", "", flown.start.tas_mps, "m/s", LOG),
    workingStep(figure, "x", "Along the runway from its beginning", "", flown.start.x_m, "m", LOG),
  ];
  const left: WorkingStep[] = [
    ...start("left"),
    workingStep(
      "left",
      "h_p",
      "Predicted: left over the runway's end, or where aligned over it",
      "flown by the plan",
      predicted.left_m,
      "m",
      PLANNER,
    ),
    ...(flown.left_m === null
      ? [workingStep("left", "h_f", "Flown", "", "never aligned with the runway", "", LOG)]
      : [
          workingStep(
            "left",
            "h_f",
            "Flown: left there",
            "height where it passed; short of it, the slope carried on",
            flown.left_m,
            "m",
            LOG,
          ),
          workingStep("left", "2σ", "holds in 95 of 100", "", 2 * flown.sigma_m, "m", "flights with a known truth"),
          workingStep("left", "Δh", "Flown less predicted", "h_f − h_p", flown.left_m - predicted.left_m, "m", ""),
        ]),
  ].map((one) => (one.source === "" ? { ...one, source: "difference" } : one));
  const parts = predicted.parts.flatMap(({ part, height_m: predicted_m, time_s }, i) => {
    const own = flown.parts[i];
    return [
      workingStep(part, "Δh_p", `${PART_WORDS[part]}, predicted`, "", predicted_m, "m", PLANNER),
      workingStep(part, "t_p", "its time", "", time_s, "s", PLANNER),
      workingStep(
        part,
        "Δh_f",
        `${PART_WORDS[part]}, flown`,
        "height at its beginning less that at its end",
        own.height_m,
        "m",
        LOG,
      ),
      workingStep(part, "t_f", "its time", "", own.time_s, "s", LOG),
    ];
  });
  const shares = explained
    ? EXPLAINED.flatMap((what, i) => [
        workingStep(
          what,
          "",
          "Replaced one after another; another order gives other shares",
          EXPLAINED.slice(0, i + 1).join(", "),
          i + 1,
          "",
          "this order",
        ),
        workingStep(
          what,
          "Δh",
          `What is left changes by, with ${EXPLAINED_WORDS[what]}`,
          "flown by the plan with it, less without",
          explained[what],
          "m",
          PLANNER,
        ),
      ])
    : [];
  const rest =
    rest_m === null
      ? []
      : [
          workingStep(
            "rest",
            "Δh",
            "What none of them explains: the line that was flown, polar, moving air",
            "(h_f − h_p) − Σ",
            rest_m,
            "m",
            "difference",
          ),
        ];
  const asEnergy = energy
    ? [
        workingStep("energy", "V_f", "equivalent airspeed on the way down, flown", "", flown.finalEas_mps, "m/s", LOG),
        workingStep("energy", "V_p", "as planned", "", predicted.finalEas_mps, "m/s", PLANNER),
        workingStep(
          "energy",
          "Δh_V",
          "height that the speed is worth",
          "(V_f² − V_p²)/2g",
          energy.speed_m,
          "m",
          "h + V²/2g",
        ),
        workingStep(
          "energy",
          "ΔE",
          "flown less predicted, as energy height",
          "h_f − h_p + Δh_V",
          energy.difference_m,
          "m",
          "h + V²/2g",
        ),
      ]
    : [];
  return [...left, ...asEnergy, ...parts, ...shares, ...rest];
}
