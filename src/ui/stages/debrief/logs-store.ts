// The logs that the account keeps, as a list shows them. Apart from what reads them: the spine needs no more.
import { create } from "zustand";
import type { JobState } from "@/server/log-jobs";
import type { ListedLog } from "@/server/logs";
import { send } from "@/ui/kit/request";

interface LogsState {
  /** Null until they have come. */
  readonly logs: readonly ListedLog[] | null;
  /** Of large ones that the server has not analysed yet: how far it is, by id. */
  readonly jobs: Readonly<Record<string, JobState>>;
  /** Why they could not be had. */
  readonly fault: string | null;
}

/** @see LogsState */
export const useLogs = create<LogsState>()(() => ({ logs: null, jobs: {}, fault: null }));

/** Lists them. */
export async function loadLogs(): Promise<void> {
  const answer = await send<Pick<LogsState, "jobs"> & { logs: ListedLog[] }>("GET", "/api/logs");
  if (answer.ok) {
    useLogs.setState({ ...answer.value, fault: null });
    if (Object.values(answer.value.jobs).some(({ state }) => state !== "failed")) followJobs();
  } else
    useLogs.setState(({ logs }) => ({
      logs: logs ?? [],
      fault: answer.issues.map(({ message }) => message).join(" "),
    }));
}

let following: EventSource | null = null;

/** Hears how the server's analyses go on, until none is under way; then the list is brought anew. */
export function followJobs(): void {
  if (following) return;
  const events = new EventSource("/api/logs/jobs");
  following = events;
  const end = () => {
    events.close();
    following = null;
  };
  events.addEventListener("jobs", ({ data }) =>
    useLogs.setState({ jobs: JSON.parse(String(data)) as LogsState["jobs"] }),
  );
  events.addEventListener("over", () => {
    end();
    void loadLogs();
  });
  events.addEventListener("error", () => {
    // Closed for good by the browser, not tried again.
    if (events.readyState === EventSource.CLOSED) end();
  });
}

/** One was kept: it is the latest. */
export function noteLog(log: ListedLog): void {
  useLogs.setState(({ logs }) => ({ logs: [log, ...(logs ?? []).filter(({ id }) => id !== log.id)] }));
}

/** One was deleted. */
export function forgetLog(id: string): void {
  useLogs.setState(({ logs }) => ({ logs: logs?.filter((one) => one.id !== id) ?? null }));
}
