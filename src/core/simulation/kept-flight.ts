// A flight as it is kept and handed on: how it was set up, what the hands did, what helped, how it ended.
import { z } from "zod";
import { RunDocument } from "../procedure/run-document";
import { BY_ITSELF } from "./flight";
import { FlightSetUp } from "./flight-set-up";
import { Recording } from "./recording";

const place_m = z.number().min(-1_000_000).max(1_000_000);
const share = z.number().min(-1.001).max(1.001);

const Strip = z.strictObject({
  north_m: place_m,
  east_m: place_m,
  along: z.tuple([share, share]),
  length_m: z.number().min(1).max(20_000),
  elevation_m: z.number().min(-500).max(9000),
});

const speed = z.number().min(-1000).max(1000);

/** The present version of the document. */
export const KEPT_FLIGHT_VERSION = 3;

/** @see KeptFlight */
export const KeptFlight = z.strictObject({
  format: z.literal("utrimax/kept-flight"),
  version: z.literal(KEPT_FLIGHT_VERSION),
  at: z.iso.datetime(),
  words: z.string().max(300),
  exerciseId: z.string().max(40).nullable(),
  assistance: z.strictObject({
    attitude: z.boolean(),
    ball: z.boolean(),
    bank_rad: z.number().min(0.05).max(1.6),
    speed_mps: z.number().min(5).max(250).nullable(),
  }),
  /** The drill that was done with it, from when it began on. */
  drill: z.strictObject({ began_s: z.number().min(0).max(3600), run: RunDocument }).nullable(),
  /** Went back so often. */
  backs: z.int().min(0).max(10_000),
  ended: z
    .discriminatedUnion("kind", [
      z.strictObject({ kind: z.enum(BY_ITSELF) }),
      z.strictObject({ kind: z.enum(["crash", "water"]), sink_mps: speed, speed_mps: speed }),
    ])
    .nullable(),
  flown: z.strictObject({ setUp: FlightSetUp, strips: z.array(Strip).max(8) }),
  recording: Recording,
  /** The state that it ended in: flown again it ends in the same bits. */
  state: z.array(z.number().min(-1e12).max(1e12)).max(100),
});
/** A flight as a document. */
export type KeptFlight = z.infer<typeof KeptFlight>;
