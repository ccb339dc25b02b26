// Brings the schema up to date: numbered SQL files, in order, each once, one process at a time.
import { readFile } from "node:fs/promises";
import path from "node:path";
import mysql, { type Connection, type RowDataPacket } from "mysql2/promise";
import { Umzug } from "umzug";
import { databaseUrl } from "./database";

const FOLDER = path.join(process.cwd(), "db", "migrations");
/** Another process may be migrating; a minute is more than any migration here takes. */
const LOCK_S = 60;

/** Creates the database when it is missing and runs what has not run. Returns the names of the files that ran. */
export async function migrate(): Promise<string[]> {
  const url = new URL(process.env.OWNER_DATABASE_URL ?? databaseUrl());
  const name = url.pathname.slice(1);
  if (!/^[A-Za-z0-9_]+$/.test(name))
    throw new Error(`migrate: expected a database name of letters, digits and underscores, got ${name}`);
  url.pathname = "/";
  const connection = await mysql.createConnection({ uri: url.href, multipleStatements: true });
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${name}\``);
    await connection.query(`USE \`${name}\``);
    const [locked] = await connection.query<RowDataPacket[]>("SELECT GET_LOCK('utrimax-migrations', ?) AS got", [
      LOCK_S,
    ]);
    if (locked[0].got !== 1) throw new Error("migrate: expected the migration lock, got a time-out");
    await connection.query(
      "CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(120) NOT NULL PRIMARY KEY, ran_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))",
    );
    const ran = await umzug(connection).up();
    await connection.query("SELECT RELEASE_LOCK('utrimax-migrations')");
    return ran.map((migration) => migration.name);
  } finally {
    await connection.end();
  }
}

function umzug(connection: Connection): Umzug<Connection> {
  return new Umzug({
    migrations: {
      glob: ["*.sql", { cwd: FOLDER }],
      resolve: ({ name, path: file, context }) => ({
        name,
        up: async () => {
          if (!file) throw new Error(`migrate: expected a file for ${name}, got none`);
          await context.query(await readFile(file, "utf8"));
        },
      }),
    },
    context: connection,
    storage: {
      executed: async () =>
        (await connection.query<RowDataPacket[]>("SELECT name FROM migrations ORDER BY name"))[0].map((row) =>
          String(row.name),
        ),
      logMigration: async ({ name }) =>
        void (await connection.execute("INSERT INTO migrations (name) VALUES (?)", [name])),
      unlogMigration: async ({ name }) =>
        void (await connection.execute("DELETE FROM migrations WHERE name = ?", [name])),
    },
    logger: undefined,
  });
}
