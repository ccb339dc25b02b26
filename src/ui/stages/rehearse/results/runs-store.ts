import { toast } from "sonner";
import { create } from "zustand";
import { runResult } from "@/core/procedure/run-document";
import type { ListedRun } from "@/server/runs";
import type { SentRun } from "@/server/sent-run";
import { send } from "@/ui/kit/request";
import type { Flying } from "../drill/drill-store";
import { keptQueue } from "@/ui/kit/kept-queue";

const queue = keptQueue<SentRun>("runs", "/api/runs", ([run]) => run, 1);

interface RunsState {
  /** One's own, or what a share lets one read, by its id; null until they have come. */
  readonly runs: readonly ListedRun[] | null;
  readonly share: string | null;
  /** Why they could not be had. */
  readonly fault: string | null;
  load(share: string | null): Promise<void>;
  remove(id: string): Promise<void>;
}

/** What came of drills that were run. */
export const useRuns = create<RunsState>()((set, get) => ({
  runs: null,
  share: null,
  fault: null,
  load: async (share) => {
    set({ share, fault: null, ...(share === get().share ? {} : { runs: null }) });
    await queue.flush();
    const answer = await send<{ runs: ListedRun[] }>("GET", share === null ? "/api/runs" : `/api/runs?share=${share}`);
    if (get().share !== share) return;
    const waiting = share === null ? queue.waiting().map(listed) : [];
    if (answer.ok) set({ runs: [...waiting, ...answer.value.runs] });
    else set({ runs: waiting, fault: answer.issues.map(({ message }) => message).join(" ") });
  },
  remove: async (id) => {
    const answer = await send("DELETE", `/api/runs/${id}`);
    if (answer.ok) set(({ runs }) => ({ runs: runs?.filter((run) => run.id !== id) ?? null }));
    else toast(answer.issues.map(({ message }) => message).join(" "));
  },
}));

const listed = ({ id, beganAt, role, aircraft, run, until_s }: SentRun): ListedRun => ({
  id,
  beganAt,
  role,
  procedureId: run.procedure.id,
  procedure: run.procedure.name,
  aircraft,
  result: runResult(run, until_s),
});

let kept: string | null = null;

/** Keeps a drill that is over, once. One alone does what is everybody's: his role is single. */
export function keepFlown({ id, beganAt, run, state }: Flying, aircraft: string): void {
  if (id === null || kept === id) return;
  kept = id;
  const sent: SentRun = {
    id,
    beganAt,
    role: "single",
    aircraft,
    until_s: state.drill.flown.time_s,
    run: { ...run, events: [...run.events] },
  };
  void queue.put(sent).then((fault) => {
    if (fault !== null) toast(fault);
    const { runs, share } = useRuns.getState();
    if (runs && share === null) useRuns.setState({ runs: [listed(sent), ...runs] });
  });
}
