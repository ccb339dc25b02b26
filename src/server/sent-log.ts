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

/** What a list shows of a log before it is analysed. */
const UNKNOWN: LogSummary = {
  begins_s: null,
  duration_s: 0,
  fixes: 0,
  holes: 0,
  flights: 0,
  landings: 0,
  failures: 0,
  height_m: null,
  hands: [],
};

const packedOf = ({ id, log }: SentLog, summary: LogSummary, packed: Uint8Array): PackedLog => ({
  id,
  name: log.name,
  aircraft: log.aircraft ? log.aircraft.name.slice(0, 60) : null,
  summary,
  packed,
});

/** Reading is so much of the whole. */
const READING = 0.45;

/**
 * Finds what a list shows of a packed log.
 *
 * @param told - how far it is, 0 to 1
 * @returns failures of unpacking, of reading and of analysis
 */
export async function analyseSentLog(packed: Uint8Array, told: (share: number) => void): Promise<Outcome<LogSummary>> {
  const sent = await unpackedLog(packed);
  if (!sent.ok) return sent;
  const { log } = sent.value;
  const read = readKeptLog(log, (share) => {
    told(READING * share);
    return true;
  });
  if (!read.ok) return read;
  told(READING);
  const found = analyse(read.value, dayOf(log));
  return found.ok ? success(summaryOf(found.value)) : found;
}

/** Reads a packed log without its analysis. @returns failures of unpacking */
export async function readUnanalysedLog(packed: Uint8Array): Promise<Outcome<PackedLog>> {
  const sent = await unpackedLog(packed);
  return sent.ok ? success(packedOf(sent.value, UNKNOWN, packed)) : sent;
}

/** Reads a packed log and finds what a list shows of it. @returns failures of unpacking, of reading and of analysis */
export async function readSentLog(packed: Uint8Array): Promise<Outcome<PackedLog>> {
  const sent = await unpackedLog(packed);
  if (!sent.ok) return sent;
  const summary = await analyseSentLog(packed, () => undefined);
  return summary.ok ? success(packedOf(sent.value, summary.value, packed)) : summary;
}
