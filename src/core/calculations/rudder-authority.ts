import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { GyroQuestion } from "../rotor/gyro-question";
import { gyroCase } from "../rotor/gyro-rotor";
import { rudderAt } from "../rotor/rudder-authority";
import { WorkingStep } from "../working";

const SOURCE = "dynamic pressure at the tail; actuator disc with swirl";

/** What a gyroplane's rudder does by speed. */
export const rudderAuthorityCalculation = calculation({
  name: "rudder-authority",
  cost: "instant",
  question: "What does the rudder do at each speed with the engine running and stopped, and which pedal changes?",
  sources: [SOURCE],
  input: GyroQuestion,
  output: z.object({
    speeds: z.array(
      z.object({
        tas_mps: z.number(),
        stopped: z.number(),
        fullPower: z.number(),
        yaw_radps2: z.number(),
        held_rad: z.number().nullable(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const flight = gyroCase(question);
    if (!flight.ok) return flight;
    const speeds = Array.from({ length: 15 }, (_, i) => rudderAt(flight.value, i * 5 * MPS_PER_KT));
    return success({
      speeds: speeds.map(({ tas_mps, stopped, fullPower, yaw_radps2, held_rad }) => ({
        tas_mps,
        stopped,
        fullPower,
        yaw_radps2,
        held_rad,
      })),
      working: [
        {
          figure: "rudder",
          symbol: "N(V)/N(55 kt)",
          meaning: "full rudder, engine stopped",
          formula: "(V/55 kt)²",
          value: speeds[6].stopped,
          unit: "",
          source: SOURCE,
        },
        {
          figure: "rudder",
          symbol: "N(0)",
          meaning: "at full power standing still, over 55 kt stopped",
          formula: "(2vi/55 kt)²",
          value: speeds[0].fullPower,
          unit: "",
          source: SOURCE,
        },
      ],
    });
  },
});
