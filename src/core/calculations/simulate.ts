import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { G0 } from "../quantities/constants";
import { eulerAngles } from "../simulation/attitude";
import { BY_ITSELF, STEPS_PER_S } from "../simulation/flight";
import { FlightSetUp, setUpFlight } from "../simulation/flight-set-up";
import { groundOf } from "../simulation/ground";
import { LONGEST_SCRIPT_S, Leg, flyLegs, freshPilot, heightAbove_m, overGround } from "../simulation/pilot";
import * as S from "../simulation/state";
import { WorkingStep } from "../working";

const Sample = z.object({
  time_s: z.number(),
  north_m: z.number(),
  east_m: z.number(),
  height_m: z.number(),
  ias_mps: z.number(),
  climb_mps: z.number(),
  bank_rad: z.number(),
  pitch_rad: z.number(),
  heading_rad: z.number(),
  ball: z.number(),
  loadFactor: z.number(),
  rpm: z.array(z.number()),
  thrust_N: z.array(z.number()),
  /** Of a rotor, over its nominal speed, and power of a helicopter's engines; 0 and empty of others. */
  nr: z.number(),
  power_W: z.array(z.number()),
});

/** A flight by a modelled pilot, leg by leg, without a screen. */
export const simulateCalculation = calculation({
  name: "simulate",
  cost: "long",
  question: "How does it fly, leg by leg, when this fails there and is flown so?",
  sources: [
    "rigid body with the aircraft document's polar and one-engine figures; B. Etkin, Dynamics of Flight (memory)",
    "rotorcraft: blade element, momentum theory and energy balance as in the steady core; G. D. Padfield, Helicopter Flight Dynamics (memory)",
    "gusts: MIL-F-8785C, low altitude (memory)",
  ],
  input: z.strictObject({
    setUp: FlightSetUp,
    legs: z.array(Leg).min(1, "A script has at least one leg.").max(40, "At most 40 legs."),
    /** Between two samples. */
    sample_s: z.number().min(0.1).max(60).default(1),
  }),
  output: z.object({
    /** The whole script was flown. */
    flown: z.boolean(),
    ended: z
      .object({
        kind: z.enum([...BY_ITSELF, "crash", "water"]),
        sink_mps: z.number().optional(),
        speed_mps: z.number().optional(),
      })
      .nullable(),
    legs: z.array(z.object({ name: z.string(), from_s: z.number(), took_s: z.number(), lost_m: z.number() })),
    /** First touch of the ground after it was in the air. */
    touchdown: z
      .object({
        time_s: z.number(),
        north_m: z.number(),
        east_m: z.number(),
        sink_mps: z.number(),
        ias_mps: z.number(),
        bank_rad: z.number(),
      })
      .nullable(),
    samples: z.array(Sample),
    working: z.array(WorkingStep),
  }),
  run({ setUp, legs, sample_s }, progress) {
    const ground = groundOf(null, setUp.ground_m, []);
    const made = setUpFlight(setUp, ground);
    if (!made.ok) return made;
    const flight = made.value;
    const { state: s } = flight;
    const pilot = freshPilot(legs);
    const samples: z.infer<typeof Sample>[] = [];
    const begun: { name: string; from_s: number; from_m: number }[] = [];
    let touchdown: {
      time_s: number;
      north_m: number;
      east_m: number;
      sink_mps: number;
      ias_mps: number;
      bank_rad: number;
    } | null = null;
    let [aloft, sink_mps] = [setUp.begin.speed_mps > 0, 0];
    const every = Math.max(Math.round(sample_s * STEPS_PER_S), 1);
    const sample = () => {
      const { bank_rad, pitch_rad, heading_rad } = eulerAngles(s);
      const ofEngines = (number: number, scale = 1) =>
        flight.model.engines.map((_, i) => s[S.ENGINE + i * S.PER_ENGINE + number] * scale + 0);
      samples.push({
        time_s: s[S.TIME],
        north_m: s[S.NORTH] + 0,
        east_m: s[S.EAST] + 0,
        height_m: heightAbove_m(flight) + 0,
        ias_mps: s[S.ASI],
        climb_mps: overGround(s).climb_mps + 0,
        // Nought is nought, without a sign.
        bank_rad: bank_rad + 0,
        pitch_rad: pitch_rad + 0,
        heading_rad: heading_rad + 0,
        ball: s[S.BALL] + 0,
        loadFactor: -flight.seen.fz / G0 + 0,
        rpm: ofEngines(S.OMEGA, 30 / Math.PI),
        thrust_N: ofEngines(S.THRUST),
        nr: s[S.NR],
        power_W:
          flight.model.kind === "rotorcraft" && flight.model.lift.kind === "helicopter" ? ofEngines(S.POWER) : [],
      });
    };
    const flown = flyLegs(flight, pilot, (step) => {
      while (begun.length <= pilot.at)
        begun.push({ name: legs[begun.length]?.name ?? "", from_s: s[S.TIME], from_m: -s[S.DOWN] });
      const touches = flight.seen.touch_N > 0;
      if (touches && aloft && touchdown === null)
        touchdown = {
          time_s: s[S.TIME],
          north_m: s[S.NORTH],
          east_m: s[S.EAST],
          sink_mps,
          ias_mps: s[S.ASI],
          bank_rad: eulerAngles(s).bank_rad,
        };
      if (!touches) {
        sink_mps = -overGround(s).climb_mps;
        if (heightAbove_m(flight) > flight.model.hullHeight_m + 2) aloft = true;
      }
      if (step % every === 0) sample();
      return step % STEPS_PER_S !== 0 || progress?.(step / (LONGEST_SCRIPT_S * STEPS_PER_S)) !== false;
    });
    sample();
    const ends = [...begun.slice(1), { from_s: s[S.TIME], from_m: -s[S.DOWN] }];
    const listed = begun.map(({ name, from_s, from_m }, i) => ({
      name,
      from_s,
      took_s: ends[i].from_s - from_s,
      lost_m: from_m - ends[i].from_m,
    }));
    return success({
      flown,
      ended: flight.ended,
      legs: listed,
      touchdown,
      samples,
      working: listed.map(({ name, took_s, lost_m }) => ({
        figure: "legs",
        symbol: "Δh",
        meaning: `height lost in “${name}” in ${took_s.toFixed(1)} s`,
        formula: "h(begin) − h(end)",
        value: lost_m,
        unit: "m",
        source: "this flight, 120 steps a second",
      })),
    });
  },
});
