// An entry as it is begun from what was drilled, simulated or flown: what was done when, and what it cost, is filled
// in; why it failed and what was learnt its pilot says.
import { type DrillRun, runAt } from "../procedure/drill-run";
import { isWrong } from "../procedure/drill";
import type { RunResult } from "../procedure/run-document";
import { formatNumber } from "../quantities/units";
import { degrees } from "../quantities/angle";
import type { FlownResult } from "../exercise/flown-result";
import type { Failure } from "../track/analyse";
import type { Practised } from "./currency";
import { type Action, LOGBOOK_ENTRY_VERSION, type LogbookEntry } from "./logbook-entry";

/** Longest of a name, an action, and how many there are. */
const [MOST_NAME, MOST_WORDS, MOST_ACTIONS] = [80, 200, 80];

/** An entry with nothing in it. */
export function newEntry(id: string, at: string, aircraft: string): LogbookEntry {
  return {
    schema: "utrimax/logbook-entry",
    version: LOGBOOK_ENTRY_VERSION,
    id,
    name: "What failed",
    at,
    kind: "flight",
    aircraft: aircraft.slice(0, 60),
    causes: [],
    actions: [],
    cost: { height_m: null, time_s: null },
    learnt: "",
    change: "",
    tags: [],
    people: [],
    sources: [],
    practised: [],
    tab: null,
    shutdown: null,
  };
}

/** What a draft is made of beside its source. */
interface Begun {
  readonly id: string;
  readonly sourceId: string;
  readonly at: string;
  readonly aircraft: string;
  /** What it counts for, as it is counted without an entry. */
  readonly practised: readonly Practised[];
}

const counted = (practised: readonly Practised[]) => [...new Set(practised.map(({ practice }) => practice))];
const cut = (actions: readonly Action[]): Action[] =>
  actions.slice(0, MOST_ACTIONS).map(({ at_s, words }) => ({ at_s, words: words.slice(0, MOST_WORDS) }));

/** From a drill: its steps as they were done. */
export function entryOfRun(run: DrillRun, result: RunResult, begun: Begun): LogbookEntry {
  const { name, steps } = run.procedure;
  const challenge = (step: string) => steps.find(({ id }) => id === step)?.challenge ?? step;
  return {
    ...newEntry(begun.id, begun.at, begun.aircraft),
    name: name.slice(0, MOST_NAME),
    kind: "drill",
    actions: cut(
      runAt(run, result.took_s).drill.log.map((entry) => ({
        at_s: entry.time_s,
        words: `${challenge(entry.step)}${isWrong(entry.outcome) ? `: ${entry.outcome.replaceAll("-", " ")}` : entry.outcome === "slow" ? ", late" : ""}`,
      })),
    ),
    cost: { height_m: result.lost_m, time_s: result.took_s },
    sources: [{ kind: "run", id: begun.sourceId, name: name.slice(0, 120) }],
    practised: counted(begun.practised),
  };
}

const ENDED: Record<FlownResult["ended"], string> = {
  air: "ended in the air",
  down: "stopped on the ground",
  departed: "departed",
  "too-fast": "beyond its greatest speed",
  overload: "overloaded",
  "rotor-slow": "lost its rotor speed",
  unloaded: "unloaded its rotor",
  crash: "crashed",
  water: "in the water",
};

/** From a flight by hand. */
export function entryOfFlight(words: string, result: FlownResult, begun: Begun): LogbookEntry {
  const { hand, glide, took_s, ended, touch } = result;
  return {
    ...newEntry(begun.id, begun.at, begun.aircraft),
    name: words.slice(0, MOST_NAME),
    kind: "simulator",
    actions: cut([
      ...(hand ? [{ at_s: hand.reaction_s, words: "First action after the failure" }] : []),
      ...(hand?.bank
        ? [{ at_s: null, words: `Turned at ${formatNumber(degrees(hand.bank.mean_rad))}° in the mean` }]
        : []),
      { at_s: null, words: `${ENDED[ended]}${touch ? `, ${formatNumber(touch.sink_mps, 1)} m/s at the touch` : ""}` },
    ]),
    cost: { height_m: glide?.lost_m ?? null, time_s: took_s },
    sources: [{ kind: "flight", id: begun.sourceId, name: words.slice(0, 120) }],
    practised: counted(begun.practised),
  };
}

/** From an engine stop of a flight log. */
export function entryOfFailure(logName: string, stop: Failure, begun: Begun): LogbookEntry {
  const { delay_s, turns, toGround, back_s, time_s, kind, engine } = stop;
  const which = engine === null ? "Engine" : engine === 1 ? "Left engine" : "Right engine";
  const after = (at: number) => at - time_s;
  const down_s = toGround?.time_s.known ? toGround.time_s.value : null;
  return {
    ...newEntry(begun.id, begun.at, begun.aircraft),
    name: `${which} ${kind}`.slice(0, MOST_NAME),
    actions: cut([
      { at_s: 0, words: `${which} ${kind}` },
      ...(delay_s.known ? [{ at_s: delay_s.value, words: "First action" }] : []),
      ...turns.map((turn) => ({
        at_s: after(turn.from_s),
        words: `Turned ${turn.side < 0 ? "left" : "right"} through ${formatNumber(degrees(turn.heading_rad))}°${turn.measures.bank_rad.known ? ` at ${formatNumber(degrees(turn.measures.bank_rad.value))}°` : ""}`,
      })),
      ...(down_s === null ? [] : [{ at_s: down_s, words: "Touched down" }]),
      ...(down_s === null && back_s !== null ? [{ at_s: after(back_s), words: "Power again" }] : []),
    ]).toSorted((a, b) => (a.at_s ?? 0) - (b.at_s ?? 0)),
    cost: {
      height_m: toGround?.height_m.known ? toGround.height_m.value : null,
      time_s: down_s ?? (back_s === null ? null : after(back_s)),
    },
    sources: [{ kind: "log", id: begun.sourceId, name: logName.slice(0, 120) }],
    practised: counted(begun.practised),
  };
}
