import { z } from "zod";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { AsymmetricQuestion, FlightSpeed, LiveBank } from "../asymmetric/asymmetric-question";
import { climbLedger } from "../asymmetric/climb-ledger";
import { steadySpeeds, twoEngineSpeeds } from "../asymmetric/one-engine-climb";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "lateral equilibrium; actuator disc; parabolic drag polar";
const Climb = z.object({ eas_mps: z.number(), climb_mps: z.number(), gradient: z.number() });
const Speeds = z.object({ rate: Climb, angle: Climb });

/** Climb on one engine: best speeds, and the account from two engines down to what is left. */
export const oneEngineClimbCalculation = calculation({
  name: "one-engine-climb",
  cost: "instant",
  question: "What climb is left on one engine, at which speeds, and what does each thing that can be mended cost?",
  sources: [SOURCE],
  input: AsymmetricQuestion.extend({
    eas_mps: FlightSpeed.nullable().default(null).describe("null takes V_YSE"),
    bank_rad: LiveBank.nullable().default(null).describe("into the live engine; null takes the sideslip away"),
  }),
  output: z.object({
    vyse: Climb,
    vxse: Climb,
    two: Speeds,
    eas_mps: z.number(),
    ledger: z.object({
      twoEngines_mps: z.number(),
      engine_mps: z.number(),
      items: z.array(z.object({ item: z.enum(["propeller", "gear", "flap", "items", "bank"]), cost_mps: z.number() })),
      together_mps: z.number(),
      left_mps: z.number(),
      gradient: z.number(),
      mended_mps: z.number(),
      over: z.enum(["rudder", "aileron", "fin", "pedal"]).nullable(),
    }),
    working: z.array(WorkingStep),
  }),
  run({ eas_mps, bank_rad, ...question }) {
    const flight = asymmetricCase(question);
    if (!flight.ok) return flight;
    const steady = steadySpeeds(flight.value);
    if (!steady.ok) return steady;
    const own = steady.value;
    const two = twoEngineSpeeds(flight.value);
    const speed = eas_mps ?? own.rate.eas_mps;
    const ledger = climbLedger({
      ...question,
      eas_mps: speed,
      bank: bank_rad === null ? { kind: "zero-sideslip" } : { kind: "bank", bank_rad },
    });
    if (!ledger.ok) return ledger;
    const { state, items, ...account } = ledger.value;
    const figure = "climb";
    return success({
      vyse: own.rate,
      vxse: own.angle,
      two,
      eas_mps: speed,
      ledger: { ...account, items: [...items] },
      working: [
        {
          figure,
          symbol: "T",
          meaning: "thrust of the live engine at this speed",
          formula: "w³ − V·w² − ηP/(2ρA) = 0, T = 2ρA·w·vi; jet: F0·δ0·lapse",
          value: state.thrust_N,
          unit: "N",
          source: SOURCE,
        },
        {
          figure,
          symbol: "D",
          meaning: "drag, sideslip, rudder, aileron and dead engine included",
          formula: "qS(CD0 + k·CL² + CDβ·β² + CDδr·δr² + CDδa·δa²) + D_dead",
          value: state.drag_N,
          unit: "N",
          source: SOURCE,
        },
        {
          figure,
          symbol: "RoC",
          meaning: "climb left",
          formula: "V·(T − D)/W",
          value: account.left_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "two",
          symbol: "RoC2",
          meaning: "climb on two engines, clean, at this speed",
          formula: "V·(2T − D)/W",
          value: account.twoEngines_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "engine",
          symbol: "Δ",
          meaning: "lost with the engine, all else mended",
          formula: "RoC2 − RoC,mended",
          value: account.engine_mps,
          unit: "m/s",
          source: SOURCE,
        },
        ...items.map((entry): WorkingStep => ({
          figure: entry.item,
          symbol: "Δ",
          meaning: `gained when the ${entry.item} alone is mended`,
          formula: "RoC,mended − RoC",
          value: entry.cost_mps,
          unit: "m/s",
          source: SOURCE,
        })),
        {
          figure: "together",
          symbol: "Δ",
          meaning: "what they cost together beyond each alone",
          formula: "remainder",
          value: account.together_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "vyse",
          symbol: "V_YSE",
          meaning: "best rate on one engine as configured, no sideslip",
          formula: "search",
          value: own.rate.eas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "vyse",
          symbol: "RoC",
          meaning: "climb at V_YSE",
          formula: "V·(T − D)/W",
          value: own.rate.climb_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "vxse",
          symbol: "V_XSE",
          meaning: "best angle on one engine as configured, no sideslip, at least 1.2 V_S",
          formula: "search",
          value: own.angle.eas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "vxse",
          symbol: "tanγ",
          meaning: "gradient at V_XSE",
          formula: "tan(asin((T − D)/W))",
          value: own.angle.gradient,
          unit: "",
          source: SOURCE,
        },
      ],
    });
  },
});
