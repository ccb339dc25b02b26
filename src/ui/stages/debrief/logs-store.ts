// The logs that the account keeps, as a list shows them. Apart from what reads them: the spine needs no more.
import { create } from "zustand";
import type { ListedLog } from "@/server/logs";
import { send } from "@/ui/kit/request";

interface LogsState {
  /** Null until they have come. */
  readonly logs: readonly ListedLog[] | null;
  /** Why they could not be had. */
  readonly fault: string | null;
}

/** @see LogsState */
export const useLogs = create<LogsState>()(() => ({ logs: null, fault: null }));

/** Lists them. */
export async function loadLogs(): Promise<void> {
  const answer = await send<{ logs: ListedLog[] }>("GET", "/api/logs");
  if (answer.ok) useLogs.setState({ logs: answer.value.logs, fault: null });
  else
    useLogs.setState(({ logs }) => ({
      logs: logs ?? [],
      fault: answer.issues.map(({ message }) => message).join(" "),
    }));
}

/** One was kept: it is the latest. */
export function noteLog(log: ListedLog): void {
  useLogs.setState(({ logs }) => ({ logs: [log, ...(logs ?? []).filter(({ id }) => id !== log.id)] }));
}

/** One was deleted. */
export function forgetLog(id: string): void {
  useLogs.setState(({ logs }) => ({ logs: logs?.filter((one) => one.id !== id) ?? null }));
}
