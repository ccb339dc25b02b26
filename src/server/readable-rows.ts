// Rows are read one by one: one that cannot be read is set aside and locks nobody out of the rest.
import type { RowDataPacket } from "mysql2/promise";
import { z } from "zod";
import { issuesOf } from "@/core/outcome";
import { LIBRARY_ACCOUNT } from "./accounts";
import { log } from "./log";
import type { ROW_KINDS } from "./row-kinds";

/** A row of an account that this program cannot read. */
export interface UnreadableRow {
  readonly kind: (typeof ROW_KINDS)[number];
  readonly id: string;
  readonly name: string;
  /** What is wrong with it. */
  readonly reason: string;
  /** The row as it is stored: its columns, JSON as text. */
  readonly stored: Readonly<Record<string, unknown>>;
}

function reasonOf(error: unknown): string {
  if (error instanceof z.ZodError) {
    const [first] = issuesOf(error);
    return `${first.path || "The whole"}: ${first.message}`;
  }
  return error instanceof Error ? error.message : String(error);
}

/**
 * Reads the rows that can be read. Those of the shared library that cannot are logged and left out.
 *
 * @param read - throws for a row that it cannot read
 * @param unreadable - is given the account's own rows that cannot be read
 */
export function readableRows<T>(
  kind: UnreadableRow["kind"],
  rows: readonly RowDataPacket[],
  read: (row: RowDataPacket) => T,
  unreadable: UnreadableRow[],
): T[] {
  return rows.flatMap((row) => {
    try {
      return [read(row)];
    } catch (error) {
      const [id, name, reason] = [String(row.id), String(row.name), reasonOf(error)];
      if (row.account_id === LIBRARY_ACCOUNT) log().error({ kind, id, reason }, "a row of the library cannot be read");
      else unreadable.push({ kind, id, name, reason, stored: { ...row, account_id: undefined } });
      return [];
    }
  });
}
