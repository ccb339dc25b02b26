import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { MinutesQuestion, minutesLeft } from "../restart/minutes-left";
import { WorkingStep } from "../working";

const SOURCE = "excess power (T − D)·V/W; equilibrium of a straight glide";
const Choice = z.enum(["climb", "level", "shut-down"]);

/** An engine that will stop in some minutes: climb, level or shut down now, by the reach each buys. */
export const minutesLeftCalculation = calculation({
  name: "minutes-left",
  cost: "instant",
  question: "The engine has N minutes left: climb with it, fly level, or shut it down now?",
  sources: [SOURCE, "momentum theory", "Gagg and Farrar, SAE 340096 (1934) (memory)"],
  input: MinutesQuestion,
  output: z.object({
    plans: z.array(
      z.object({
        choice: Choice,
        radius_m: z.number(),
        drift: z.object({ east_m: z.number(), north_m: z.number() }),
        downwind_m: z.number(),
        upwind_m: z.number(),
        time_s: z.number(),
        top_m: z.number(),
        eas_mps: z.number(),
        engineAir_m: z.number(),
        glideAir_m: z.number(),
      }),
    ),
    issues: z.array(z.object({ choice: Choice, message: z.string() })),
    climb_mps: z.number(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = minutesLeft(question);
    if (!outcome.ok) return outcome;
    const { plans, issues, climb_mps } = outcome.value;
    return success({
      plans: [...plans],
      issues: [...issues],
      climb_mps,
      working: [
        {
          figure: "climb",
          symbol: "RoC",
          meaning: "rate of climb now",
          formula: "(T − D)·V/W",
          value: climb_mps,
          unit: "m/s",
          source: SOURCE,
        },
        ...plans.flatMap(({ choice, ...plan }): WorkingStep[] => [
          {
            figure: choice,
            symbol: "V",
            meaning: "speed while it runs, equivalent",
            formula: choice === "climb" ? "best rate" : choice === "level" ? "fastest with T ≥ D" : "best glide",
            value: plan.eas_mps,
            unit: "m/s",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "s_e",
            meaning: "through the air with the engine",
            formula: "Σ V·cosγ·Δt",
            value: plan.engineAir_m,
            unit: "m",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "h",
            meaning: "altitude when it stops",
            formula: "h + Σ RoC·Δt",
            value: plan.top_m,
            unit: "m",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "s_g",
            meaning: "through the air gliding",
            formula: "(h − ground)·CL/CD",
            value: plan.glideAir_m,
            unit: "m",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "R",
            meaning: "radius of the area about the point the wind carries it to",
            formula: "s_e + s_g",
            value: plan.radius_m,
            unit: "m",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "drift",
            meaning: "how far the wind carries it",
            formula: "∫w dt",
            value: Math.hypot(plan.drift.east_m, plan.drift.north_m),
            unit: "m",
            source: SOURCE,
          },
          {
            figure: choice,
            symbol: "t",
            meaning: "until the ground",
            formula: "N + ∫dh·√σ/sink",
            value: plan.time_s,
            unit: "s",
            source: SOURCE,
          },
        ]),
      ],
    });
  },
});
