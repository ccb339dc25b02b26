import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { GyroQuestion, GyroSpeed } from "../rotor/gyro-question";
import { LEAST_LOAD, flareSpeed_mps, gyroRecovery } from "../rotor/gyro-recovery";
import { gyroCase } from "../rotor/gyro-rotor";
import { WorkingStep } from "../working";

const SOURCE = "point mass with rotor speed and lagging inflow; push of 10°/s";

/** Height to get speed back for the flare. */
export const gyroRecoveryCalculation = calculation({
  name: "gyro-recovery",
  cost: "instant",
  question:
    "How much height does it take to get speed back for the flare, with which push, and how light does the rotor get?",
  sources: [SOURCE, "common practice: 35 to 40 kt below about 500 ft"],
  input: GyroQuestion.extend({
    from_mps: GyroSpeed,
    /** Null for the speed that the flare begins with. */
    to_mps: GyroSpeed.nullable().default(null),
  }),
  output: z.object({
    to_mps: z.number(),
    push_rad: z.number(),
    height_m: z.number(),
    settling_m: z.number(),
    time_s: z.number(),
    leastLoad: z.number(),
    bounded: z.boolean(),
    sinkAtSpeed_mps: z.number(),
    working: z.array(WorkingStep),
  }),
  run({ from_mps, to_mps, ...question }) {
    const flight = gyroCase(question);
    if (!flight.ok) return flight;
    const target = to_mps ?? flareSpeed_mps(flight.value);
    const found = gyroRecovery(flight.value, from_mps, target);
    if (!found.ok) return found;
    const { path: _path, ...recovery } = found.value;
    const figure = "recovery";
    return success({
      to_mps: target,
      ...recovery,
      working: [
        {
          figure,
          symbol: "Δθ",
          meaning: "push that costs the least height",
          formula: "least h(Δθ)",
          value: recovery.push_rad,
          unit: "rad",
          source: SOURCE,
        },
        {
          figure,
          symbol: "n",
          meaning: `least load of the rotor; below ${LEAST_LOAD} it may not recover`,
          formula: "T/W",
          value: recovery.leastLoad,
          unit: "",
          source: "common practice",
        },
        {
          figure,
          symbol: "h",
          meaning: "height until the speed is there",
          formula: "∫w dt",
          value: recovery.height_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure,
          symbol: "h s",
          meaning: "further until the sink is steady",
          formula: "∫w dt",
          value: recovery.settling_m,
          unit: "m",
          source: SOURCE,
        },
      ],
    });
  },
});
