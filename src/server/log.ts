// The log: everything from level info in rotating files, warnings and worse on the console too.
import path from "node:path";
import pino, { type Logger } from "pino";
import { createStream } from "rotating-file-stream";

// One a process, kept across reloads in development.
const globals = globalThis as typeof globalThis & { utrimaxLog?: Logger };

/** Where the files lie: `LOG_FOLDER`, or beside the other state. */
const folder = () => process.env.LOG_FOLDER ?? path.join(process.cwd(), ".data", "log");

function made(): Logger {
  const level = process.env.LOG_LEVEL ?? "info";
  // Tests say what they do by themselves.
  if (process.env.VITEST) return pino({ name: "utrimax", level: "error" });
  const files = createStream("utrimax.log", { path: folder(), size: "10M", interval: "1d", maxFiles: 14 });
  // A disk that is full, or a folder that is not ours, must not end the server: the console still tells.
  files.on("error", (error) => console.error(`The log cannot be written: ${error.message}`));
  return pino(
    { name: "utrimax", level },
    pino.multistream([
      { level: "info", stream: files },
      { level: "warn", stream: process.stdout },
    ]),
  );
}

/** The process's log. */
export function log(): Logger {
  globals.utrimaxLog ??= made();
  return globals.utrimaxLog;
}
