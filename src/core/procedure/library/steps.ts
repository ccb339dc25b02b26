// Steps of the library's procedures in few words.
import type { Actor, Condition, Control, Procedure, Step } from "../procedure";

/** What a step may have besides. */
interface More {
  readonly when?: Condition;
  readonly why?: string;
  /** It is read, not known by heart. */
  readonly read?: boolean;
  readonly target_s?: number;
}

const base = (id: string, actor: Actor, { when, why, read }: More) => ({
  id,
  actor,
  memory: !read,
  when: when ?? null,
  why: why ?? null,
});

/** A control's id, engine and position: "throttle dead idle". */
export function set(
  id: string,
  actor: Actor,
  challenge: string,
  where: string,
  more: More & { readonly confirm?: "other" | "self" } = {},
): Step {
  const [control, ...rest] = where.split(" ");
  const perEngine = rest[0] === "dead" || rest[0] === "live" || rest[0] === "each";
  return {
    ...base(id, actor, more),
    kind: "set",
    challenge,
    control,
    engine: perEngine ? (rest[0] as "dead" | "live" | "each") : null,
    position: (perEngine ? rest.slice(1) : rest).join(" "),
    confirm: more.confirm ?? null,
    target_s: more.target_s ?? 5,
  };
}

/** Says something, or looks and says what is seen. */
export const say = (id: string, actor: Actor, challenge: string, response = "", more: More = {}): Step => ({
  ...base(id, actor, more),
  kind: "say",
  challenge,
  response,
  target_s: more.target_s ?? 5,
});

/** Waits, from when another step was done or from now. */
export const wait = (
  id: string,
  actor: Actor,
  challenge: string,
  wait_s: number,
  more: More & { readonly since?: string } = {},
): Step => ({ ...base(id, actor, more), kind: "wait", challenge, wait_s, since: more.since ?? null });

/** Calls a short procedure. */
export const call = (id: string, actor: Actor, challenge: string, procedure: string): Step => ({
  ...base(id, actor, {}),
  kind: "call",
  challenge,
  procedure,
});

/** Where an answer leads, and when it is so. */
type Answer = string | { readonly to: string; readonly when: Condition };

/** Asks, and goes where the answer leads. */
export const ask = (
  id: string,
  actor: Actor,
  challenge: string,
  answers: Readonly<Record<string, Answer>>,
  more: More = {},
): Step => ({
  ...base(id, actor, more),
  kind: "ask",
  challenge,
  answers: Object.entries(answers).map(([answer, leads]) =>
    typeof leads === "string" ? { answer, to: leads, when: null } : { answer, ...leads },
  ),
  target_s: more.target_s ?? 8,
});

/** A warning burns, or has gone out. */
export const lamp = (name: string, is: "on" | "off"): Condition => ({ what: "warning", is, value: null, name });

/** Calls a height, m above the ground, as it is passed. */
export const atHeight = (id: string, actor: Actor, challenge: string, value: number, more: More = {}): Step => ({
  ...base(id, actor, more),
  kind: "passing",
  challenge,
  what: "height",
  value,
});

/** Goes back so many times. */
export const again = (
  id: string,
  actor: Actor,
  challenge: string,
  to: string,
  most: number,
  more: More = {},
): Step => ({
  ...base(id, actor, more),
  kind: "again",
  challenge,
  to,
  most,
});

/** Ends. */
export const end = (id: string, actor: Actor, challenge: string): Step => ({
  ...base(id, actor, {}),
  kind: "end",
  challenge,
});

/** What is not drawn as a switch, or as a dial when it has more than two positions. */
const DRAWN: Readonly<Record<string, Control["drawn"]>> = {
  ...Object.fromEntries(
    ["throttle", "mixture", "propeller", "thrust", "power", "condition", "collective", "gear", "flap", "spoilers"].map(
      (id) => [id, "lever"],
    ),
  ),
  handle: "handle",
  bottle: "bottle",
};

/** A control; positions that cannot be taken back in flight stand after a bar. */
export function control(id: string, name: string, stands: string, perEngine = false): Control {
  const [all, final = ""] = stands.split("|");
  const list = (text: string) =>
    text
      .split(",")
      .map((part) => part.trim())
      .filter((part) => part !== "");
  const positions = list(all);
  const drawn = DRAWN[id.split("-")[0]] ?? (positions.length > 2 ? "dial" : "switch");
  return { id, name, perEngine, drawn, positions, final: list(final) };
}

/** The document about it. */
export const procedure = (
  parts: Omit<
    Procedure,
    "format" | "version" | "cautions" | "source" | "warnings" | "flight" | "controls" | "madeFrom"
  > &
    Partial<Pick<Procedure, "cautions" | "warnings" | "flight" | "controls">>,
): Procedure => ({
  format: "utrimax/procedure",
  version: 1,
  warnings: [],
  madeFrom: null,
  flight: "failed",
  controls: [],
  source: "common practice; the flight manual and the operator’s checklist come first",
  ...parts,
  cautions: [
    "A generic drill for learning order and words. The flight manual’s drill comes first.",
    ...(parts.cautions ?? []),
  ],
});
