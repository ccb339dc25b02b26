"use client";
import { useHotkeys } from "react-hotkeys-hook";
import { endOfWait_s } from "@/core/procedure/drill";
import type { Actor, Step } from "@/core/procedure/procedure";
import { otherOf } from "@/core/procedure/right-way";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import type { DrillNow, HandEvent } from "./drill-store";
import { ACTOR_WORDS, cueWords, isIrreversible, secondsCost, upcoming } from "./drill-words";

interface Props {
  step: Step;
  flying: DrillNow;
  ofTwo: boolean;
  spoken: boolean;
  /** Whose browser it is; null where one does what is everybody's. */
  role?: Actor | null;
  onAct: (event: HandEvent) => void;
  onTick: () => void;
}

/** What may be done at a step in a browser. */
interface Rights {
  /** Its own step: it is said, answered, set here. */
  readonly mine: boolean;
  /** The engine is named before it. */
  readonly confirms: boolean;
  /** It is named here. */
  readonly names: boolean;
  /** It is ticked as said or done. */
  readonly ticked: boolean;
}

function rightsOf(step: Step, { ofTwo, spoken, role = null }: Pick<Props, "ofTwo" | "spoken" | "role">): Rights {
  const mine = role === null || step.actor === role;
  const confirms = step.kind === "set" && step.confirm !== null && ofTwo;
  const namer = step.kind === "set" && step.confirm === "other" ? otherOf(step.actor) : step.actor;
  return {
    mine,
    confirms,
    names: confirms && (role === null || namer === role),
    ticked: mine && (step.kind === "say" || (spoken && step.kind === "set")),
  };
}

/** The step that is due: the only large thing. What answers it looks all the same, so that nothing leads. */
export function DueStep(props: Props) {
  const { step, flying, onAct, onTick } = props;
  const format = useFormat();
  const { run, state, paused } = flying;
  const { drill } = state;
  const rights = rightsOf(step, props);
  useHotkeys("space", onTick, { enabled: !paused && rights.ticked, preventDefault: true });
  useHotkeys(
    "1,2,3,4,5,6",
    (event) => {
      const answer = step.kind === "ask" ? step.answers.at(Number(event.key) - 1) : undefined;
      if (answer) onAct({ type: "answer", answer: answer.answer });
    },
    { enabled: !paused && rights.mine && step.kind === "ask", useKey: true },
  );
  useHotkeys("l", () => onAct({ type: "name", side: "left" }), { enabled: !paused && rights.names });
  useHotkeys("r", () => onAct({ type: "name", side: "right" }), { enabled: !paused && rights.names });
  const next = upcoming(run.procedure, drill.at, 2);
  return (
    <section
      className={`border-y-2 border-ink px-5 py-2 ${isIrreversible(step, run.procedure) ? "border-l-[6px] border-l-brick" : ""}`}
      aria-label="Due now"
    >
      <Heading step={step} flying={flying} />
      {/* Read out by itself: the seconds above it change all the time. */}
      <p className="text-[24px] leading-8 font-bold" role="status">
        {step.challenge}
      </p>
      {step.kind === "wait" && <WaitBar step={step} flying={flying} />}
      {step.kind === "passing" && (
        <p className="text-[15px]">
          at {format(step.what === "height" ? "height" : "speed", step.value)}
          {step.what === "height" && `, now ${format("height", drill.flown.height_m, "down")}`}
        </p>
      )}
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <Answers step={step} flying={flying} rights={rights} onAct={onAct} onTick={onTick} />
        <Hint {...props} rights={rights} />
        {next.length > 0 && (
          <p className="ml-auto truncate text-[13px] text-ink2">
            then: {next.map((later) => later.challenge).join(" · ")}
          </p>
        )}
      </div>
    </section>
  );
}

/** The buttons of a step, with their keys. */
function Answers({
  step,
  flying: { state, paused },
  rights: { mine, names, ticked },
  onAct,
  onTick,
}: Pick<Props, "step" | "flying" | "onAct" | "onTick"> & { rights: Rights }) {
  const { named } = state.drill;
  return (
    <>
      {ticked && (
        <button type="button" className="btn" disabled={paused} onClick={onTick}>
          {step.kind === "say" ? `“${step.response || "Said"}”` : "Done"}
          <kbd className="ml-1 text-[12px] text-ink2">space</kbd>
        </button>
      )}
      {mine &&
        step.kind === "ask" &&
        step.answers.map(({ answer }, i) => (
          <button
            key={answer}
            type="button"
            className="btn"
            disabled={paused}
            onClick={() => onAct({ type: "answer", answer })}
          >
            {answer} <kbd className="ml-1 text-[12px] text-ink2">{i + 1}</kbd>
          </button>
        ))}
      {names &&
        (["left", "right"] as const).map((side) => (
          <button
            key={side}
            type="button"
            className="btn"
            disabled={paused}
            aria-pressed={named === side}
            onClick={() => onAct({ type: "name", side })}
          >
            “{side === "left" ? "Left" : "Right"}” <kbd className="ml-1 text-[12px] text-ink2">{side[0]}</kbd>
          </button>
        ))}
    </>
  );
}

/** How a step is done here, or whose it is. */
function Hint({ step, flying: { run, state }, spoken, rights }: Props & { rights: Rights }) {
  const { mine, names } = rights;
  if (!mine && !names) return <p className="text-[14px] text-ink2">Waits for {ACTOR_WORDS[step.actor]}.</p>;
  if (step.kind !== "set") return null;
  const final = isIrreversible(step, run.procedure);
  return (
    <p className={`text-[14px] ${final ? "text-brick" : "text-ink2"}`}>
      {final ? "Cannot be undone. " : ""}
      {mine ? howWords(rights, state.drill.named, spoken) : "Look at the lever and the lamp, then name the engine."}
    </p>
  );
}

/** Whose it is, what one sees, and how long it has been due. */
function Heading({ step, flying: { run, state } }: { step: Step; flying: DrillNow }) {
  const format = useFormat();
  const { flown, due_s, warnings } = state.drill;
  const gone_s = flown.time_s - due_s;
  const target_s = "target_s" in step ? step.target_s : null;
  return (
    <p className="flex flex-wrap gap-x-3 text-[13px] text-ink2">
      <span>
        {ACTOR_WORDS[step.actor]}
        {step.memory ? "" : " reads"} {cueWords(run.procedure, warnings, run.dead)}
      </span>
      {target_s !== null && (
        <span className={`num ml-auto whitespace-nowrap ${gone_s > target_s ? "text-ochre" : ""}`}>
          {formatNumber(gone_s)} s of {formatNumber(target_s)} s{secondsCost(state.from.climb_mps, format)}
        </span>
      )}
    </p>
  );
}

function howWords({ confirms, names }: Rights, named: string | null, spoken: boolean): string {
  const set = spoken ? "tick it." : "set it below.";
  if (!confirms) return spoken ? "Say it, do it, then tick it." : "Set it below.";
  if (named !== null) return `${named} confirmed: ${set}`;
  return names ? `Name the engine with the hand on it, then ${set}` : "Hand on it, ask: the other names the engine.";
}

/** A ruled bar that burns down. */
function WaitBar({ step, flying }: { step: Extract<Step, { kind: "wait" }>; flying: DrillNow }) {
  const { drill } = flying.state;
  const left_s = Math.max(endOfWait_s(step, drill) - drill.flown.time_s, 0);
  const share = Math.min(left_s / step.wait_s, 1);
  return (
    <div
      className="mt-1 flex h-8 items-stretch gap-3 border-2 border-ink2/50 px-2"
      role="progressbar"
      aria-label={`Wait ${formatNumber(step.wait_s)} s`}
      aria-valuemin={0}
      aria-valuemax={step.wait_s}
      aria-valuenow={Math.round(step.wait_s - left_s)}
    >
      <span className="self-center font-semibold">Wait {formatNumber(step.wait_s)} s</span>
      <span className="relative flex-1 bg-[repeating-linear-gradient(90deg,var(--ink2)_0_1px,transparent_1px_10%)] bg-[length:100%_35%] bg-no-repeat">
        <span className="absolute bottom-1 h-2" style={{ width: `${(1 - share) * 100}%`, background: "var(--plum)" }} />
        <span className="absolute inset-y-0 w-0.5 bg-harbour" style={{ left: `${(1 - share) * 100}%` }} />
      </span>
      <span className="num self-center text-[17px] font-bold">{formatNumber(Math.ceil(left_s))} s</span>
    </div>
  );
}
