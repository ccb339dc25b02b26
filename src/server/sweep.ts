// What has run out is forgotten: at start, and every hour.
import { forgetOldGuests } from "./accounts";
import { forgetOldCrews } from "./crews";
import { database } from "./database";
import { log } from "./log";
import { tendSchools } from "./schools";
import { forgetOldSessions } from "./sessions";

const EVERY_MS = 3600 * 1000;
/** A deletion can be undone for this long. */
const DELETED_DAYS = 7;

/** Removes sessions and guests that have run out, rows that were deleted long ago, attempts that no longer count. */
export async function sweep(): Promise<void> {
  const connection = database();
  await forgetOldSessions(connection);
  await forgetOldGuests(connection);
  for (const table of [
    "situations",
    "aircraft",
    "places",
    "procedures",
    "flight_tests",
    "test_cards",
    "logbook_entries",
    "currency_rules",
  ] as const)
    await connection.execute(`DELETE FROM ${table} WHERE deleted_at < NOW(3) - INTERVAL ${DELETED_DAYS} DAY`);
  await forgetOldCrews(connection);
  await tendSchools(connection);
  await connection.execute(
    `DELETE FROM shares WHERE ended_at < NOW(3) - INTERVAL ${DELETED_DAYS} DAY
       OR (reader_id IS NULL AND created_at < NOW(3) - INTERVAL ${DELETED_DAYS} DAY)`,
  );
  await connection.execute("DELETE FROM attempts WHERE expire < ?", [Date.now()]);
}

/** Sweeps every hour from now on. */
export function sweepHourly(): void {
  setInterval(() => {
    sweep().catch((error: unknown) => log().warn({ err: error }, "what has run out could not be removed"));
  }, EVERY_MS).unref();
}
