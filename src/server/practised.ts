// All that an account has that counts as practice.
import type { RowDataPacket } from "mysql2/promise";
import type { Practised } from "@/core/logbook/currency";
import { LogbookEntry } from "@/core/logbook/logbook-entry";
import {
  countedOnce,
  practisedByDrill,
  practisedByEntry,
  practisedByLog,
  practisedByRecall,
  practisedBySimulator,
} from "@/core/logbook/practised";
import { database } from "./database";
import { listFlights } from "./flights";
import { listLogs } from "./logs";
import { listRuns } from "./runs";

const Counted = LogbookEntry.pick({ name: true, at: true, kind: true, practised: true, sources: true });

async function practisedInEntries(accountId: string): Promise<Practised[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT name, at, JSON_VALUE(document, '$.kind') AS kind, JSON_EXTRACT(document, '$.practised') AS practised,
         JSON_EXTRACT(document, '$.sources') AS sources
       FROM logbook_entries WHERE account_id = ? AND deleted_at IS NULL AND JSON_LENGTH(document, '$.practised') > 0`,
    [accountId],
  );
  return rows.flatMap(({ name, at, kind, practised, sources }) => {
    const lists = [practised, sources].map((text) => JSON.parse(String(text)) as unknown);
    const read = Counted.safeParse({ name, at, kind, practised: lists[0], sources: lists[1] });
    return read.success ? practisedByEntry(read.data) : [];
  });
}

/** Drills, flights by hand, flights that were logged, the last answers of recall, and what entries say. */
export async function practisedOf(accountId: string): Promise<Practised[]> {
  const [reviews] = await database().execute<RowDataPacket[]>(
    "SELECT MAX(at) AS at FROM reviews WHERE account_id = ?",
    [accountId],
  );
  const last = reviews[0]?.at as Date | null;
  const shown = [
    ...(await listRuns(accountId)).flatMap(practisedByDrill),
    ...(await listFlights(accountId)).flatMap(practisedBySimulator),
    ...(await listLogs(accountId)).flatMap(practisedByLog),
    ...practisedByRecall(last ? [{ at_ms: last.getTime() }] : []),
  ];
  return countedOnce(shown, await practisedInEntries(accountId));
}
