// The logbook: what is looked for, what is read, and how an entry begins.
import { toast } from "sonner";
import { create } from "zustand";
import { entryOfFailure, entryOfFlight, entryOfRun } from "@/core/logbook/drafted-entry";
import { LogbookEntry } from "@/core/logbook/logbook-entry";
import { practisedByDrill, practisedByLog, practisedBySimulator } from "@/core/logbook/practised";
import type { DrillRun } from "@/core/procedure/drill-run";
import { MOST_ATTACHMENT_BYTES } from "@/core/logbook/logbook-entry";
import type { ListedAttachment } from "@/server/attachments";
import type { ListedFlight } from "@/server/flights";
import type { OwnDocument } from "@/server/own-documents";
import type { ListedRun } from "@/server/runs";
import { send, sendRaw } from "@/ui/kit/request";
import { newOwnId, ownDocumentsStore } from "@/ui/library/own/own-documents-store";
import { readKept } from "../debrief-store";

/** Entries of the account: the latest, and the one that is edited. */
export const useEntries = ownDocumentsStore("/api/logbook", LogbookEntry);

interface LogbookState {
  readonly words: string;
  readonly tag: string | null;
  /** What answers it; null until it has come. */
  readonly entries: readonly OwnDocument<LogbookEntry>[] | null;
  readonly found: number;
  readonly tags: readonly string[];
  readonly attachments: readonly ListedAttachment[];
  /** Entry that is read, by its id; null for none. */
  readonly read: string | null;
  readonly fault: string | null;
}

/** @see LogbookState */
export const useLogbook = create<LogbookState>()(() => ({
  words: "",
  tag: null,
  entries: null,
  found: 0,
  tags: [],
  attachments: [],
  read: null,
  fault: null,
}));

const words = (issues: readonly { readonly message: string }[]) => issues.map(({ message }) => message).join(" ");
type Answered = Pick<LogbookState, "found" | "tags" | "attachments"> & {
  readonly documents: OwnDocument<LogbookEntry>[];
};

/** Looks for what is to be found; of several questions the newest counts. */
export async function search(change: Partial<Pick<LogbookState, "words" | "tag">> = {}): Promise<void> {
  useLogbook.setState(change);
  const { words: wanted, tag } = useLogbook.getState();
  const query = new URLSearchParams({ words: wanted, ...(tag === null ? {} : { tag }) });
  const answer = await send<Answered>("GET", `/api/logbook?${query}`);
  const now = useLogbook.getState();
  if (now.words !== wanted || now.tag !== tag) return;
  if (answer.ok) {
    const { documents: entries, ...rest } = answer.value;
    useLogbook.setState({ entries, fault: null, ...rest });
  } else useLogbook.setState({ entries: now.entries ?? [], fault: words(answer.issues) });
}

/** More of what was found. */
export async function searchOn(): Promise<void> {
  const { words: wanted, tag, entries } = useLogbook.getState();
  if (!entries) return;
  const query = new URLSearchParams({ words: wanted, from: String(entries.length), ...(tag === null ? {} : { tag }) });
  const answer = await send<Answered>("GET", `/api/logbook?${query}`);
  if (!answer.ok) return void toast(words(answer.issues));
  const known = new Set(entries.map(({ id }) => id));
  useLogbook.setState({ entries: [...entries, ...answer.value.documents.filter(({ id }) => !known.has(id))] });
}

/** Begins an entry from a run of a drill. */
export async function beginFromRun(run: ListedRun): Promise<void> {
  const answer = await send<{ run: DrillRun }>("GET", `/api/runs/${run.id}`);
  if (!answer.ok) return void toast(words(answer.issues));
  const begun = { id: newOwnId(), sourceId: run.id, at: run.beganAt, aircraft: run.aircraft };
  useEntries
    .getState()
    .edit(entryOfRun(answer.value.run, run.result, { ...begun, practised: practisedByDrill(run) }), null);
}

/** Begins an entry from a flight by hand. */
export function beginFromFlight(flight: ListedFlight): void {
  const begun = { id: newOwnId(), sourceId: flight.id, at: flight.flownAt, aircraft: flight.aircraft };
  const practised = practisedBySimulator(flight);
  useEntries.getState().edit(entryOfFlight(flight.words, flight.result, { ...begun, practised }), null);
}

/** Begins an entry from the first engine stop of a kept log. */
export async function beginFromLog(id: string): Promise<void> {
  const read = await readKept(id);
  if (!read) return;
  const { log, found } = read;
  const stop = found.flights.flatMap((flight) => flight.failures).at(0);
  if (!stop) return void toast("No engine stop is found in this log.");
  const begins_s = found.summary.begins_s;
  const at = new Date(begins_s === null ? Date.now() : (begins_s + stop.time_s) * 1000).toISOString();
  const begun = { id: newOwnId(), sourceId: id, at, aircraft: log.aircraft?.name ?? "" };
  const practised = practisedByLog({
    id,
    name: log.name,
    summary: { begins_s, hands: found.summary.hands.slice(0, 1) },
  });
  useEntries.getState().edit(entryOfFailure(log.name, stop, { ...begun, practised }), null);
}

/** Keeps a file beside an entry that is saved. */
export async function attach(entryId: string, file: File): Promise<void> {
  if (file.size > MOST_ATTACHMENT_BYTES) return void toast("A file is at most 4 MB. Nothing was stored.");
  const query = new URLSearchParams({ id: crypto.randomUUID(), name: file.name.slice(-120) });
  const answer = await sendRaw<ListedAttachment>(
    "POST",
    `/api/logbook/${entryId}/attachments?${query}`,
    await file.arrayBuffer(),
    { type: file.type || "text/plain" },
  );
  if (!answer.ok) return void toast(words(answer.issues));
  useLogbook.setState(({ attachments }) => ({ attachments: [...attachments, answer.value] }));
}

/** Takes a file away. */
export async function detach(id: string): Promise<void> {
  const answer = await send("DELETE", `/api/attachments/${id}`);
  if (!answer.ok) return void toast(words(answer.issues));
  useLogbook.setState(({ attachments }) => ({ attachments: attachments.filter((file) => file.id !== id) }));
}
