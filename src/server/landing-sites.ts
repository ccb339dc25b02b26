// Surveyed fields and beaches.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { LandingSite } from "@/core/landing/places";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** Sites that belong to an account, by name. */
export async function listLandingSites(accountId: string, unreadable: UnreadableRow[] = []): Promise<LandingSite[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, account_id, name, kind, notes, strip, hazards FROM landing_sites WHERE account_id = ? ORDER BY name",
    [accountId],
  );
  return readableRows("site", rows, siteOfRow, unreadable);
}

function siteOfRow(row: RowDataPacket): LandingSite {
  return LandingSite.parse({
    id: row.id,
    name: row.name,
    kind: row.kind,
    notes: row.notes,
    strip: JSON.parse(String(row.strip)),
    hazards: row.hazards === null ? [] : JSON.parse(String(row.hazards)),
  });
}

/** Writes a site under its id, replacing the one of the same account. */
export async function putLandingSite(accountId: string, site: LandingSite, connection: Queryable): Promise<void> {
  await connection.execute("DELETE FROM landing_sites WHERE id = ? AND account_id = ?", [site.id, accountId]);
  await connection.execute(
    "INSERT INTO landing_sites (id, account_id, name, kind, notes, strip, hazards) VALUES (?, ?, ?, ?, ?, ?, ?)",
    [site.id, accountId, site.name, site.kind, site.notes, JSON.stringify(site.strip), JSON.stringify(site.hazards)],
  );
}

/** Adds a copy under an id of its own. */
export async function addLandingSite(accountId: string, site: LandingSite, connection: Queryable): Promise<void> {
  const id = randomUUID();
  await putLandingSite(accountId, { ...site, id, strip: { ...site.strip, id: `${id}-strip` } }, connection);
}
