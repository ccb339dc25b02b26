// What the server's threads do; bundled into a file of its own and loaded there. Each takes plain data or bytes, and
// says how long it held its thread.
import { readlinkSync } from "node:fs";
import { setPriority } from "node:os";
import path from "node:path";
import { type MessagePort, isMainThread } from "node:worker_threads";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import type { LatLon } from "@/core/earth/geodesic";
import { HOLE_M } from "@/core/earth/terrain";
import { type Issue, type Outcome, failure, success } from "@/core/outcome";
import { calculate as calculateByName } from "@/core/registry";
import { type ReadArchive, readArchive as readArchiveText } from "./archive";
import { flightVerdict, lessonExercise, logVerdict, runVerdict } from "@/core/school/handed-score";
import type { HandInResult, LessonPart } from "@/core/school/school";
import type { DrillRun } from "@/core/procedure/drill-run";
import { type PackedFlight, readFlight, unpackedFlight } from "./sent-flight";
import type { LogSummary } from "@/core/track/kept-log";
import { type PackedLog, analyseSentLog, readSentLog, readUnanalysedLog, unpackedLog } from "./sent-log";
import type { SentRun } from "./sent-run";
import { type PackedTerrain, packedTerrain, unpackElevations } from "./packed-terrain";

/** Threads give way to the one that answers requests: as nice as that. */
const NICENESS = 10;

function giveWay(): void {
  try {
    // A thread has a number of its own, and a priority with it.
    setPriority(Number(path.basename(readlinkSync("/proc/thread-self"))), NICENESS);
  } catch {
    // Elsewhere than on Linux they share alike.
  }
}
if (!isMainThread) giveWay();

/** What a task gives, and what it used. */
interface Done<T> {
  readonly value: T;
  readonly spent_ms: number;
}

async function timed<T>(work: () => T | Promise<T>): Promise<Done<T>> {
  const began = performance.now();
  return { value: await work(), spent_ms: performance.now() - began };
}

/** Most that an answer may hold, characters. */
const LONGEST_ANSWER = 8 * 1024 * 1024;

/** An answer as it is sent. */
export interface CalculationAnswer {
  readonly status: number;
  readonly body: string;
}

/** A calculation from the text of its question to the text of its answer. */
export function calculate({ name, text }: { name: string; text: string }): Promise<Done<CalculationAnswer>> {
  return timed(() => {
    const refused = (status: number, issues: readonly Issue[]) => ({ status, body: JSON.stringify({ issues }) });
    let question: unknown;
    try {
      question = JSON.parse(text);
    } catch {
      return refused(400, [{ code: "not_json", path: "", message: "The request does not hold JSON." }]);
    }
    const result = calculateByName(name, question);
    if (!result.ok) return refused(result.unknown ? 404 : 422, result.issues);
    const body = JSON.stringify(result.value);
    return body.length <= LONGEST_ANSWER
      ? { status: 200, body }
      : refused(422, [
          { code: "answer_too_large", path: "", message: "The answer is too large to send: ask for less." },
        ]);
  });
}

/** Reads an Esri ASCII grid and packs it. */
export function readTerrain({
  bytes,
  origin,
}: {
  bytes: Uint8Array;
  origin: LatLon | null;
}): Promise<Done<Outcome<PackedTerrain>>> {
  return timed(async () => {
    const read = readEsriAscii(new TextDecoder().decode(bytes), origin);
    return read.ok ? success(await packedTerrain(read.value.grid, read.value.missingCells)) : read;
  });
}

/** Checks a terrain that was packed elsewhere. */
export function checkTerrain({
  bytes,
  frame,
}: {
  bytes: Uint8Array;
  frame: PackedTerrain["frame"];
}): Promise<Done<Outcome<PackedTerrain>>> {
  return timed(async () => {
    const elevations = await unpackElevations(bytes, frame).catch(() => null);
    if (!elevations) return failure("terrain_damaged", "The terrain was damaged on its way. Nothing was stored.");
    if (elevations.some((z) => z !== HOLE_M && !(z >= -500 && z <= 9000)))
      return failure("terrain_value", "Elevations are metres between −500 and 9 000. Nothing was stored.");
    return success({ frame, elevations: bytes, missingCells: 0 });
  });
}

/** Checks a flight that was packed elsewhere. */
export function checkFlight({ bytes }: { bytes: Uint8Array }): Promise<Done<Outcome<PackedFlight>>> {
  return timed(() => readFlight(bytes));
}

/** Checks a log that was packed elsewhere, and finds what a list shows of it. */
export function checkLog({ bytes }: { bytes: Uint8Array }): Promise<Done<Outcome<PackedLog>>> {
  return timed(() => readSentLog(bytes));
}

/** Checks a large log that was packed elsewhere; what it holds is analysed later. */
export function checkLargeLog({ bytes }: { bytes: Uint8Array }): Promise<Done<Outcome<PackedLog>>> {
  return timed(() => readUnanalysedLog(bytes));
}

/** Analyses a log that was stored, and says on a port how far it is. */
export function analyseLog({
  bytes,
  port,
}: {
  bytes: Uint8Array;
  port: MessagePort;
}): Promise<Done<Outcome<LogSummary>>> {
  return timed(() => analyseSentLog(bytes, (share) => port.postMessage(share)));
}

/** Reads an account's archive. */
export function readArchive({ bytes }: { bytes: Uint8Array }): Promise<Done<Outcome<ReadArchive>>> {
  return timed(() => readArchiveText(new TextDecoder().decode(bytes)));
}

/** What is scored for a lesson: a run, a flight or a log as it is stored. */
export type HandedSource =
  | { readonly kind: "run"; readonly run: SentRun["run"]; readonly until_s: number }
  | { readonly kind: "flight" | "log"; readonly packed: Uint8Array };

/** Scores what is handed in by the limits of its lesson. */
export function scoreHandIn({
  part,
  source,
}: {
  part: LessonPart;
  source: HandedSource;
}): Promise<Done<Outcome<HandInResult["verdict"]>>> {
  return timed(async () => {
    const exercise = lessonExercise(part);
    if (!exercise.ok) return exercise;
    if (source.kind === "run") return runVerdict(exercise.value, source.run as DrillRun, source.until_s);
    if (source.kind === "flight") {
      const sent = await unpackedFlight(source.packed);
      return sent.ok ? flightVerdict(exercise.value, sent.value.flight) : sent;
    }
    const sent = await unpackedLog(source.packed);
    return sent.ok ? logVerdict(exercise.value, sent.value.log) : sent;
  });
}
