// A flight by hand as it is sent to be kept: gzip of JSON, for the hands of an hour are many. Apart from the table, so
// that what reads a file needs no database.
import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import { z } from "zod";
import { FlownResult } from "@/core/exercise/flown-result";
import { type Outcome, failure, issuesOf, success } from "@/core/outcome";
import { KeptFlightOfAnyVersion } from "@/core/simulation/kept-flight-versions";

/** Most bytes of one, unpacked and packed. */
const MOST_UNPACKED = 12 * 1024 * 1024;
/** @see MOST_UNPACKED */
export const MOST_PACKED = 2 * 1024 * 1024;

/** @see SentFlight */
const SentFlight = z.strictObject({ id: z.uuid(), result: FlownResult, flight: KeptFlightOfAnyVersion });
/** A flight with what came of it, as its account knows it. */
export type SentFlight = z.infer<typeof SentFlight>;

/** A flight as it is stored: what a list shows, and all of it packed. */
export interface PackedFlight extends Pick<SentFlight, "id" | "result"> {
  readonly flownAt: string;
  readonly aircraft: string;
  readonly words: string;
  readonly exerciseId: string | null;
  readonly backs: number;
  /** Something helped: attitude, ball or speed were held for the pilot. */
  readonly helped: boolean;
  readonly packed: Uint8Array;
}

/** Packs a flight as a page does. */
export const packedFlight = (sent: SentFlight): Promise<Uint8Array> =>
  promisify(gzip)(Buffer.from(JSON.stringify(sent)));

/**
 * A flight as it was sent.
 *
 * @returns `flight_damaged` where it is no gzip of JSON or too large; `flight_invalid` with its first fault
 */
export async function unpackedFlight(packed: Uint8Array): Promise<Outcome<SentFlight>> {
  if (packed.byteLength > MOST_PACKED)
    return failure("flight_damaged", "The flight is too long to be kept. It stays in this browser.");
  let value: unknown;
  try {
    value = JSON.parse((await promisify(gunzip)(packed, { maxOutputLength: MOST_UNPACKED })).toString());
  } catch {
    return failure("flight_damaged", "The flight was damaged on its way. Nothing was stored.");
  }
  const parsed = SentFlight.safeParse(value);
  if (!parsed.success) {
    const [first] = issuesOf(parsed.error);
    return failure("flight_invalid", `${first.path}: ${first.message} Nothing was stored.`, first.path);
  }
  return success(parsed.data);
}

/**
 * Reads a packed flight.
 *
 * @returns failures of unpacking
 */
export async function readFlight(packed: Uint8Array): Promise<Outcome<PackedFlight>> {
  const sent = await unpackedFlight(packed);
  if (!sent.ok) return sent;
  const { id, result, flight } = sent.value;
  const { at, flown, words, exerciseId, backs, assistance } = flight;
  const aircraft = flown.setUp.aircraft.name.slice(0, 60);
  const helped = assistance.attitude || assistance.ball || assistance.speed_mps !== null;
  return success({ id, result, flownAt: at, aircraft, words, exerciseId, backs, helped, packed });
}
