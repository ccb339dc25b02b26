// Terrain grids, stored as compressed 16-bit metres.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { TerrainGrid } from "@/core/earth/terrain";
import { LIBRARY_ACCOUNT } from "./accounts";
import { type Queryable, database } from "./database";
import type { PackedTerrain } from "./packed-terrain";

/** A terrain's name and frame, without its elevations. */
export interface TerrainFrame {
  readonly id: string;
  readonly name: string;
  readonly shared: boolean;
  readonly frame: Omit<TerrainGrid, "elevations_m">;
}

const COLUMNS =
  "id, account_id, name, origin_latitude_deg, origin_longitude_deg, west_m, south_m, cell_m, columns_count, rows_count";

/** Terrains that belong to an account, by name. */
export async function listTerrains(accountId: string): Promise<TerrainFrame[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM terrains WHERE account_id = ? ORDER BY name`,
    [accountId],
  );
  return rows.map(frameOfRow);
}

/** Whether an account may use a terrain. */
export async function hasTerrain(accountId: string, id: string): Promise<boolean> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id FROM terrains WHERE id = ? AND account_id IN (?, ?)",
    [id, accountId, LIBRARY_ACCOUNT],
  );
  return rows.length > 0;
}

function frameOfRow(row: RowDataPacket): TerrainFrame {
  return {
    id: String(row.id),
    name: String(row.name),
    shared: row.account_id === LIBRARY_ACCOUNT,
    frame: {
      origin: { latitude_deg: row.origin_latitude_deg, longitude_deg: row.origin_longitude_deg },
      west_m: row.west_m,
      south_m: row.south_m,
      cell_m: row.cell_m,
      columns: row.columns_count,
      rows: row.rows_count,
    },
  };
}

/**
 * Compressed elevations of a terrain the account may read: gzip of 16-bit little-endian metres; null when there is
 * none.
 */
export async function terrainElevations(
  accountId: string,
  id: string,
): Promise<{ readonly elevations: Buffer; readonly shared: boolean } | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT account_id, elevations FROM terrains WHERE id = ? AND account_id IN (?, ?)",
    [id, accountId, LIBRARY_ACCOUNT],
  );
  return rows[0] ? { elevations: rows[0].elevations as Buffer, shared: rows[0].account_id === LIBRARY_ACCOUNT } : null;
}

/** Stores a terrain under a new id, or under a fixed one (replacing it) for the library. */
export async function addTerrain(
  accountId: string,
  name: string,
  { frame, elevations }: PackedTerrain,
  connection: Queryable,
  id: string = randomUUID(),
): Promise<string> {
  await connection.execute("DELETE FROM terrains WHERE id = ? AND account_id = ?", [id, accountId]);
  await connection.execute(`INSERT INTO terrains (${COLUMNS}, elevations) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, [
    id,
    accountId,
    name,
    frame.origin.latitude_deg,
    frame.origin.longitude_deg,
    frame.west_m,
    frame.south_m,
    frame.cell_m,
    frame.columns,
    frame.rows,
    Buffer.from(elevations),
  ]);
  return id;
}

/** Removes a terrain of the account; false when it has none of that id. */
export async function removeTerrain(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM terrains WHERE id = ? AND account_id = ?", [id, accountId]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
