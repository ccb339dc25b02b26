import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { dragCoefficient, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { calculation } from "../calculation";
import { bestBankAtFixedLift_rad, glidingTurn } from "../glide/gliding-turn";
import { liftCoefficientAt } from "../glide/straight-glide";
import { goldenMinimum } from "../numeric/golden-section";
import { failure, success } from "../outcome";
import { Pilot, SituationDocument } from "../situation/situation-document";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium of a steady gliding turn";
/** The search for the best bank at the speed given ends here, rad: a tenth of a degree. */
const BANK_TOLERANCE_RAD = 0.0017;

/** A steady gliding turn: what it costs, how tight it is, how near to the stall. */
export const turnCalculation = calculation({
  name: "turn",
  cost: "instant",
  question: "What does a gliding turn at this bank and speed cost in height, and which bank costs least?",
  sources: [SOURCE],
  input: z.strictObject({
    aircraft: Aeroplane,
    mass_kg: SituationDocument.shape.mass_kg,
    configuration: Configuration,
    air: SituationDocument.shape.air,
    altitude_m: SituationDocument.shape.altitude_m,
    bank_rad: Pilot.shape.bank_rad,
    eas_mps: z.number().min(5, "A speed is 10 to 390 kt.").max(200, "A speed is 10 to 390 kt."),
  }),
  output: z.object({
    eas_mps: z.number(),
    tas_mps: z.number(),
    radius_m: z.number(),
    rate_radps: z.number(),
    loadFactor: z.number(),
    sink_mps: z.number(),
    heightPer180_m: z.number(),
    heightPer360_m: z.number(),
    stallEas_mps: z.number(),
    stallMargin: z.number(),
    bestBankAtSpeed_rad: z.number(),
    bestBankAtFixedLift_rad: z.number().nullable(),
    working: z.array(WorkingStep),
  }),
  run({ aircraft, mass_kg, configuration, air, altitude_m, bank_rad, eas_mps }) {
    const configured = polarOf(aircraft, mass_kg, configuration);
    if (!configured.ok) return configured;
    const { polar } = configured.value;
    const { density } = airAtAltitude(altitude_m, air);
    const cl = liftCoefficientAt(polar, eas_mps, bank_rad);
    if (cl === null) {
      const least = stallSpeed_mps(polar, 1 / Math.cos(bank_rad));
      return failure(
        "stalls",
        `At this bank the wing stalls below about ${least.toFixed(1)} m/s; ${eas_mps.toFixed(1)} m/s cannot be flown there.`,
        "eas_mps",
      );
    }
    const turn = glidingTurn(polar, cl, bank_rad, density);
    // Equilibrium load on the wing: a gliding turn carries a little less than 1/cosφ.
    const stallEas_mps = stallSpeed_mps(polar, turn.loadFactor);
    const cost = (bank: number) => {
      const lift = liftCoefficientAt(polar, eas_mps, bank);
      // Beyond the stall nothing is flown; the search is led back to less bank.
      return lift === null ? 1e6 + bank : glidingTurn(polar, lift, bank, density).heightPerRadian_m;
    };
    const bestBankAtSpeed_rad = goldenMinimum(cost, 0.05, 1.4, BANK_TOLERANCE_RAD);
    const figure = "turn";
    return success({
      eas_mps,
      tas_mps: turn.tas_mps,
      radius_m: turn.radius_m,
      rate_radps: turn.rate_radps,
      loadFactor: turn.loadFactor,
      sink_mps: turn.sink_mps,
      heightPer180_m: Math.PI * turn.heightPerRadian_m,
      heightPer360_m: 2 * Math.PI * turn.heightPerRadian_m,
      stallEas_mps,
      stallMargin: eas_mps / stallEas_mps,
      bestBankAtSpeed_rad,
      bestBankAtFixedLift_rad: bestBankAtFixedLift_rad(dragCoefficient(polar, cl) / cl),
      working: [
        {
          figure,
          symbol: "CL",
          meaning: "lift coefficient",
          formula: "q·√(CL²·cos²φ + CD²) = W/S",
          value: cl,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "n",
          meaning: "load factor",
          formula: "q·CL/(W/S)",
          value: turn.loadFactor,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "R",
          meaning: "radius",
          formula: "V·cosθ/ω, ω = g·n·sinφ/(V·cosθ)",
          value: turn.radius_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure,
          symbol: "sink",
          meaning: "rate of descent",
          formula: "V·sinθ, tanθ = ε/cosφ",
          value: turn.sink_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "dh/dψ",
          meaning: "height for each radian",
          formula: "2(W/S)/(ρ·g·CL)·ε·cosφ/[(cos²φ + ε²)·sinφ]",
          value: turn.heightPerRadian_m,
          unit: "m/rad",
          source: SOURCE,
        },
        {
          figure,
          symbol: "V_S·√n",
          meaning: "stall in the turn",
          formula: "√(2(W/S)·n/(ρ0·CLmax))",
          value: stallEas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "φ*",
          meaning: "bank of least height at this speed",
          formula: "min over φ of dh/dψ, short of the stall",
          value: bestBankAtSpeed_rad,
          unit: "rad",
          source: SOURCE,
        },
      ],
    });
  },
});
