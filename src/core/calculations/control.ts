import { usedShares } from "../asymmetric/vmca";
import { z } from "zod";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { AsymmetricQuestion, FlightSpeed, LiveBank } from "../asymmetric/asymmetric-question";
import { equilibriumAt } from "../asymmetric/equilibrium";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "lateral equilibrium, linear in sideslip, rudder and aileron";

/** Steady straight flight on one engine at a speed and bank. */
export const controlCalculation = calculation({
  name: "control",
  cost: "instant",
  question:
    "Flying straight on one engine at this speed: which rudder, aileron, sideslip and bank, and how much of each is left?",
  sources: [SOURCE, "14 CFR 23.149 as it was before 2017 (memory)"],
  input: AsymmetricQuestion.extend({
    eas_mps: FlightSpeed,
    /** Into the live engine; null takes the sideslip away. */ bank_rad: LiveBank.nullable().default(null),
  }),
  output: z.object({
    bank_rad: z.number(),
    ball: z.number().describe("balls out, towards the live engine positive"),
    beta_rad: z.number(),
    rudder_rad: z.number(),
    aileron_rad: z.number(),
    pedal_N: z.number(),
    climb_mps: z.number(),
    used: z.object({ rudder: z.number(), aileron: z.number(), fin: z.number(), pedal: z.number() }),
    working: z.array(WorkingStep),
  }),
  run({ eas_mps, bank_rad, ...question }) {
    const flight = asymmetricCase(question);
    if (!flight.ok) return flight;
    const state =
      bank_rad === null
        ? zeroSideslip(flight.value, eas_mps)
        : equilibriumAt(flight.value, eas_mps, flight.value.liveSide * bank_rad);
    if (!state) return failure("no_equilibrium", "No bank holds this speed straight.", "eas_mps");
    const figure = "control";
    return success({
      bank_rad: flight.value.liveSide * state.bank_rad,
      ball: (flight.value.liveSide * state.bank_rad) / (Math.PI / 36),
      beta_rad: state.beta_rad,
      rudder_rad: state.rudder_rad,
      aileron_rad: state.aileron_rad,
      pedal_N: state.pedal_N,
      climb_mps: state.climb_mps,
      used: usedShares(flight.value, state),
      working: [
        {
          figure,
          symbol: "T",
          meaning: "thrust of the live engine",
          formula: "actuator disc, or F0·δ0·lapse",
          value: state.thrust_N,
          unit: "N",
          source: "momentum theory; aircraft document",
        },
        {
          figure,
          symbol: "Cn_T",
          meaning: "yawing moment of thrust and dead drag",
          formula: "−s[T·arm + D_dead·ye]/(qSb)",
          value: state.cnThrust,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "Cnδr",
          meaning: "rudder power, from the published minimum control speed",
          formula: "solved in the certification case",
          value: flight.value.cnDeltaR,
          unit: "",
          source: "anchored on the aircraft document",
        },
        {
          figure,
          symbol: "β",
          meaning: "sideslip, wind from the right positive",
          formula: "CYβ·β + CYδr·δr + CW·sinφ = 0 with roll and yaw",
          value: state.beta_rad,
          unit: "rad",
          source: SOURCE,
        },
        {
          figure,
          symbol: "δr",
          meaning: "rudder, right pedal positive",
          formula: "",
          value: state.rudder_rad,
          unit: "rad",
          source: SOURCE,
        },
        {
          figure,
          symbol: "δa",
          meaning: "aileron, stick right positive",
          formula: "",
          value: state.aileron_rad,
          unit: "rad",
          source: SOURCE,
        },
        {
          figure,
          symbol: "F",
          meaning: "pedal force",
          formula: "Gr·q·Sr·cr(Chδ·δr + Chβ·β)",
          value: state.pedal_N,
          unit: "N",
          source: SOURCE,
        },
        {
          figure: "climb",
          symbol: "sinγ",
          meaning: "climb gradient",
          formula: "(T − D)/W",
          value: state.sinGamma,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "validity",
          meaning: "not modelled: gear keel, flap blanking, fin in the slipstream, departures from controlled flight",
          formula: "",
          value: "estimate",
          unit: "",
          source: "model",
        },
      ],
    });
  },
});
