"use client";
import { SYMPTOM_CHOICES } from "./symptom-choices";
import { Play, RotateCcw } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { RestartBudget, RestartQuestion } from "@/core/restart/restart-budget";
import { formatNumber } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { useSituation } from "@/ui/situation/situation-store";
import { download } from "@/ui/kit/download";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { runsCsv, useFlowRuns } from "./flow-runs";
import { type Tick, behind_s, runLog, timeInWords } from "./restart-words";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** The clock is drawn this often, ms. */
const DRAWN_MS = 100;

/** The cause check with its seconds and feet, what the propeller costs, and the flow against the clock. */
export function FlowView({ question, budget }: { question: RestartQuestion; budget: RestartBudget }) {
  const symptom = useSituation((state) => state.current.restart.symptom);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const { runs, keep, clear } = useFlowRuns();
  const { name } = question.aircraft;
  const run = useRun(budget, (ticks) => keep({ at: new Date().toISOString(), aircraft: name, ticks }));
  const source = { calculation: { name: "restart-budget", input: question } };
  // What follows the check is told when there is time for it, not as something missed.
  const then = budget.then.filter(({ fits }) => fits);
  if (budget.items.length === 0) {
    return (
      <div className="p-6">
        <p className="max-w-prose">
          {question.aircraft.relight
            ? "A jet engine is lit again rather than checked: see Relight."
            : "There is no cause check for this kind of engine yet."}
        </p>
      </div>
    );
  }
  return (
    <div className="min-h-0 overflow-auto px-4 py-3" tabIndex={0} role="region" aria-label="Cause check">
      <div className="mb-2 grid grid-cols-[250px_minmax(0,1fr)] items-end gap-4">
        <ChoiceField
          label="What was noticed"
          value={symptom ?? ""}
          choices={SYMPTOM_CHOICES}
          onChange={(value) =>
            change((current) => ({ restart: { ...current.restart, symptom: value === "" ? null : value } }))
          }
        />
        <div className="flex items-center gap-2">
          {run.started ? (
            <>
              <button type="button" className="btn btn-primary" onClick={run.tick} disabled={run.done} autoFocus>
                {run.done ? "Flow done" : `Done: ${budget.items[run.ticks.length].item.name}`}
              </button>
              <button type="button" className="btn btn-quiet" onClick={run.reset}>
                <RotateCcw size={15} aria-hidden="true" /> Again
              </button>
            </>
          ) : (
            <button type="button" className="btn" onClick={run.start}>
              <Play size={15} aria-hidden="true" /> Run it against the clock
            </button>
          )}
          {run.started && <Clock run={run} budget={budget} />}
        </div>
      </div>
      <DataTable
        label="The cause check in order, with seconds, feet and whether it fits"
        rows={[...budget.items, ...then]}
        rowKey={({ item }) => item.id}
        rowProps={(_, i) => ({ className: run.started && !run.done && i === run.ticks.length ? "bg-mark" : "" })}
        columns={[
          {
            name: "check",
            cell: ({ item }, i) => (i >= budget.items.length ? `then: ${item.name.toLowerCase()}` : item.name),
            tone: ({ fits }, i) => `${i < budget.items.length ? "!font-semibold" : ""} ${fits ? "" : "text-ink2"}`,
          },
          { name: "do", kind: "words", cell: ({ item }) => item.action, tone: () => "text-[13px] text-ink2" },
          { name: "after", cell: ({ to_s }) => `${formatNumber(to_s, 0)} s` },
          {
            name: "costs",
            cell: ({ item, cost_m }) => (
              <Figure title={item.name} figure={item.id} source={source}>
                {format("height", cost_m)}
              </Figure>
            ),
          },
          {
            name: "done at",
            cell: ({ end_m }) => (end_m > question.ground_m ? format("height", end_m) : "on the ground"),
          },
          {
            name: "fits",
            kind: "words",
            cell: ({ fits }) => (fits ? "fits" : "too late"),
            tone: ({ fits }) => (fits ? "text-pine" : "text-brick"),
          },
          ...(run.started ? [yours(run.ticks)] : []),
        ]}
      />
      {run.ticks.length > 0 && (
        <button
          type="button"
          className="btn btn-quiet mt-2"
          onClick={() =>
            void navigator.clipboard.writeText(runLog(run.ticks)).then(
              () => toast("The run is on the clipboard."),
              () => toast("The browser does not let the page use the clipboard."),
            )
          }
        >
          Copy the run
        </button>
      )}
      {runs.length > 0 && (
        <p className="mt-2 flex items-center gap-3 text-[13px] text-ink2">
          {runs.length} {runs.length === 1 ? "run is" : "runs are"} kept in this browser for the log.
          <button
            type="button"
            className="btn btn-quiet px-2 py-0"
            onClick={() => download("cause-checks.csv", "text/csv", runsCsv(runs))}
          >
            As CSV
          </button>
          <button
            type="button"
            className="btn btn-quiet px-2 py-0"
            onClick={() => {
              clear();
              toast("The runs are gone.", { action: { label: "Undo", onClick: () => runs.forEach(keep) } });
            }}
          >
            Forget them
          </button>
        </p>
      )}
      {budget.byPropeller.length > 1 && (
        <>
          <h2 className="mt-5 font-bold">What the dead propeller costs</h2>
          <DataTable
            className="mt-1 max-w-[520px] text-[14px]"
            rows={budget.byPropeller}
            rowKey={(entry) => entry.state}
            columns={[
              { name: "propeller", cell: (entry) => entry.state },
              {
                name: "sink",
                cell: (entry) => (
                  <Figure title={`Sink, ${entry.state}`} figure="propeller" source={source}>
                    {format("verticalSpeed", entry.sink_mps)}
                  </Figure>
                ),
              },
              { name: "best glide", cell: (entry) => format("speed", entry.eas_mps) },
              { name: "ratio", cell: (entry) => `${formatNumber(entry.ratio, 1)}:1` },
              {
                name: "time to the commit height",
                cell: (entry) => timeInWords(Math.max(question.altitude_m - question.commit_m, 0) / entry.sink_mps),
              },
            ]}
          />
        </>
      )}
    </div>
  );
}

/** When each check was done in the run. */
function yours(ticks: readonly Tick[]): Column<object> {
  return {
    name: "yours",
    cell: (_, i) => (ticks[i] ? `${ticks[i].at_s.toFixed(1)} s` : "–"),
    tone: (_, i) => (ticks[i] && ticks[i].at_s > ticks[i].planned_s + 1 ? "text-brick" : ""),
  };
}

interface Run {
  readonly started: boolean;
  readonly done: boolean;
  readonly ticks: readonly Tick[];
  /** Reads the clock. */
  elapsed_s(): number;
  start(): void;
  tick(): void;
  reset(): void;
}

/** A run of the flow in real time; told when its last item is done. */
function useRun(budget: RestartBudget, onDone: (ticks: readonly Tick[]) => void): Run {
  const began = useRef<number | null>(null);
  const [started, setStarted] = useState(false);
  const [ticks, setTicks] = useState<readonly Tick[]>([]);
  const elapsed_s = () => (began.current === null ? 0 : (performance.now() - began.current) / 1000);
  return {
    started,
    ticks,
    elapsed_s,
    done: ticks.length >= budget.items.length,
    start: () => {
      began.current = performance.now();
      setTicks([]);
      setStarted(true);
    },
    tick: () => {
      const next = budget.items[ticks.length];
      if (!next) return;
      const done = [...ticks, { id: next.item.id, name: next.item.name, at_s: elapsed_s(), planned_s: next.to_s }];
      setTicks(done);
      if (done.length === budget.items.length) onDone(done);
    },
    reset: () => {
      began.current = null;
      setTicks([]);
      setStarted(false);
    },
  };
}

/** Seconds since the failure, height then, and how far behind the flow. */
function Clock({ run, budget }: { run: Run; budget: RestartBudget }) {
  const [now_s, setNow] = useState(0);
  const { done, elapsed_s } = run;
  const read = useRef(elapsed_s);
  useEffect(() => {
    read.current = elapsed_s;
  });
  useEffect(() => {
    if (done) return;
    const timer = setInterval(() => setNow(read.current()), DRAWN_MS);
    return () => clearInterval(timer);
  }, [done]);
  const format = useFormat();
  const next = budget.items[run.ticks.length];
  const late = behind_s(run.ticks, done ? 0 : now_s, next ? next.to_s : null);
  return (
    <p className="text-[14px] whitespace-nowrap" role="timer">
      <span className="num text-[20px] font-semibold">
        {formatNumber(done ? (run.ticks.at(-1)?.at_s ?? 0) : now_s, 1)} s
      </span>{" "}
      <span className="text-ink2">
        −{format("height", budget.sink_mps * (done ? (run.ticks.at(-1)?.at_s ?? 0) : now_s))}
      </span>{" "}
      {late > 1 ? (
        <strong className="text-brick">{formatNumber(late)} s behind</strong>
      ) : (
        <span className="text-pine">in time</span>
      )}
    </p>
  );
}
