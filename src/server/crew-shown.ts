// What is shown of a crew’s flight: written by the browser that flies, read by those who look on. The latest is kept.
import type { RowDataPacket } from "mysql2/promise";
import type { NowShown, SHOWN, ShownPart } from "@/core/exercise/flight-crew";
import type { z } from "zod";
import { tellCrew } from "./crew-bus";
import type { Member } from "./crews";
import { database } from "./database";

/** Parts of what is shown, those that have changed. */
export type Shown = { readonly [Part in ShownPart]?: z.infer<(typeof SHOWN)[Part]> };

/**
 * Shows what has changed of a flight.
 *
 * @returns why it may not, or null
 */
export async function showFlight({ crewId, role, of }: Member, shown: Shown): Promise<string | null> {
  if (of !== "flight" || role !== "flying") return "Only who flies shows a flight.";
  for (const [part, body] of Object.entries(shown)) {
    const text = JSON.stringify(body);
    await database().execute(
      `INSERT INTO crew_shown (crew_id, part, revision, body) VALUES (?, ?, 1, ?)
         ON DUPLICATE KEY UPDATE revision = revision + 1, body = VALUES(body)`,
      [crewId, part, text],
    );
  }
  if (shown.now) await tellClock(crewId, shown.now);
  tellCrew(crewId);
  return null;
}

/** Notes stand at the flight's own time. */
async function tellClock(crewId: string, { view }: NowShown): Promise<void> {
  await database().execute("UPDATE crews SET elapsed_s = ? WHERE id = ?", [view.time_s, crewId]);
}

/** What is shown and not had yet, by the revisions that a browser has. */
export async function shownSince(
  crewId: string,
  has: Readonly<Record<string, number>>,
): Promise<{ part: string; revision: number; body: string }[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT part, revision, body FROM crew_shown WHERE crew_id = ?
       AND revision > CASE part WHEN 'flight' THEN ? WHEN 'drill' THEN ? ELSE ? END`,
    [crewId, has.flight ?? 0, has.drill ?? 0, has.now ?? 0],
  );
  return rows.map((row) => ({ part: String(row.part), revision: Number(row.revision), body: String(row.body) }));
}
