import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { airspeedsFromEas } from "../air/airspeed";
import { WindColumn, windProfile } from "../air/wind";
import { calculation } from "../calculation";
import { glidingTurn, turnSpeed } from "../glide/gliding-turn";
import { speedToFly } from "../glide/speed-to-fly";
import { accelerationFactor } from "../glide/acceleration-factor";
import { bestGlide } from "../glide/straight-glide";
import { success } from "../outcome";
import { SituationDocument, Pilot } from "../situation/situation-document";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium of straight and turning glides; least height over ground distance";

/** Gliding along a track in today's wind, and turning. */
export const glideCalculation = calculation({
  name: "glide",
  cost: "instant",
  question: "How fast do I glide along this track in this wind, how far does it take me, and what does a turn cost?",
  sources: [SOURCE],
  input: z.strictObject({
    aircraft: Aeroplane,
    mass_kg: SituationDocument.shape.mass_kg,
    configuration: Configuration,
    air: SituationDocument.shape.air,
    wind: WindColumn,
    altitude_m: SituationDocument.shape.altitude_m,
    ground_m: z.number().min(-430).max(9000).default(0),
    trackTrue_rad: z
      .number()
      .min(0)
      .max(2 * Math.PI),
    verticalAir_mps: z.number().min(-15).max(15).default(0),
    bank_rad: Pilot.shape.bank_rad,
    stallMargin: Pilot.shape.stallMargin,
  }),
  output: z.object({
    book: z.object({
      eas_mps: z.number(),
      tas_mps: z.number(),
      sink_mps: z.number(),
      ratio: z.number(),
      groundSpeed_mps: z.number().nullable(),
      groundRatio: z.number().nullable(),
    }),
    speedToFly: z.object({
      eas_mps: z.number(),
      ratio: z.number(),
      groundSpeed_mps: z.number(),
      groundRatio: z.number(),
    }),
    turn: z.object({
      eas_mps: z.number(),
      radius_m: z.number(),
      rate_radps: z.number(),
      loadFactor: z.number(),
      sink_mps: z.number(),
      heightPer360_m: z.number(),
    }),
    headwind_mps: z.number(),
    crosswind_mps: z.number(),
    working: z.array(WorkingStep),
  }),
  run(input) {
    const configured = polarOf(input.aircraft, input.mass_kg, input.configuration);
    if (!configured.ok) return configured;
    const profile = windProfile(input.wind, input.ground_m);
    if (!profile.ok) return profile;
    const { polar } = configured.value;
    const { sigma, density } = airAtAltitude(input.altitude_m, input.air);
    const wind = profile.value(input.altitude_m);
    const along = wind.east_mps * Math.sin(input.trackTrue_rad) + wind.north_mps * Math.cos(input.trackTrue_rad);
    const across = wind.east_mps * Math.cos(input.trackTrue_rad) - wind.north_mps * Math.sin(input.trackTrue_rad);
    const fly = speedToFly(polar, { along_mps: along, across_mps: across, vertical_mps: input.verticalAir_mps }, sigma);
    if (!fly.ok) return fly;
    const best = bestGlide(polar);
    const tas_mps = best.eas_mps / Math.sqrt(sigma);
    const horizontal = tas_mps * Math.cos(best.angle_rad);
    // The book's speed may make no headway where a faster one does: then it has no ground speed, and no ratio.
    const forward2 = horizontal ** 2 - across ** 2;
    const forward = forward2 > 0 ? Math.sqrt(forward2) + along : 0;
    const groundSpeed_mps = forward > 0 ? forward : null;
    // At constant airspeed the speed lost on the way down gives height back: both glides sink less and go farther by 1
    // + AF.
    const calibrated = airspeedsFromEas(best.eas_mps, airAtAltitude(input.altitude_m, input.air));
    const factor =
      1 + accelerationFactor(calibrated.ok ? calibrated.value.cas_mps : best.eas_mps, input.altitude_m, input.air);
    const stillSink_mps = best.sinkEas_mps / Math.sqrt(sigma);
    const sink_mps = stillSink_mps / factor;
    // Rising air is worth 1 + AF too: −dh/dt = (sink − rising air)/(1 + AF).
    const bookRatio =
      groundSpeed_mps !== null && stillSink_mps > input.verticalAir_mps
        ? (groundSpeed_mps * factor) / (stillSink_mps - input.verticalAir_mps)
        : null;
    const speed = turnSpeed(polar, input.bank_rad, input.stallMargin);
    const turn = glidingTurn(polar, speed.cl, input.bank_rad, density);
    const figure = "speedToFly";
    return success({
      book: {
        eas_mps: best.eas_mps,
        tas_mps,
        sink_mps,
        ratio: best.ratio * factor,
        groundSpeed_mps,
        groundRatio: bookRatio,
      },
      speedToFly: {
        eas_mps: fly.value.eas_mps,
        ratio: fly.value.ratio * factor,
        groundSpeed_mps: fly.value.groundSpeed_mps,
        groundRatio: fly.value.groundRatio * factor,
      },
      turn: {
        eas_mps: speed.eas_mps,
        radius_m: turn.radius_m,
        rate_radps: turn.rate_radps,
        loadFactor: turn.loadFactor,
        sink_mps: turn.sink_mps,
        heightPer360_m: 2 * Math.PI * turn.heightPerRadian_m,
      },
      headwind_mps: -along,
      crosswind_mps: -across,
      working: [
        {
          figure,
          symbol: "w",
          meaning: "tailwind along the track",
          formula: "w·u(track)",
          value: along,
          unit: "m/s",
          source: "wind by height, 1/7 law below the lowest layer",
        },
        {
          figure,
          symbol: "V",
          meaning: "speed to fly",
          formula: "min over V of sink/ground speed",
          value: fly.value.eas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "GS",
          meaning: "ground speed",
          formula: "√((V·cosθ)² − cross²) + along",
          value: fly.value.groundSpeed_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "1 + AF",
          meaning: "height given back by the speed lost at constant airspeed",
          formula: "1 + (V/g)·dV/dh",
          value: factor,
          unit: "",
          source: "energy of a glide at constant calibrated airspeed",
        },
        {
          figure,
          symbol: "GS/sink",
          meaning: "ground distance over height",
          formula: "GS/(sink − rising air)·(1 + AF)",
          value: fly.value.groundRatio * factor,
          unit: "",
          source: SOURCE,
        },
        {
          figure: "book",
          symbol: "sink",
          meaning: "rate of descent at best glide",
          formula: "V·sinθ/√σ/(1 + AF)",
          value: sink_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "turn",
          symbol: "V_t",
          meaning: `speed in the turn (${speed.limit})`,
          formula: "max(V_BG·(1 + √n)/2, k·V_S·√n), n = 1/cosφ",
          value: speed.eas_mps,
          unit: "m/s",
          source: "common practice",
        },
        {
          figure: "turn",
          symbol: "R",
          meaning: "radius",
          formula: "V·cosθ/ω, ω = g·n·sinφ/(V·cosθ)",
          value: turn.radius_m,
          unit: "m",
          source: SOURCE,
        },
      ],
    });
  },
});
