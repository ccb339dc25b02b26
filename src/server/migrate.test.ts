// What earlier migrations left, brought up to date: in a database of its own.
import { readFile, readdir } from "node:fs/promises";
import path from "node:path";
import mysql, { type RowDataPacket } from "mysql2/promise";
import { expect, it } from "vitest";
import { readPlace } from "@/core/places/place-versions";

const FOLDER = path.join(process.cwd(), "db", "migrations");

it("aerodromes and sites that were tables become places, with all that was known of them", async () => {
  const url = new URL(process.env.OWNER_DATABASE_URL ?? "");
  url.pathname = "/";
  const connection = await mysql.createConnection({ uri: url.href, multipleStatements: true });
  try {
    await connection.query(
      "DROP DATABASE IF EXISTS utrimax_before; CREATE DATABASE utrimax_before; USE utrimax_before",
    );
    const files = (await readdir(FOLDER)).sort();
    const upTo = files.indexOf("0008_places.sql");
    for (const file of files.slice(0, upTo)) await connection.query(await readFile(path.join(FOLDER, file), "utf8"));
    await connection.query(`
      INSERT INTO accounts (id, kind, preferences) VALUES ('somebody', 'guest', '{}');
      INSERT INTO aerodromes VALUES ('home', 'somebody', 'Home “north”', 'aerodrome', 47.5, 8.25, 432.1), ('pad', 'somebody', 'Pad', 'helipad', 47.6, 8.3, 500);
      INSERT INTO runways (id, aerodrome_id, surface, width_m, a_designator, a_latitude_deg, a_longitude_deg, a_elevation_m, a_displaced_m, a_obstacle, b_designator, b_latitude_deg, b_longitude_deg, b_elevation_m, b_displaced_m, b_obstacle)
        VALUES ('r1', 'home', 'grass', 25, '09', 47.5, 8.245, 432, 50, '{"name":"mast \\\\"x\\\\"","distance_m":300,"height_m":20.5}', '27', 47.5, 8.255, 432.2, 0, NULL),
               ('r2', 'home', 'asphalt', 30, '18', 47.504, 8.25, 432, 0, NULL, '36', 47.496, 8.25, 432, 0, NULL);
      INSERT INTO landing_sites (id, account_id, name, kind, notes, strip, hazards) VALUES
        ('f1', 'somebody', 'Field', 'field', 'ü', '{"id":"s1","width_m":40,"surface":"grass","ends":[{"designator":"east","threshold":{"latitude_deg":47.5,"longitude_deg":8.2},"elevation_m":430,"displaced_m":0},{"designator":"west","threshold":{"latitude_deg":47.5,"longitude_deg":8.206},"elevation_m":431,"displaced_m":0}]}', '["people"]'),
        ('f2', 'somebody', 'Beach', 'beach', '', '{"id":"s2","width_m":40,"surface":"sand","ends":[{"designator":"east","threshold":{"latitude_deg":47.5,"longitude_deg":8.2},"elevation_m":430,"displaced_m":0,"obstacle":null},{"designator":"west","threshold":{"latitude_deg":47.5,"longitude_deg":8.206},"elevation_m":431,"displaced_m":0}]}', NULL);
    `);
    await connection.query(await readFile(path.join(FOLDER, files[upTo]), "utf8"));
    const [rows] = await connection.query<RowDataPacket[]>(
      "SELECT id, account_id, name, document FROM places ORDER BY id",
    );
    const places = rows.map((row) => {
      const read = readPlace(row.document);
      if (!read.ok) throw new Error(read.issue.message);
      expect([row.id, row.account_id, row.name]).toEqual([read.value.id, "somebody", read.value.name]);
      return read.value;
    });
    expect(places).toMatchObject([
      { id: "f1", kind: "field", notes: "ü", hazards: ["people"], strip: { surface: "grass", width_m: 40 } },
      { id: "f2", kind: "beach", hazards: [], strip: { ends: [{ obstacle: null }, { usable: true }] } },
      {
        id: "home",
        name: "Home “north”",
        position: { latitude_deg: 47.5, longitude_deg: 8.25 },
        elevation_m: 432.1,
        runways: [
          {
            id: "r1",
            ends: [
              { designator: "09", displaced_m: 50, obstacle: { name: 'mast "x"', distance_m: 300, height_m: 20.5 } },
              { designator: "27", obstacle: null },
            ],
          },
          { id: "r2", surface: "asphalt" },
        ],
      },
      { id: "pad", kind: "helipad", runways: [] },
    ]);
  } finally {
    await connection.query("DROP DATABASE IF EXISTS utrimax_before");
    await connection.end();
  }
});
