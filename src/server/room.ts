// Whether an account has room for more.
import type { RowDataPacket } from "mysql2/promise";
import type { Issue } from "@/core/outcome";
import { type Queryable, transaction } from "./database";
import { QUOTAS } from "./quotas";

const MB = 1024 * 1024;

/** What is counted. */
export type Usage = Record<keyof (typeof QUOTAS)["user"], number>;

const NAMES = {
  situations: "situations",
  aircraft: "aircraft",
  places: "places",
  terrains: "terrains",
  procedures: "procedures",
  flightTests: "flight tests",
  runs: "runs of drills",
  flights: "flights by hand",
  logs: "flight logs",
  reviews: "answers of recall",
  testCards: "test cards",
  entries: "entries of the logbook",
  rules: "rules of currency",
  attachments: "attachments",
  handIns: "results handed in",
  bytes: "MB of documents, files, flights, logs and terrain",
} as const;

/** What a document takes, bytes. */
export const bytesOf = (document: unknown) => Buffer.byteLength(JSON.stringify(document));

/** An account is full; nothing was stored. */
export class AccountFull extends Error {
  constructor(readonly issue: Issue) {
    super(issue.message);
  }
}

/** What an account keeps. What was deleted and can still be brought back takes its bytes too. */
export async function usageOf(accountId: string, connection: Queryable): Promise<Usage> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT
       (SELECT COUNT(*) FROM situations WHERE account_id = ? AND deleted_at IS NULL) AS situations,
       (SELECT COUNT(*) FROM aircraft WHERE account_id = ? AND deleted_at IS NULL) AS aircraft,
       (SELECT COUNT(*) FROM places WHERE account_id = ? AND deleted_at IS NULL) AS places,
       (SELECT COUNT(*) FROM terrains WHERE account_id = ?) AS terrains,
       (SELECT COUNT(*) FROM procedures WHERE account_id = ? AND deleted_at IS NULL) AS procedures,
       (SELECT COUNT(*) FROM flight_tests WHERE account_id = ? AND deleted_at IS NULL) AS flightTests,
       (SELECT COUNT(*) FROM runs WHERE account_id = ?) AS runs,
       (SELECT COUNT(*) FROM flights WHERE account_id = ?) AS flights,
       (SELECT COUNT(*) FROM flight_logs WHERE account_id = ?) AS logs,
       (SELECT COUNT(*) FROM reviews WHERE account_id = ?) AS reviews,
       (SELECT COUNT(*) FROM test_cards WHERE account_id = ? AND deleted_at IS NULL) AS testCards,
       (SELECT COUNT(*) FROM logbook_entries WHERE account_id = ? AND deleted_at IS NULL) AS entries,
       (SELECT COUNT(*) FROM currency_rules WHERE account_id = ? AND deleted_at IS NULL) AS rules,
       (SELECT COUNT(*) FROM attachments WHERE account_id = ?) AS attachments,
       (SELECT COUNT(*) FROM hand_ins WHERE account_id = ?) AS handIns,
       (SELECT COALESCE(SUM(bytes), 0) FROM situations WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM aircraft WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM places WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM procedures WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM flight_tests WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM runs WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM flights WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM flight_logs WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM test_cards WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM logbook_entries WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM currency_rules WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM attachments WHERE account_id = ?)
         + (SELECT COALESCE(SUM(bytes), 0) FROM terrains WHERE account_id = ?) AS bytes`,
    Array.from({ length: 28 }, () => accountId),
  );
  const [row] = rows;
  return {
    situations: Number(row.situations),
    aircraft: Number(row.aircraft),
    places: Number(row.places),
    terrains: Number(row.terrains),
    procedures: Number(row.procedures),
    flightTests: Number(row.flightTests),
    runs: Number(row.runs),
    flights: Number(row.flights),
    logs: Number(row.logs),
    reviews: Number(row.reviews),
    testCards: Number(row.testCards),
    entries: Number(row.entries),
    rules: Number(row.rules),
    attachments: Number(row.attachments),
    handIns: Number(row.handIns),
    bytes: Number(row.bytes),
  };
}

/**
 * Stores something in an account that has room for it. Two that store at once take turns.
 *
 * @throws {AccountFull} when there is no room; nothing was stored
 */
export async function storing<T>(
  accountId: string,
  adding: Partial<Usage>,
  store: (connection: Queryable) => Promise<T>,
): Promise<T> {
  return transaction(async (connection) => {
    const [rows] = await connection.execute<RowDataPacket[]>("SELECT kind FROM accounts WHERE id = ? FOR UPDATE", [
      accountId,
    ]);
    const quota = rows[0]?.kind === "guest" ? QUOTAS.guest : QUOTAS.user;
    const usage = await usageOf(accountId, connection);
    for (const what of Object.keys(NAMES) as (keyof Usage)[]) {
      const added = adding[what] ?? 0;
      if (added > 0 && usage[what] + added > quota[what]) throw new AccountFull(full(what, quota[what], quota));
    }
    return store(connection);
  });
}

function full(what: keyof Usage, most: number, quota: object): Issue {
  const amount = what === "bytes" ? Math.round(most / MB) : most.toLocaleString("en").replaceAll(",", "\u202f");
  const remedy =
    quota === QUOTAS.guest ? "Create an account for more, or delete what is not needed." : "Delete what is not needed.";
  return {
    code: "account_full",
    path: "",
    message: `This account holds its ${amount} ${NAMES[what]}. ${remedy} Nothing was stored.`,
  };
}
