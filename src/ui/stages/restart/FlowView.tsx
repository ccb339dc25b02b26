"use client";
import { Play, RotateCcw } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { Symptom } from "@/core/aircraft/cause-item";
import type { RestartBudget, RestartQuestion } from "@/core/restart/restart-budget";
import { formatNumber } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { useSituation } from "@/ui/situation/situation-store";
import { download } from "@/ui/kit/download";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { runsCsv, useFlowRuns } from "./flow-runs";
import { type Tick, behind_s, runLog, timeInWords } from "./restart-words";

const SYMPTOMS: readonly { value: Symptom | ""; label: string }[] = [
  { value: "", label: "nothing in particular" },
  { value: "sudden", label: "stopped at once" },
  { value: "surging", label: "surged before it stopped" },
  { value: "fading", label: "lost power little by little" },
  { value: "rough", label: "ran rough" },
  { value: "after-change", label: "stopped after something was changed" },
];
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
          choices={SYMPTOMS}
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
      <table className="w-full text-right text-[14px]">
        <caption className="sr-only">The cause check in order, with seconds, feet and whether it fits</caption>
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="text-left font-normal">check</th>
            <th className="px-2 text-left font-normal">do</th>
            <th className="px-2 font-normal">after</th>
            <th className="px-2 font-normal">costs</th>
            <th className="px-2 font-normal">done at</th>
            <th className="pl-3 text-left font-normal">fits</th>
            {run.started && <th className="font-normal">yours</th>}
          </tr>
        </thead>
        <tbody>
          {[...budget.items, ...then].map(({ item, to_s, cost_m, end_m, fits }, i) => {
            const tick = run.ticks[i];
            const after = i >= budget.items.length;
            return (
              <tr
                key={item.id}
                className={`border-t border-rule ${run.started && !run.done && i === run.ticks.length ? "bg-mark" : ""}`}
              >
                <th className={`py-1 text-left ${after ? "font-normal" : "font-semibold"} ${fits ? "" : "text-ink2"}`}>
                  {after ? `then: ${item.name.toLowerCase()}` : item.name}
                </th>
                <td className="px-2 text-left text-[13px] text-ink2">{item.action}</td>
                <td className="num px-2 whitespace-nowrap">{formatNumber(to_s, 0)} s</td>
                <td className="px-2 whitespace-nowrap">
                  <Figure title={item.name} figure={item.id} source={source}>
                    {format("height", cost_m)}
                  </Figure>
                </td>
                <td className="num px-2 whitespace-nowrap">
                  {end_m > question.ground_m ? format("height", end_m) : "on the ground"}
                </td>
                <td className={`pl-3 text-left ${fits ? "text-pine" : "text-brick"}`}>{fits ? "fits" : "too late"}</td>
                {run.started && (
                  <td className={`num ${tick && tick.at_s > tick.planned_s + 1 ? "text-brick" : ""}`}>
                    {tick ? `${tick.at_s.toFixed(1)} s` : "–"}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
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
          <table className="mt-1 max-w-[520px] text-right text-[14px]">
            <thead className="text-[13px] text-ink2">
              <tr>
                <th className="pr-4 text-left font-normal">propeller</th>
                <th className="px-3 font-normal">sink</th>
                <th className="px-3 font-normal">best glide</th>
                <th className="px-3 font-normal">ratio</th>
                <th className="pl-3 font-normal">time to the commit height</th>
              </tr>
            </thead>
            <tbody>
              {budget.byPropeller.map((entry) => (
                <tr key={entry.state} className="border-t border-rule">
                  <th className="pr-4 text-left font-normal">{entry.state}</th>
                  <td className="px-3">
                    <Figure title={`Sink, ${entry.state}`} figure="propeller" source={source}>
                      {format("verticalSpeed", entry.sink_mps)}
                    </Figure>
                  </td>
                  <td className="num px-3">{format("speed", entry.eas_mps)}</td>
                  <td className="num px-3">{formatNumber(entry.ratio, 1)}:1</td>
                  <td className="num pl-3">
                    {timeInWords(Math.max(question.altitude_m - question.commit_m, 0) / entry.sink_mps)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </div>
  );
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
