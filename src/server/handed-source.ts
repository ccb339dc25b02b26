// What a student hands in, from his own rows.
import type { RowDataPacket } from "mysql2/promise";
import type { HandInKind, HandInResult } from "@/core/school/school";
import { database } from "./database";
import { flightOf } from "./flights";
import { logOf } from "./logs";
import { runOf } from "./runs";
import type { HandedSource } from "./tasks";

/** The source with what a list says of it; null where the account has none of that id. */
export async function handedSource(
  accountId: string,
  kind: HandInKind,
  id: string,
): Promise<(Pick<HandInResult, "at" | "aircraft" | "words"> & { readonly source: HandedSource }) | null> {
  const one = async (sql: string) =>
    (await database().execute<RowDataPacket[]>(`${sql} WHERE account_id = ? AND id = ?`, [accountId, id]))[0].at(0);
  if (kind === "run") {
    const row = await one(
      "SELECT began_at, aircraft_name, procedure_name, JSON_VALUE(result, '$.took_s') AS took FROM runs",
    );
    const run = row && (await runOf(accountId, id));
    if (!row || !run) return null;
    const [at, aircraft, words] = [(row.began_at as Date).toISOString(), row.aircraft_name, row.procedure_name];
    return { at, aircraft, words, source: { kind, run, until_s: Number(row.took) } };
  }
  if (kind === "flight") {
    const row = await one("SELECT flown_at, aircraft_name, words, backs, helped FROM flights");
    const packed = row && (await flightOf(accountId, id));
    if (!row || !packed) return null;
    const at = (row.flown_at as Date).toISOString();
    // Who signs sees what was not all his own.
    const helped = [
      ...(row.helped === 1 ? ["helped"] : []),
      ...(Number(row.backs) > 0 ? [`went back ${row.backs} ${Number(row.backs) === 1 ? "time" : "times"}`] : []),
    ];
    const words = [String(row.words).slice(0, 120), ...helped].join("; ");
    return { at, aircraft: row.aircraft_name, words, source: { kind, packed } };
  }
  const row = await one("SELECT begun_at, kept_at, aircraft_name, name FROM flight_logs");
  const packed = row && (await logOf(accountId, id));
  if (!row || !packed) return null;
  const at = ((row.begun_at ?? row.kept_at) as Date).toISOString();
  return { at, aircraft: row.aircraft_name ?? "", words: row.name, source: { kind, packed } };
}
