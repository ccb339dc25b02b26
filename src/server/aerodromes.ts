// Aerodromes with their runways: two tables read and written as one.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { Aerodrome, type Strip } from "@/core/landing/places";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** Aerodromes that belong to an account, by name. */
export async function listAerodromes(accountId: string, unreadable: UnreadableRow[] = []): Promise<Aerodrome[]> {
  const [places] = await database().execute<RowDataPacket[]>(
    "SELECT * FROM aerodromes WHERE account_id = ? ORDER BY name",
    [accountId],
  );
  const [runways] = await database().execute<RowDataPacket[]>(
    "SELECT runways.* FROM runways JOIN aerodromes ON aerodromes.id = aerodrome_id WHERE account_id = ? ORDER BY runways.id",
    [accountId],
  );
  const rows = places.map((row) => ({ ...row, runways: runways.filter((runway) => runway.aerodrome_id === row.id) }));
  return readableRows("aerodrome", rows as RowDataPacket[], aerodromeOfRow, unreadable);
}

function aerodromeOfRow(row: RowDataPacket): Aerodrome {
  return Aerodrome.parse({
    id: row.id,
    name: row.name,
    kind: row.kind,
    position: { latitude_deg: row.latitude_deg, longitude_deg: row.longitude_deg },
    elevation_m: row.elevation_m,
    runways: (row.runways as RowDataPacket[]).map(stripOfRow),
  });
}

function stripOfRow(row: RowDataPacket): Strip {
  const end = (side: "a" | "b") => ({
    designator: row[`${side}_designator`],
    threshold: { latitude_deg: row[`${side}_latitude_deg`], longitude_deg: row[`${side}_longitude_deg`] },
    elevation_m: row[`${side}_elevation_m`],
    displaced_m: row[`${side}_displaced_m`],
    obstacle: row[`${side}_obstacle`] === null ? null : JSON.parse(String(row[`${side}_obstacle`])),
  });
  return { id: row.id, width_m: row.width_m, surface: row.surface, ends: [end("a"), end("b")] };
}

/** Writes an aerodrome and its runways, replacing those of the same id in the same account. */
export async function putAerodrome(accountId: string, aerodrome: Aerodrome, connection: Queryable): Promise<void> {
  await connection.execute("DELETE FROM aerodromes WHERE id = ? AND account_id = ?", [aerodrome.id, accountId]);
  await connection.execute(
    "INSERT INTO aerodromes (id, account_id, name, kind, latitude_deg, longitude_deg, elevation_m) VALUES (?, ?, ?, ?, ?, ?, ?)",
    [
      aerodrome.id,
      accountId,
      aerodrome.name,
      aerodrome.kind,
      aerodrome.position.latitude_deg,
      aerodrome.position.longitude_deg,
      aerodrome.elevation_m,
    ],
  );
  for (const { id, surface, width_m, ends } of aerodrome.runways) {
    await connection.execute(
      `INSERT INTO runways (id, aerodrome_id, surface, width_m,
         a_designator, a_latitude_deg, a_longitude_deg, a_elevation_m, a_displaced_m, a_obstacle,
         b_designator, b_latitude_deg, b_longitude_deg, b_elevation_m, b_displaced_m, b_obstacle) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        id,
        aerodrome.id,
        surface,
        width_m,
        ...ends.flatMap((end) => [
          end.designator,
          end.threshold.latitude_deg,
          end.threshold.longitude_deg,
          end.elevation_m,
          end.displaced_m,
          end.obstacle && JSON.stringify(end.obstacle),
        ]),
      ],
    );
  }
}

/** Adds a copy under ids of its own. */
export async function addAerodrome(accountId: string, aerodrome: Aerodrome, connection: Queryable): Promise<void> {
  await putAerodrome(
    accountId,
    { ...aerodrome, id: randomUUID(), runways: aerodrome.runways.map((runway) => ({ ...runway, id: randomUUID() })) },
    connection,
  );
}
