import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { RETURN_BANK_RAD } from "../take-off/return-height";
import { TakeOffQuestion } from "../take-off/take-off-day";
import { wholeTakeOff } from "../take-off/whole-take-off";
import { WorkingStep } from "../working";

const Turn = z.object({ rudder: z.number(), aileron: z.number(), rate_radps: z.number(), least_mps: z.number() });
const MODEL = "point mass, steps of 0.1 s on the runway and 0.25 s in the air";

/** Accelerate-stop and accelerate-go, and what to do by phase. */
export const accelerateCalculation = calculation({
  name: "accelerate",
  cost: "instant",
  question:
    "An engine stops during the take-off: how far to stop, how far to go, and between which heights does which work?",
  sources: ["Newton’s law for a point mass in wind", "14 CFR 23.51 and 23.53 before 2017, 25.107, 25.113 (memory)"],
  input: TakeOffQuestion,
  output: z.object({
    failure_mps: z.number(),
    action_mps: z.number(),
    stop_m: z.number(),
    stopSpare_m: z.number(),
    go_m: z.number().nullable(),
    goSpare_m: z.number().nullable(),
    balanced_mps: z.number(),
    vmca_mps: z.number().nullable(),
    rotation_mps: z.number(),
    screen_mps: z.number(),
    oneEngine_mps: z.number(),
    landUntil_m: z.number().nullable(),
    goFrom_m: z.number().nullable(),
    goFails: z.string().nullable(),
    advisedFrom_m: z.number().nullable(),
    slow: z
      .object({ from_m: z.number(), eas_mps: z.number(), limit_mps: z.number(), limit: z.enum(["V_MCA", "V_S"]) })
      .nullable(),
    turn: z.object({ towardsLive: Turn, towardsDead: Turn }).nullable(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const takeOff = wholeTakeOff(question);
    if (!takeOff.ok) return takeOff;
    const { day, balanced_mps, accelerate, phases, back } = takeOff.value;
    const { failure_mps, action_mps, stopX_m, stopSpare_m, goX_m, goSpare_m, failureX_m } = accelerate;
    const { vmca_mps, rotation_mps, screen_mps, oneEngine_mps, stall_mps } = day.speeds;
    const speed = (
      figure: string,
      symbol: string,
      meaning: string,
      formula: string,
      value: number | null,
    ): WorkingStep => ({
      figure,
      symbol,
      meaning,
      formula,
      value: value ?? "none",
      unit: value === null ? "" : "m/s",
      source: "14 CFR 23.51 before 2017, 25.107 (memory)",
    });
    return success({
      failure_mps,
      action_mps,
      stop_m: stopX_m - question.intersection_m,
      stopSpare_m,
      go_m: goX_m === null ? null : goX_m - question.intersection_m,
      goSpare_m,
      balanced_mps,
      vmca_mps,
      rotation_mps,
      screen_mps,
      oneEngine_mps,
      landUntil_m: phases.landUntil_m,
      goFrom_m: phases.goFrom_m,
      goFails: phases.goFails,
      advisedFrom_m: phases.advisedFrom_m,
      slow: phases.slow && { ...phases.slow },
      turn: back.control && {
        towardsLive: { ...back.control.towardsLive },
        towardsDead: { ...back.control.towardsDead },
      },
      working: [
        speed("speeds", "V_S", "stall with take-off flap", "√(2W/(ρ0·S·CLmax))", stall_mps),
        speed(
          "speeds",
          "V_MCA",
          "today, gear down, dead engine windmilling, 5° of bank",
          "the highest speed at which a control reaches its stop",
          vmca_mps,
        ),
        speed(
          "speeds",
          "V_R",
          "rotation",
          day.jet ? "max(1.05·V_MCA, 0.96·V_2)" : "max(1.05·V_MCA, 1.1·V_S)",
          rotation_mps,
        ),
        speed("speeds", day.jet ? "V_2" : "V_50", "at the screen", "max(1.1·V_MCA, 1.2·V_S)", screen_mps),
        speed(
          "speeds",
          day.jet ? "V_FTO" : "V_YSE",
          "one engine, mended",
          day.jet ? "1.25·V_S clean" : "best rate",
          oneEngine_mps,
        ),
        {
          figure: "stop",
          symbol: "x_f",
          meaning: "the engine stops here",
          formula: "Σ V·Δt",
          value: failureX_m,
          unit: "m",
          source: MODEL,
        },
        {
          figure: "stop",
          symbol: "a",
          meaning: "acceleration on the runway",
          formula: "g[(T − D)/W − μ(1 − L/W)], μ 0.04",
          value: "each 0.1 s",
          unit: "",
          source: MODEL,
        },
        {
          figure: "stop",
          symbol: "x_s",
          meaning: "it stands here",
          formula: "x_a + V²/(2·N·g)",
          value: stopX_m,
          unit: "m",
          source: MODEL,
        },
        {
          figure: "go",
          symbol: "x_g",
          meaning: `the ${day.jet ? "35" : "50"} ft screen is passed here on one engine`,
          formula: "half of the climb left gathers speed",
          value: goX_m ?? "never",
          unit: goX_m === null ? "" : "m",
          source: MODEL,
        },
        {
          figure: "land",
          symbol: "h",
          meaning: "up to this height it can land on the runway left",
          formula: "energy height at the glide with gear and flap, flare, roll",
          value: phases.landUntil_m ?? "none",
          unit: phases.landUntil_m === null ? "" : "m",
          source: MODEL,
        },
        {
          figure: "climb",
          symbol: "h",
          meaning: "from this height up it climbs away on one engine, flown without error",
          formula: "to 1 500 ft, over every obstacle, not back to the ground",
          value: phases.goFrom_m ?? `none: ${phases.goFails}`,
          unit: phases.goFrom_m === null ? "" : "m",
          source: MODEL,
        },
        {
          figure: "climb",
          symbol: "h_a",
          meaning: day.jet
            ? "a jet goes from V_1"
            : question.oneEngine.least === "height"
              ? "advised: no lower than the least height chosen, below it gear down is commit"
              : "advised: from where the minute after the failure climbs as asked for",
          formula: question.oneEngine.least === "height" ? "max(h, least height)" : "Δh over 60 s ≥ least climb",
          value: phases.advisedFrom_m ?? "none",
          unit: phases.advisedFrom_m === null ? "" : "m",
          source: "situation; 400 ft by common practice",
        },
        ...(phases.slow
          ? [
              {
                figure: "climb",
                symbol: "V",
                meaning: `slowest after a failure held for ${question.plan.recognition_s} s in the climb on both engines, against ${phases.slow.limit}`,
                formula: "V̇ = −g(sinγ + (D − T)/W)",
                value: phases.slow.eas_mps,
                unit: "m/s",
                source: MODEL,
              },
            ]
          : []),
        {
          figure: "back",
          symbol: "φ",
          meaning: "bank of the turn back, toward either engine",
          formula: "",
          value: RETURN_BANK_RAD,
          unit: "rad",
          source: "common practice",
        },
        ...(back.control
          ? (["towardsLive", "towardsDead"] as const).flatMap((side): WorkingStep[] => [
              {
                figure: "back",
                symbol: "δr",
                meaning: `share of full rudder in that turn, toward the ${side === "towardsLive" ? "live" : "dead"} engine`,
                formula: "side force, yaw and roll with the yaw rate, β = 0",
                value: back.control?.[side].rudder ?? 0,
                unit: "",
                source: "lateral equilibrium",
              },
              {
                figure: "back",
                symbol: "V",
                meaning: `slowest that holds it, toward the ${side === "towardsLive" ? "live" : "dead"} engine`,
                formula: "rudder or aileron at its stop, or the stall in the turn",
                value: back.control?.[side].least_mps ?? 0,
                unit: "m/s",
                source: "lateral equilibrium",
              },
            ])
          : []),
        {
          figure: "back",
          symbol: "R",
          meaning: "radius of the turn",
          formula: "V²/(g·tanφ)",
          value: back.radius_m,
          unit: "m",
          source: MODEL,
        },
        {
          figure: "back",
          symbol: "Δh",
          meaning: "height lost in half a turn; negative gains",
          formula: "−RoC(n)·π/ω, induced drag n² times as great",
          value: back.loss_m,
          unit: "m",
          source: MODEL,
        },
        {
          figure: "back",
          symbol: "h",
          meaning: "least height to turn back from: leaves 500 ft",
          formula: "500 ft + max(Δh, 0)",
          value: back.height_m,
          unit: "m",
          source: "common practice",
        },
      ],
    });
  },
});
