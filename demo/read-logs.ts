// The demo's flight logs: simulated, with what they hold beside them.
import { readFileSync } from "node:fs";
import path from "node:path";

const LOGS = path.resolve(import.meta.dirname, "logs");

/** A log as text. */
export const demoLog = (name: string): string => readFileSync(path.join(LOGS, name), "utf8");

/** What a log holds, by its name without an ending. */
export const demoLogTruth = (name: string): unknown =>
  JSON.parse(readFileSync(path.join(LOGS, `${name}.expected.json`), "utf8"));
