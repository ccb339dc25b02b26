import type { WorkingStep } from "../working";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import type { TurnbackAccount } from "./turnback-account";
import { climbAgainstGlide } from "./climb-against-glide";

const MODEL = "point mass in wind, midpoint steps of 0.2 s";
const POLAR = "parabolic drag polar, aircraft document";
const TRADE = "common practice";
/** Heights between which the climb is laid beside the glide, m. */
const [LOW_M, HIGH_M] = [150, 450];

/**
 * The working of one turnback, in the order in which a pilot would check it. `figure` is `climb`, `turn`, a ledger
 * entry by its name, `margin`, `stop` or `outflown`.
 */
export function turnbackWorking(
  day: DepartureDay,
  question: DepartureQuestion,
  account: TurnbackAccount,
): WorkingStep[] {
  const { technique, result, start, ledger } = account;
  const { roll } = result;
  const against = climbAgainstGlide(day, LOW_M, HIGH_M);
  const steps: WorkingStep[] = [
    {
      figure: "climb",
      symbol: "W/S",
      meaning: "wing loading",
      formula: "m·g/S",
      value: day.polar.wingLoading,
      unit: "N/m²",
      source: POLAR,
    },
    {
      figure: "climb",
      symbol: "T",
      meaning: "thrust at standstill, sea level",
      formula: "T0",
      value: day.thrust.static_N,
      unit: "N",
      source: day.thrust.source,
    },
    {
      figure: "climb",
      symbol: "T1",
      meaning: "thrust lost for each m/s",
      formula: "(1.132σ − 0.132)·(T0 − T1·V)",
      value: day.thrust.slope_Nspm,
      unit: "N/(m/s)",
      source: `${day.thrust.source}; Gagg and Farrar (1934) (memory)`,
    },
    {
      figure: "climb",
      symbol: "run",
      meaning: "ground run to 1.1 V_S with take-off flap",
      formula: "Σ V·Δt, friction 0.04",
      value: day.climb.run_m,
      unit: "m",
      source: MODEL,
    },
    {
      figure: "climb",
      symbol: "V",
      meaning: "climb speed, equivalent",
      formula: "",
      value: day.climbEas_mps,
      unit: "m/s",
      source:
        question.plan.climb_mps !== null
          ? "chosen"
          : question.aircraft.climb
            ? "V_Y over V_S1 of the aircraft document"
            : "handbook",
    },
    {
      figure: "climb",
      symbol: "x",
      meaning: "distance along the runway when the engine stops",
      formula: "Σ (V·cosγ·cosψ + w)·Δt",
      value: start.failure.x_m,
      unit: "m",
      source: MODEL,
    },
    {
      figure: "Reaction",
      symbol: "t",
      meaning:
        question.plan.reaction === "attitude"
          ? "reaction, pitch attitude held: CL = CLα(θ0 − γ)"
          : "reaction, hands off: CL as in the climb",
      formula: "",
      value: start.reaction_s,
      unit: "s",
      source: "pilot",
    },
    {
      figure: "turn",
      symbol: "φ",
      meaning: "bank",
      formula: "",
      value: technique.bank_rad,
      unit: "rad",
      source: "chosen or best",
    },
    {
      figure: "turn",
      symbol: "V_S",
      meaning: "stalling speed, level",
      formula: "√(2·(W/S)/(ρ0·CLmax))",
      value: day.stallEas_mps,
      unit: "m/s",
      source: POLAR,
    },
    {
      figure: "turn",
      symbol: "V_turn",
      meaning: "speed in the turn",
      formula: "k·V_S/√cosφ",
      value: (technique.stallMargin * day.stallEas_mps) / Math.sqrt(Math.cos(technique.bank_rad)),
      unit: "m/s",
      source: "k from the plan",
    },
    {
      figure: "turn",
      symbol: "V/V_S",
      meaning: "least margin over the stall along the path",
      formula: "√(CLmax/CL)",
      value: account.leastStallMargin,
      unit: "",
      source: MODEL,
    },
    {
      figure: "turn",
      symbol: "n",
      meaning: "greatest load factor",
      formula: "q·CL/(W/S)",
      value: account.greatestLoad,
      unit: "",
      source: MODEL,
    },
    {
      figure: "turn",
      symbol: "w",
      meaning: "mean sink in the turn",
      formula: "Δh/Δt",
      value: account.sinkInTurn_mps,
      unit: "m/s",
      source: MODEL,
    },
    {
      figure: "turn",
      symbol: "Δψ",
      meaning: "heading change, crab of both ends included",
      formula: "ψ_end − ψ_failure",
      value: account.headingChange_rad,
      unit: "rad",
      source: MODEL,
    },
    {
      figure: "turn",
      symbol: "Δ",
      meaning: "greatest angle to the runway on the way back to its line",
      formula: "",
      value: technique.intercept_rad,
      unit: "rad",
      source: "search for max min(M, 0.1·spare)",
    },
    {
      figure: "turn",
      symbol: "t_ext",
      meaning: "straight on before the turn",
      formula: "",
      value: technique.extension_s,
      unit: "s",
      source: "search for max min(M, 0.1·spare)",
    },
    ...ledger.map((entry): WorkingStep => ({
      figure: entry.name,
      symbol: "Δh",
      meaning:
        entry.account === "reserve"
          ? `${entry.name.toLowerCase()}: height that has to be left`
          : `${entry.name.toLowerCase()}: height used in ${entry.time_s.toFixed(0)} s`,
      formula: entry.account === "reserve" ? "" : "Σ V·sinγ·Δt",
      value: entry.height_m,
      unit: "m",
      source: entry.account === "reserve" ? TRADE : MODEL,
    })),
    {
      figure: "margin",
      symbol: "h",
      meaning: "height when the engine stops",
      formula: "",
      value: account.height_m,
      unit: "m",
      source: "chosen",
    },
    {
      figure: "margin",
      symbol: "M",
      meaning: "margin",
      formula: "min(h_aligned − 10 m, h_end − 3 m)",
      value: result.margin_m,
      unit: "m",
      source: MODEL,
    },
    {
      figure: "stop",
      symbol: "w",
      meaning: "tailwind on touching down, wind at 3 m",
      formula: "w10·(3/10)^(1/7)",
      value: roll.tailwind_mps,
      unit: "m/s",
      source: "1/7 power law, common practice",
    },
    {
      figure: "stop",
      symbol: "V_td",
      meaning: "touchdown speed over the ground",
      formula: "1.1·V_S0 + w",
      value: roll.touchdownGroundSpeed_mps,
      unit: "m/s",
      source: TRADE,
    },
    {
      figure: "stop",
      symbol: "flare",
      meaning: "flare from 1.3 to 1.1 V_S0",
      formula: "(V_app − V_td)/(0.2·g) at mean ground speed",
      value: roll.flare_m,
      unit: "m",
      source: TRADE,
    },
    {
      figure: "stop",
      symbol: "roll",
      meaning: "roll to a stop",
      formula: `Vg²/(2·${day.braking}·g)`,
      value: roll.roll_m,
      unit: "m",
      source: TRADE,
    },
    ...(result.spare_m === null
      ? []
      : [
          {
            figure: "stop",
            symbol: "spare",
            meaning: "runway left over",
            formula: "x_touchdown − flare − roll",
            value: result.spare_m,
            unit: "m",
            source: MODEL,
          },
        ]),
    ...(against
      ? [
          {
            figure: "outflown",
            symbol: "c",
            meaning: "climb: distance for each metre of height",
            formula: "Δx/Δh",
            value: against.out,
            unit: "",
            source: MODEL,
          },
          {
            figure: "outflown",
            symbol: "g",
            meaning: "glide back: distance for each metre of height",
            formula: "(V·cosθ + w)/sink",
            value: against.back,
            unit: "",
            source: POLAR,
          },
          {
            figure: "outflown",
            symbol: "dM/dh",
            meaning: "margin gained for each metre of height, beyond the turn",
            formula: "1 − c/g",
            value: against.gain ?? "no way back against this wind",
            unit: "",
            source: MODEL,
          },
        ]
      : []),
    {
      figure: "margin",
      symbol: "validity",
      meaning:
        "not modelled: gusts, ground effect, pitch dynamics, flap left out in the climb's drag, obstacles on the way back",
      formula: "",
      value: "estimate",
      unit: "",
      source: "model",
    },
  ];
  return steps;
}
