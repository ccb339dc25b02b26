// A flight log as it is sent to be kept: gzip of JSON. What a list shows of it is found here, not taken from who sends.
// Apart from the table, so that what reads a file needs no database.
import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import { z } from "zod";
import { type Outcome, failure, issuesOf, success } from "@/core/outcome";
import { analyse } from "@/core/track/analyse";
import { readKeptLog } from "@/core/track/read-kept-log";
import { type LogSummary, dayOf, summaryOf } from "@/core/track/kept-log";
import { KeptLogOfAnyVersion } from "@/core/track/kept-log-versions";

/** Most bytes of one, unpacked and packed. */
const MOST_UNPACKED = 52 * 1024 * 1024;
/** @see MOST_UNPACKED */
export const MOST_PACKED_LOG = 12 * 1024 * 1024;

/** @see SentLog */
const SentLog = z.strictObject({ id: z.uuid(), log: KeptLogOfAnyVersion });
/** A log as its account knows it. */
export type SentLog = z.infer<typeof SentLog>;

/** A log as it is stored: what a list shows, and all of it packed. */
export interface PackedLog {
  readonly id: string;
  readonly name: string;
  readonly aircraft: string | null;
  readonly summary: LogSummary;
  readonly packed: Uint8Array;
}

/** Packs a log as a page does. */
export const packedLog = (sent: SentLog): Promise<Uint8Array> => promisify(gzip)(Buffer.from(JSON.stringify(sent)));

/**
 * A log as it was sent.
 *
 * @returns `log_damaged` where it is no gzip of JSON or too large; `log_invalid` with its first fault
 */
export async function unpackedLog(packed: Uint8Array): Promise<Outcome<SentLog>> {
  if (packed.byteLength > MOST_PACKED_LOG)
    return failure("log_damaged", "The log is too long to be kept. It can be looked at here all the same.");
  let value: unknown;
  try {
    value = JSON.parse((await promisify(gunzip)(packed, { maxOutputLength: MOST_UNPACKED })).toString());
  } catch {
    return failure("log_damaged", "The log was damaged on its way. Nothing was stored.");
  }
  const parsed = SentLog.safeParse(value);
  if (!parsed.success) {
    const [first] = issuesOf(parsed.error);
    return failure("log_invalid", `${first.path}: ${first.message} Nothing was stored.`, first.path);
  }
  return success(parsed.data);
}

/**
 * Reads a packed log and finds what a list shows of it.
 *
 * @returns failures of unpacking, of reading and of analysis
 */
export async function readSentLog(packed: Uint8Array): Promise<Outcome<PackedLog>> {
  const sent = await unpackedLog(packed);
  if (!sent.ok) return sent;
  const { id, log } = sent.value;
  const read = readKeptLog(log);
  if (!read.ok) return read;
  const found = analyse(read.value, dayOf(log));
  if (!found.ok) return found;
  const aircraft = log.aircraft ? log.aircraft.name.slice(0, 60) : null;
  return success({ id, name: log.name, aircraft, summary: summaryOf(found.value), packed });
}
