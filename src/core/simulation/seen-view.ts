// A flight's view as it is sent to those who look on: checked at every edge, as everything that comes from a browser.
import { z } from "zod";
import { CONTROLS } from "./controls";
import type { FlightView } from "./flight-view";
import { KeptFlight } from "./kept-flight";
import { FAILURE_KINDS } from "./trouble";

const Figure = z.number().min(-1e7).max(1e7);
const Share = z.number().min(-10).max(10);
const Angle = z.number().min(-10).max(10);
const Seconds = z.number().min(0).max(1e6);
const Name = z.string().max(60);
const Engine = z.union([z.literal(0), z.literal(1)]).nullable();

const EngineSeen = z.strictObject({
  rpm: Figure,
  spool: Share.nullable(),
  power_W: Figure.nullable(),
  manifold_Pa: Figure,
  fuelFlow_kgps: Figure,
  exhaust_K: Figure,
  head_K: Figure,
  oil_Pa: Figure,
  oil_K: Figure,
  thrust_N: Figure,
  blade_rad: Angle,
  burns: z.boolean(),
  fire: z.boolean(),
});

const ClockSeen = z.strictObject({
  time_s: Seconds,
  band: z.int().min(-1).max(20).nullable(),
  bands: z
    .array(
      z.strictObject({
        name: Name,
        uses: z.int().min(0).max(10_000),
        usesLeft: z.int().min(-10_000).max(10_000).nullable(),
        used_s: Seconds,
        left_s: Figure.nullable(),
        total_s: Seconds,
      }),
    )
    .max(20),
  exceedances: z
    .array(z.strictObject({ name: Name, kind: z.enum(["time", "uses", "power"]), over_s: Seconds }))
    .max(100),
  waiting: z.strictObject({ band: z.int().min(0).max(20), out_s: Seconds }).nullable(),
});

/** @see FlightView */
export const SeenView = z.strictObject({
  time_s: Seconds,
  north_m: Figure,
  east_m: Figure,
  altitude_m: Figure,
  height_m: Figure,
  bank_rad: Angle,
  pitch_rad: Angle,
  heading_rad: Angle,
  track_rad: Angle,
  groundSpeed_mps: Figure,
  climb_mps: Figure,
  tas_mps: Figure,
  beta_rad: Angle,
  ias_mps: Figure,
  indicatedAltitude_m: Figure,
  vsi_mps: Figure,
  ball: Figure,
  gyroBank_rad: Angle,
  gyroPitch_rad: Angle,
  yawRate_radps: Figure,
  loadFactor: Figure,
  stall_mps: Figure,
  stallWarning: z.boolean(),
  onGround: z.boolean(),
  flapAt: Share,
  gearAt: Share,
  fuel_kg: Figure,
  controls: z.array(z.int().min(-127).max(127)).length(CONTROLS),
  engines: z.array(EngineSeen).min(1).max(2),
  failed: z.array(z.strictObject({ kind: z.enum(FAILURE_KINDS), engine: Engine, since_s: Seconds })).max(100),
  ended: KeptFlight.shape.ended,
  backs: z.int().min(0).max(100_000),
  rotor: z.strictObject({ nr: Share, rpm: Figure, carries: Share, clock: ClockSeen.nullable() }).nullable(),
}) satisfies z.ZodType<FlightView>;
