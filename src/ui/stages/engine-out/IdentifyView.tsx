"use client";
import { gaugesIn } from "@/core/engine/gauges";
import { Pause, Play } from "lucide-react";
import { useEffect, useState } from "react";
import { FAULTS, faultOf } from "@/core/engine/engine-fault";
import { GAUGE_SECONDS, type GaugeMoment, type GaugeQuestion } from "@/core/identify/gauge-history";
import { type Cue, cuesAt } from "@/core/identify/gauge-verdict";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";

import type { IdentifyAnswer } from "@/core/identify/identify-answer";
import { useEngineOut } from "@/ui/answers/engine-out-store";
import { GAUGE_NAMES, gaugeReading, gaugeZero } from "./gauge-words";
import { type SaidCue, type SaidEngine, drawFault, rightEngine, useIdentify } from "./identify-store";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { DataTable } from "@/ui/kit/tables/DataTable";

const VERDICTS: Record<Cue["verdict"], string> = {
  settles: "settles it",
  hints: "hints",
  misleads: "misleads",
  silent: "says nothing",
};
const TONES: Record<Cue["verdict"], string> = {
  settles: "text-pine",
  hints: "",
  misleads: "text-brick",
  silent: "text-ink2",
};
/** Seconds lost before a wrongly stopped engine runs again. Common practice. */
const AGAIN_S = 40;

const askIdentify: Ask<GaugeQuestion, IdentifyAnswer> = (core, question) => core.identifyAnswer(question);

/** The minute after the fault that is set, as the worker has it. */
function useIdentifyAnswer() {
  const question = useEngineOutQuestion();
  const eas_mps = useEngineOut((state) => state.now?.speeds.rate.eas_mps ?? null);
  const { fault, engine, closed } = useIdentify();
  const asked =
    eas_mps === null ? null : { question: { ...question, gearDown: false, items: [] }, eas_mps, fault, engine, closed };
  return outcomeOf(useAnswer(asked, askIdentify, "long"));
}

/** Gauges of both engines over the minute after a fault. */
export function IdentifyView() {
  const outcome = useIdentifyAnswer();
  const time_s = useIdentify((state) => state.time_s);
  return (
    <div
      className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)] overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="Identify and verify"
    >
      <Setting />
      {!outcome ? (
        <p className="p-4 text-ink2">Computing …</p>
      ) : !outcome.ok ? (
        <p role="alert" className="p-4 text-brick">
          {outcome.issue.message}
        </p>
      ) : (
        <div className="px-6 py-3">
          <Timeline />
          <Panel moments={outcome.value.moments} moment={outcome.value.moments[time_s]} />
        </div>
      )}
    </div>
  );
}

/** The user says which engine it is and what settles it, and is told. */
export function IdentifyAnswering() {
  const outcome = useIdentifyAnswer();
  return outcome?.ok ? (
    <Answering answer={outcome.value} />
  ) : (
    <aside className="border-l border-rule" aria-label="Your answer" />
  );
}

/** Which fault, known or drawn by lot; which school of verifying. */
function Setting() {
  const { hidden, fault, engine, time_s, closed, set } = useIdentify();
  const { document } = useAeroplane();
  const jet = document.engines.kind === "jet";
  const faults = FAULTS.filter((entry) => !jet || entry.jet);
  useEffect(() => {
    if (!faults.some((entry) => entry.kind === fault)) set({ fault: "starvation", said: null, closed: null });
  }, [faults, fault, set]);
  const draw = () =>
    set({ ...drawFault(jet, [Math.random(), Math.random()]), hidden: true, said: null, closed: null, time_s: 0 });
  return (
    <div className="grid grid-cols-4 items-end gap-x-4 gap-y-1 border-b border-rule px-4 py-2 max-[1150px]:grid-cols-3">
      <ChoiceField
        label="Fault"
        value={hidden ? "lot" : fault}
        onChange={(value) =>
          value === "lot" ? draw() : set({ fault: value, hidden: false, said: null, closed: null })
        }
        choices={[
          { value: "lot" as const, label: "drawn by lot" },
          ...faults.map((entry) => ({ value: entry.kind, label: entry.name })),
        ]}
      />
      {hidden ? (
        <button type="button" className="btn" onClick={draw}>
          Draw another
        </button>
      ) : (
        <ChoiceField
          label="Engine"
          value={engine}
          onChange={(value) => set({ engine: value, said: null })}
          choices={[
            { value: "left", label: "left" },
            { value: "right", label: "right" },
          ]}
        />
      )}
      <ChoiceField
        label="Verify by"
        value={closed?.engine ?? "gauges"}
        onChange={(value) =>
          set({
            closed:
              value === "gauges" ? null : { engine: value, time_s: Math.max(Math.min(time_s, GAUGE_SECONDS - 10), 5) },
          })
        }
        choices={[
          { value: "gauges", label: jet ? "fuel flow and temperature" : "exhaust temperature and fuel flow" },
          { value: "left", label: "closing the left lever now" },
          { value: "right", label: "closing the right lever now" },
        ]}
      />
      <p className="text-[13px] leading-tight text-ink2">
        {closed
          ? `The ${closed.engine} lever comes back at ${closed.time_s} s. If nothing but its own manifold pressure changes, that engine was giving nothing.`
          : "Two schools: close the suspect’s lever and feel that nothing changes, or look at what burns."}
      </p>
    </div>
  );
}

/** The minute, by slider or in real time. */
function Timeline() {
  const { time_s, set } = useIdentify();
  const [running, setRunning] = useState(false);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => {
      const next = useIdentify.getState().time_s + 1;
      useIdentify.getState().set({ time_s: Math.min(next, GAUGE_SECONDS) });
      if (next >= GAUGE_SECONDS) setRunning(false);
    }, 1000);
    return () => clearInterval(timer);
  }, [running]);
  return (
    <div className="grid grid-cols-[auto_1fr] items-end gap-3">
      <button
        type="button"
        className="btn px-2 py-1"
        aria-label={running ? "Stop the clock" : "Run the clock"}
        onClick={() => {
          if (!running && time_s >= GAUGE_SECONDS) set({ time_s: 0 });
          setRunning(!running);
        }}
      >
        {running ? <Pause size={16} aria-hidden="true" /> : <Play size={16} aria-hidden="true" />}
      </button>
      <SliderField
        label="Since the fault"
        value={time_s}
        min={0}
        max={GAUGE_SECONDS}
        step={1}
        shown={`${time_s} s`}
        onChange={(value) => set({ time_s: value })}
      />
    </div>
  );
}

/**
 * Both engines' gauges back to back, each against its own greatest reading; below them what the aeroplane and the feet
 * say.
 */
function Panel({ moments, moment }: { moments: readonly GaugeMoment[]; moment: GaugeMoment }) {
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const gauges = gaugesIn(moment.left);
  const side = (value: number) => (value > 0 ? "right" : "left");
  const none = (value: number, least: number) => Math.abs(value) < least;
  return (
    <figure aria-label="Gauges of both engines">
      <div className="mt-3 grid grid-cols-[1fr_150px_1fr] text-[13px] text-ink2">
        <span className="text-right">left engine</span>
        <span />
        <span>right engine</span>
      </div>
      <ul>
        {gauges.map((gauge) => {
          const zero = gaugeZero(gauge);
          const most = Math.max(...moments.flatMap((row) => [row.left[gauge] ?? 0, row.right[gauge] ?? 0])) - zero;
          const share = (value: number) => `${Math.max(Math.min((value - zero) / most, 1), 0) * 100}%`;
          return (
            <li
              key={gauge}
              className="grid grid-cols-[92px_minmax(0,1fr)_150px_minmax(0,1fr)_92px] items-center gap-x-2 border-t border-rule py-2"
            >
              <span className="num text-right text-[13px] whitespace-nowrap">
                {gaugeReading(gauge, moment.left[gauge] ?? 0, units)}
              </span>
              <span className="flex h-4 justify-end border border-ink2 bg-paper" aria-hidden="true">
                <span className="bg-ink2" style={{ width: share(moment.left[gauge] ?? 0) }} />
              </span>
              <span className="text-center text-[14px]">{GAUGE_NAMES[gauge]}</span>
              <span className="flex h-4 border border-ink2 bg-paper" aria-hidden="true">
                <span className="bg-ink2" style={{ width: share(moment.right[gauge] ?? 0) }} />
              </span>
              <span className="num text-[13px] whitespace-nowrap">
                {gaugeReading(gauge, moment.right[gauge] ?? 0, units)}
              </span>
            </li>
          );
        })}
      </ul>
      <dl className="mt-2 grid grid-cols-3 gap-3 border-t border-ink2 pt-2 text-[14px] [&_dd]:font-semibold [&_dt]:text-[13px] [&_dt]:text-ink2">
        <div>
          <dt>Foot that holds it straight</dt>
          <dd>
            {none(moment.foot_N, 10)
              ? "neither"
              : `${side(moment.foot_N)}, ${format("force", Math.abs(moment.foot_N))}`}
          </dd>
        </div>
        <div>
          <dt>Nose, feet off</dt>
          <dd>
            {none(moment.yaw_rad, 0.005)
              ? "straight"
              : `swings ${formatNumber(Math.abs(degrees(moment.yaw_rad)), 0)}° to the ${side(moment.yaw_rad)}`}
          </dd>
        </div>
        <div>
          <dt>Ball, feet off</dt>
          <dd>
            {none(moment.ball, 0.05)
              ? "centred"
              : `${formatNumber(Math.abs(moment.ball), 1)} to the ${side(moment.ball)}`}
          </dd>
        </div>
      </dl>
    </figure>
  );
}

/** The user's answer, the verdict on it and on every cue, what the wrong one would cost. */
function Answering({ answer }: { answer: IdentifyAnswer }) {
  const { fault, engine, time_s, said, set } = useIdentify();
  const [which, setWhich] = useState<SaidEngine | "">("");
  const [what, setWhat] = useState<SaidCue | "">("");
  const format = useFormat();
  const moment = answer.moments[time_s];
  const gauges = gaugesIn(moment.left);
  const cues = cuesAt(moment, fault, engine, answer.full_N);
  const right = rightEngine(fault, engine);
  const cue = said && cues.find((entry) => entry.cue === said.cue);
  const wrongCost_m = answer.sinkOnNone_mps * AGAIN_S;
  return (
    <aside className="min-h-0 overflow-auto border-l border-rule px-4 py-3" aria-label="Your answer">
      <h2 className="mb-1 font-bold">Which engine, and what settles it?</h2>
      <div className="grid grid-cols-2 gap-2">
        <ChoiceField
          label="It is the"
          value={which}
          onChange={setWhich}
          choices={[
            { value: "", label: "…" },
            { value: "left", label: "left" },
            { value: "right", label: "right" },
            { value: "neither", label: "neither" },
          ]}
        />
        <ChoiceField
          label="Settled by"
          value={what}
          onChange={setWhat}
          choices={[
            { value: "", label: "…" },
            { value: "foot", label: "dead foot" },
            ...gauges.map((gauge) => ({ value: gauge, label: GAUGE_NAMES[gauge].toLowerCase() })),
          ]}
        />
      </div>
      <button
        type="button"
        className="btn mt-2"
        disabled={which === "" || what === ""}
        onClick={() => which !== "" && what !== "" && set({ said: { engine: which, cue: what } })}
      >
        Answer
      </button>
      {said && (
        <div className="mt-3" role="status">
          <p className={said.engine === right ? "text-pine" : "text-brick"}>
            <strong>{said.engine === right ? "Right." : "Wrong engine."}</strong>{" "}
            {said.engine === right
              ? right === "neither"
                ? "Both engines are well."
                : `It is the ${right} engine.`
              : right === "neither"
                ? "Both engines are well: one gauge has failed."
                : `It is the ${right} engine.`}
          </p>
          <p className="mt-1 text-[14px]">
            {faultOf(fault).name}: {faultOf(fault).says}
          </p>
          {cue && (
            <p className="mt-1 text-[14px]">
              <strong className={TONES[cue.verdict]}>
                {cue.cue === "foot" ? "The dead foot" : GAUGE_NAMES[cue.cue]} {VERDICTS[cue.verdict]}.
              </strong>{" "}
              {cue.why}
            </p>
          )}
          {said.engine !== right && said.engine !== "neither" && (
            <p className="mt-1 text-[14px] text-brick">
              Shutting down the {said.engine} one leaves no engine: it sinks{" "}
              {format("verticalSpeed", answer.sinkOnNone_mps)} with both feathered, about{" "}
              {format("height", wrongCost_m)} before it may run again.
            </p>
          )}
          {!faultOf(fault).dead && (
            <p className="mt-1 text-[14px]">
              Do not feather it:{" "}
              {fault === "gauge"
                ? "it is well."
                : fault === "stuck"
                  ? "it is the one with power. Bring it to idle by its mixture or fuel only when landing is assured."
                  : "what it gives may be worth keeping; watch it."}
            </p>
          )}
          <DataTable
            className="mt-2 w-full text-[13px]"
            caption={`At ${time_s} s`}
            headClassName="sr-only"
            rows={cues}
            rowKey={(entry) => entry.cue}
            rowProps={() => ({ className: "align-top" })}
            columns={[
              {
                name: "cue",
                cell: ({ cue }) => (cue === "foot" ? "Dead foot" : GAUGE_NAMES[cue]),
              },
              {
                name: "says",
                kind: "words",
                className: "whitespace-nowrap",
                cell: ({ verdict }) => VERDICTS[verdict],
                tone: ({ verdict }) => TONES[verdict],
              },
            ]}
          />
          <p className="mt-2 text-[13px] text-ink2">
            Why the foot: a gauge shows what an engine does inside; only yaw shows thrust. The foot that does nothing is
            on the dead side.
          </p>
        </div>
      )}
    </aside>
  );
}
