// Documents of an account's own under ids that they bring. Those that ship with the application are in no table.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import type { z } from "zod";
import { FlightTestProfile } from "@/core/exercise/exercise";
import { CurrencyRule } from "@/core/logbook/currency";
import { LogbookEntry } from "@/core/logbook/logbook-entry";
import { Procedure } from "@/core/procedure/procedure";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";
import { type Saved, markRow, saveOver } from "./versioned-rows";

/** A document of an account. */
export interface OwnDocument<T> {
  readonly id: string;
  readonly version: number;
  readonly document: T;
}

/** An id that a document brings is somebody else's. */
export class DocumentIdTaken extends Error {}

/** An id that no document of anybody has. */
export const newOwnId = () => `own-${randomUUID()}`.slice(0, 40);

/** Most that a list holds: as many as an account may have of the kind that it may have most of. */
const MOST = 2000;

/** Documents of one kind, each under an id of its own. */
export interface OwnDocuments<T> {
  readonly schema: z.ZodType<T>;
  /** Where its room is counted. */
  readonly quota: "procedures" | "flightTests" | "testCards" | "entries" | "rules";
  /** What one is, in words. */
  readonly noun: string;
  /** Of an account, by name. */
  list(accountId: string, unreadable?: UnreadableRow[]): Promise<OwnDocument<T>[]>;
  /**
   * Adds one under the id that it brings; sent once more it is there once.
   *
   * @returns its version
   * @throws {DocumentIdTaken}
   */
  add(accountId: string, document: T, connection: Queryable): Promise<number>;
  /** Replaces one of the version that it was made from. */
  save(accountId: string, document: T, version: number): Promise<Saved<OwnDocument<T>>>;
  /** Deletes one of an account, or brings it back; false when the account has none of that id. */
  mark(accountId: string, id: string, deleted: boolean, connection?: Queryable): Promise<boolean>;
}

function ownDocuments<T extends { readonly id: string; readonly name: string }>(
  table: "procedures" | "flight_tests" | "test_cards" | "logbook_entries" | "currency_rules",
  kind: "procedure" | "flight test" | "test card" | "logbook entry" | "currency rule",
  quota: OwnDocuments<T>["quota"],
  schema: z.ZodType<T>,
): OwnDocuments<T> {
  const ofRow = (row: RowDataPacket): OwnDocument<T> => ({
    id: String(row.id),
    version: Number(row.version),
    document: schema.parse(JSON.parse(String(row.document))),
  });
  return {
    schema,
    quota,
    noun: kind,
    list: async (accountId, unreadable = []) => {
      const [rows] = await database().execute<RowDataPacket[]>(
        `SELECT id, account_id, name, document, version FROM ${table} WHERE account_id = ? AND deleted_at IS NULL
           ORDER BY name, id LIMIT ${MOST}`,
        [accountId],
      );
      return readableRows(kind, rows, ofRow, unreadable);
    },
    add: async (accountId, document, connection) => {
      const { id, name } = document;
      await connection.execute(`INSERT IGNORE INTO ${table} (id, account_id, name, document) VALUES (?, ?, ?, ?)`, [
        id,
        accountId,
        name,
        JSON.stringify(document),
      ]);
      const [rows] = await connection.execute<RowDataPacket[]>(
        `SELECT version FROM ${table} WHERE id = ? AND account_id = ?`,
        [id, accountId],
      );
      if (!rows[0]) throw new DocumentIdTaken(id);
      return Number(rows[0].version);
    },
    save: (accountId, document, version) => saveOver(table, accountId, document.id, document, version, ofRow),
    mark: (accountId, id, deleted, connection) => markRow(table, accountId, id, deleted, connection),
  };
}

/** Procedures of one's own. */
export const ownProcedures = ownDocuments("procedures", "procedure", "procedures", Procedure);

/** Flight tests of one's own. */
export const ownFlightTests = ownDocuments("flight_tests", "flight test", "flightTests", FlightTestProfile);

/** Test cards. */
export const ownTestCards = ownDocuments("test_cards", "test card", "testCards", TestCardOfAnyVersion);

/** Entries of the logbook. */
export const ownEntries = ownDocuments("logbook_entries", "logbook entry", "entries", LogbookEntry);

/** Rules of currency. */
export const ownRules = ownDocuments("currency_rules", "currency rule", "rules", CurrencyRule);
