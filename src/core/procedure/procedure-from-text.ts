// An operator's own checklist, pasted as text, as steps: challenge and response by what stands between them.
import type { Control, Procedure, Step } from "./procedure";

/** Something about a line that its reader should know. */
export interface LineNote {
  /** From 1. */
  readonly line: number;
  readonly message: string;
}

/** What came of a text. */
export interface ReadChecklist {
  /** The first heading; null without one. */
  readonly name: string | null;
  readonly steps: readonly Step[];
  readonly controls: readonly Control[];
  readonly notes: readonly LineNote[];
}

/** Most lines that are read, and steps and controls that a procedure has room for besides its end. */
const [MOST_LINES, MOST_STEPS, MOST_CONTROLS, MOST_POSITIONS] = [200, 79, 24, 8];
/** Longest challenge of something that is set; of what is said; a response; a name of a control, a position. */
const [CHALLENGE, SAID, NAME, POSITION] = [80, 120, 30, 20];

const NUMBERING = /^\s*(?:\d{1,3}[.)]|[-•–*□☐])\s+/;
/** Dots, dashes, tabs, a colon: what stands between challenge and response. */
const BETWEEN = /\s*(?:\.{2,}|…+|_{2,}|\t+|\s[-–—]{1,2}\s|:\s)\s*/;
const LOOKS =
  /^(check|checked|confirm|confirmed|as required|as needed|monitor|monitored|consider|complete|completed)\b/i;
const WAIT = /\bwait\s+(\d{1,3})\s*(?:s|sec|secs|seconds)\b/i;
const KNOWN_BY_HEART = /\b(memory|recall|immediate)\b/i;

/** Of a text a name for the machine. */
const slug = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, "-")
    .replaceAll(/^-+|-+$/g, "")
    .slice(0, 30) || "x";

const isHeading = (line: string) =>
  !BETWEEN.test(line) && (line.endsWith(":") || (/[A-Z]{3}/.test(line) && line === line.toUpperCase()));

/** What has been read so far. */
interface Reading {
  name: string | null;
  memory: boolean;
  readonly steps: Step[];
  readonly controls: Map<string, Control>;
  readonly ids: Set<string>;
  readonly notes: LineNote[];
}

/**
 * Reads a checklist. Nothing of it is refused: what is too long is cut and told, and a condition becomes something said
 * for its reader to draw the branch.
 *
 * @param text - as it was pasted, up to 200 lines
 */
export function procedureFromText(text: string): ReadChecklist {
  const reading: Reading = {
    name: null,
    memory: false,
    steps: [],
    controls: new Map(),
    ids: new Set(),
    notes: [],
  };
  const lines = text.split(/\r?\n/);
  if (lines.length > MOST_LINES)
    reading.notes.push({ line: MOST_LINES + 1, message: "Lines from here on were not read." });
  for (const [i, raw] of lines.slice(0, MOST_LINES).entries()) {
    const line = raw
      .replace(NUMBERING, "")
      .replace(/^[\s.:_…–—-]+/, "")
      .trim();
    if (line === "") continue;
    if (reading.steps.length >= MOST_STEPS && !isHeading(line)) {
      reading.notes.push({ line: i + 1, message: "There is room for 80 steps: what follows was not read." });
      break;
    }
    readLine(reading, line, i + 1);
  }
  const { name, steps, controls, notes } = reading;
  const end: Step = { ...baseOf(reading, "end"), memory: false, kind: "end", challenge: "Complete." };
  return { name, steps: steps.length === 0 ? [] : [...steps, end], controls: [...controls.values()], notes };
}

/** What every step has, under a name for the machine that none has yet. */
function baseOf({ ids, memory }: Reading, words: string) {
  const base = slug(words);
  let id = base;
  // There are fewer steps than lines: one of these is free.
  for (let i = 2; ids.has(id) && i <= MOST_LINES; i += 1) id = `${base}-${i}`;
  ids.add(id);
  return { id, actor: "single", memory, when: null, why: null } as const;
}

function readLine(reading: Reading, line: string, number: number): void {
  const cut = (part: string, most: number, what: string) => {
    if (part.length > most) reading.notes.push({ line: number, message: `${what} was cut after ${most} characters.` });
    return part.slice(0, most).trim();
  };
  if (isHeading(line)) {
    reading.memory = KNOWN_BY_HEART.test(line);
    reading.name ??= cut(line.replace(/:$/, ""), 60, "The heading");
    return;
  }
  const base = baseOf(reading, line.split(BETWEEN)[0]);
  if (/^(warning|caution|note)\b/i.test(line)) {
    reading.steps.push({ ...base, kind: "caution", challenge: cut(line, 240, "The caution") });
    return;
  }
  const wait_s = Number(WAIT.exec(line)?.[1] ?? 0);
  if (wait_s >= 1 && wait_s <= 600) {
    reading.steps.push({ ...base, kind: "wait", challenge: cut(line, CHALLENGE, "The line"), wait_s, since: null });
    return;
  }
  const [challenge, ...rest] = line.split(BETWEEN).map((part) => part.trim());
  const response = rest.filter((part) => part !== "").join(", ");
  if (/^if\b/i.test(line)) {
    const message = "A condition: it was taken as something to say. Make it a question with its ways.";
    reading.notes.push({ line: number, message });
  } else if (response !== "" && setsControl(reading, challenge, response, number)) {
    const position = response.toLowerCase();
    const control = slug(challenge);
    reading.steps.push({
      ...base,
      kind: "set",
      challenge,
      control,
      engine: null,
      position,
      confirm: null,
      target_s: 5,
    });
    return;
  }
  reading.steps.push({
    ...base,
    kind: "say",
    challenge: cut(challenge || line, SAID, "The line"),
    response: cut(response, SAID, "The response"),
    target_s: 5,
  });
}

/** Whether a line sets something; then its control has that position. What there is no room for is told. */
function setsControl({ controls, notes }: Reading, challenge: string, response: string, line: number): boolean {
  if (response.length > POSITION || challenge === "" || challenge.length > NAME || LOOKS.test(response)) return false;
  const id = slug(challenge);
  const known = controls.get(id);
  const positions = known?.positions ?? ["before"];
  const position = response.toLowerCase();
  const more = !positions.includes(position);
  if ((!known && controls.size >= MOST_CONTROLS) || (more && positions.length >= MOST_POSITIONS)) {
    const message = known
      ? `${challenge} has eight positions already: this one was taken as something to say.`
      : "There is room for 24 controls: this one was taken as something to say.";
    notes.push({ line, message });
    return false;
  }
  controls.set(id, {
    id,
    name: known?.name ?? challenge,
    perEngine: false,
    drawn: "switch",
    positions: more ? [...positions, position] : positions,
    final: [],
  });
  return true;
}

/** A procedure of one's own made of a checklist. */
export function procedureOf(read: ReadChecklist, id: string, fits: Procedure["fits"]): Procedure {
  return {
    format: "utrimax/procedure",
    version: 1,
    id,
    name: read.name ?? "My checklist",
    purpose: "From a checklist of my own.",
    fits,
    crew: "single",
    flight: "failed",
    warnings: [],
    madeFrom: null,
    controls: [...read.controls],
    steps: [...read.steps],
    cautions: [],
    source: "my own checklist; the flight manual comes first",
  };
}
