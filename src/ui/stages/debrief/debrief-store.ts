// The log that is looked at: read, kept, changed.
import { toast } from "sonner";
import { create } from "zustand";
import { formatNumber } from "@/core/quantities/units";
import { type Issue, type Outcome, failure } from "@/core/outcome";
import { KeptLogOfAnyVersion } from "@/core/track/kept-log-versions";
import type { Alignment } from "@/core/track/align/align-logs";
import type { AnotherRecorder, KeptLog } from "@/core/track/kept-log";
import type { ListedLog } from "@/server/logs";
import { send, sendRaw } from "@/ui/kit/request";
import { followJobs, forgetLog, noteLog } from "./logs-store";
import { startTrack, told } from "@/workers/track-client";
import type { DebriefedLog } from "@/workers/track.worker";

/** A log that is open. */
export interface OpenLog {
  readonly id: string;
  readonly log: KeptLog;
  /** Null while it is read. */
  readonly found: DebriefedLog | null;
}

interface DebriefState {
  readonly open: OpenLog | null;
  /** How far reading is, 0 to 1; null while nothing is read. */
  readonly progress: number | null;
  /** What went wrong last, for the page. */
  readonly fault: string | null;
  /** Moment that is pointed at, s from the log's first fix. */
  readonly cursor_s: number;
  /** Engine stop that is looked at: the how manieth of all; null for the whole log. */
  readonly looked: number | null;
  /** Another recorder's file whose clock is asked about; null for none. */
  readonly recorder: (AnotherRecorder & { readonly why: string }) | null;
  /** Runs that are laid over it: of its own log, or of another; none for null. */
  readonly over: Over | null;
  /** What was said of the engine stops before, and what was taken back of it; the last change last. */
  readonly past: readonly Stops[];
  readonly future: readonly Stops[];
}

/** Where runs come from that are laid over the one that is looked at. */
export type Over =
  | { readonly of: "own" }
  | { readonly of: "other"; readonly id: string; readonly name: string; readonly found: DebriefedLog | null };

/** What is said of the engine stops; null: as they are found. */
type Stops = KeptLog["stops"];

/** @see DebriefState */
export const useDebrief = create<DebriefState>()(() => ({
  open: null,
  progress: null,
  fault: null,
  cursor_s: 0,
  looked: null,
  recorder: null,
  over: null,
  past: [],
  future: [],
}));

const set = useDebrief.setState;
const words = (issues: readonly Issue[]) => issues.map(({ message }) => message).join(" ");

/** What reads now, and how it is given up. */
let reading: { readonly stop: () => void } | null = null;

/** Gives up what is read now. */
export function giveUp(): void {
  reading?.stop();
}

/** Asks a worker of its own; null where it was given up, or died, which is told. */
async function ask<T>(work: (track: ReturnType<typeof startTrack>["track"]) => Promise<T>): Promise<T | null> {
  giveUp();
  const { track, worker } = startTrack();
  let stop = () => {};
  const over = new Promise<null>((done) => {
    stop = () => done(null);
    worker.addEventListener("error", () => {
      set({ fault: "Reading broke down. Nothing was stored; it can be tried again." });
      done(null);
    });
  });
  const mine = { stop };
  reading = mine;
  set({ progress: 0, fault: null });
  try {
    return await Promise.race([work(track), over]);
  } finally {
    worker.terminate();
    if (reading === mine) {
      reading = null;
      set({ progress: null });
    }
  }
}

const toldShare = told((share: number) => set(({ progress }) => (progress === null ? {} : { progress: share })));

/** What a file is, and of a table what its columns hold. */
export const recognise = (text: string, placed: boolean) => ask((track) => track.recognise(text, placed));

/** Opens a log: it is read, its events found and measured. @returns whether it could be */
export async function openLog(id: string, log: KeptLog): Promise<boolean> {
  set({ open: { id, log, found: null }, looked: null, cursor_s: 0, recorder: null, over: null, past: [], future: [] });
  const found: Outcome<DebriefedLog> | null = await ask<Outcome<DebriefedLog>>(async (track) =>
    track.debrief(log, toldShare),
  );
  if (useDebrief.getState().open?.log !== log) return false;
  if (!found) set({ open: null });
  else if (!found.ok) set({ open: null, fault: found.issue.message });
  else {
    const failures = found.value.flights.flatMap((flight) => flight.failures);
    set({
      open: { id, log, found: found.value },
      looked: failures.length > 0 ? 0 : null,
      cursor_s: failures[0]?.time_s ?? found.value.flights[0]?.begins_s ?? 0,
    });
  }
  return found?.ok ?? false;
}

const through = async (bytes: BlobPart, way: GenericTransformStream): Promise<ArrayBuffer> =>
  new Response(new Blob([bytes]).stream().pipeThrough(way)).arrayBuffer();

/** Keeps the open log. What cannot be stored stays open here. */
export async function keepLog(id: string, log: KeptLog): Promise<void> {
  const packed = await through(JSON.stringify({ id, log }), new CompressionStream("gzip"));
  const answer = await sendRaw<ListedLog>("POST", "/api/logs", packed, { type: "application/gzip" });
  if (!answer.ok) {
    set({ fault: `It is not stored: ${words(answer.issues)}` });
    return;
  }
  noteLog(answer.value);
  // A large one the server analyses after it has it.
  if (answer.value.summary.fixes === 0) followJobs();
}

async function fetched(id: string): Promise<Outcome<KeptLog>> {
  try {
    const answer = await fetch(`/api/logs/${id}`);
    if (!answer.ok) return failure("no_such_log", "This log cannot be had now.");
    const text = new TextDecoder().decode(await through(await answer.arrayBuffer(), new DecompressionStream("gzip")));
    const read = KeptLogOfAnyVersion.safeParse((JSON.parse(text) as { log?: unknown }).log);
    return read.success ? { ok: true, value: read.data } : failure("log_invalid", "This log cannot be read any more.");
  } catch {
    return failure("no_such_log", "This log cannot be had now.");
  }
}

/** Opens one that the account keeps. */
export async function openKept(id: string): Promise<void> {
  const log = await fetched(id);
  if (log.ok) await openLog(id, log.value);
  else set({ fault: log.issue.message });
}

/** A kept log with what is found in it, beside the one that is open; null where it cannot be had, which is told. */
export async function readKept(id: string): Promise<{ readonly log: KeptLog; readonly found: DebriefedLog } | null> {
  const { open } = useDebrief.getState();
  if (open?.id === id && open.found) return { log: open.log, found: open.found };
  const log = await fetched(id);
  const found = log.ok ? await ask<Outcome<DebriefedLog>>(async (track) => track.debrief(log.value, toldShare)) : log;
  if (log.ok && found?.ok) return { log: log.value, found: found.value };
  if (found && !found.ok) toast(found.issue.message);
  return null;
}

/** Lays the runs of another kept log over the one that is looked at. */
export async function layOver(id: string, name: string): Promise<void> {
  set({ over: { of: "other", id, name, found: null } });
  const log = await fetched(id);
  const found = log.ok ? await ask<Outcome<DebriefedLog>>(async (track) => track.debrief(log.value, toldShare)) : log;
  const { over } = useDebrief.getState();
  if (over?.of !== "other" || over.id !== id) return;
  if (found?.ok) set({ over: { ...over, found: found.value } });
  else set({ over: null, fault: found ? found.issue.message : null });
}

/**
 * Lays what another recorder wrote to the open log, its clock set by the climbs that both show; where those do not tell
 * surely, it is asked about.
 */
export async function addRecorder(file: Omit<AnotherRecorder, "offset_s">): Promise<void> {
  const { open } = useDebrief.getState();
  if (!open?.found) return;
  const found = await ask<Outcome<Alignment>>(async (track) => track.align(open.log, file));
  if (!found || useDebrief.getState().open !== open) return;
  if (found.ok && found.value.sure) return layRecorder({ ...file, offset_s: found.value.offset_s });
  if (!found.ok && found.issue.code !== "no_heights" && found.issue.code !== "no_overlap")
    return set({ fault: `${file.name}: ${found.issue.message}` });
  const why = found.ok
    ? `The climbs of ${file.name} do not tell its clock surely: they agree to ${found.value.agreement.toFixed(2)} at best.`
    : found.issue.message;
  set({ recorder: { ...file, offset_s: found.ok ? found.value.offset_s : 0, why } });
}

/** Lays a recorder to the open log with its clock set so. */
export async function layRecorder({ name, text, layout, offset_s }: AnotherRecorder): Promise<void> {
  const { open } = useDebrief.getState();
  set({ recorder: null });
  if (!open) return;
  await changeLog({ also: [...open.log.also, { name, text, layout, offset_s }] });
  const set_s = `${offset_s < 0 ? "−" : "+"}${formatNumber(Math.abs(offset_s), 1)} s`;
  if (useDebrief.getState().open?.found) toast(`${name} is laid to this flight, its clock set by ${set_s}.`);
}

/** Takes one away from the account. */
export async function removeLog(id: string): Promise<void> {
  const answer = await send("DELETE", `/api/logs/${id}`);
  if (!answer.ok) return set({ fault: words(answer.issues) });
  forgetLog(id);
  set(({ open }) => ({ open: open?.id === id ? null : open }));
}

/** So many changes of the engine stops are taken back. */
const MOST_PAST = 50;

/** The log with other engine stops in place of the open one: measured, then shown and kept. */
async function sayStops(stops: Stops, history: Pick<DebriefState, "past" | "future">): Promise<void> {
  const { open, cursor_s, looked } = useDebrief.getState();
  if (!open?.found) return;
  const before = looked === null ? null : open.found.flights.flatMap((flight) => flight.failures)[looked];
  const log = { ...open.log, stops };
  const found = await ask<Outcome<DebriefedLog>>(async (track) => track.debrief(log, toldShare));
  if (!found || useDebrief.getState().open?.log !== open.log) return;
  if (!found.ok) return set({ fault: found.issue.message });
  const now = found.value.flights.flatMap((flight) => flight.failures);
  // The one that was looked at, or what lies nearest to it now.
  const nearest = before && now.length > 0 ? nearestTo(now, before.time_s) : null;
  set({ open: { id: open.id, log, found: found.value }, looked: nearest, cursor_s, ...history });
  await keepLog(open.id, log);
}

function nearestTo(failures: readonly { readonly time_s: number }[], at_s: number): number {
  return failures.reduce(
    (best, { time_s }, i) => (Math.abs(time_s - at_s) < Math.abs(failures[best].time_s - at_s) ? i : best),
    0,
  );
}

/** Says what the engine stops were. */
export function changeStops(stops: Stops): void {
  const { open, past } = useDebrief.getState();
  if (open) void sayStops(stops, { past: [...past, open.log.stops].slice(-MOST_PAST), future: [] });
}

/** Takes the last change of the engine stops back. */
export function undoStops(): void {
  const { open, past, future } = useDebrief.getState();
  if (open && past.length > 0)
    void sayStops(past[past.length - 1], { past: past.slice(0, -1), future: [...future, open.log.stops] });
}

/** Makes the change that was taken back again. */
export function redoStops(): void {
  const { open, past, future } = useDebrief.getState();
  if (open && future.length > 0)
    void sayStops(future[future.length - 1], { past: [...past, open.log.stops], future: future.slice(0, -1) });
}

/** What is known of the open log's day is changed: it is analysed and kept anew. */
export async function changeLog(change: Partial<KeptLog>): Promise<void> {
  const { open } = useDebrief.getState();
  if (!open) return;
  const log = { ...open.log, ...change };
  if (await openLog(open.id, log)) await keepLog(open.id, log);
}
