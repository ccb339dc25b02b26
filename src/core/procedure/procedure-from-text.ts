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
const [MOST_LINES, MOST_STEPS, MOST_CONTROLS] = [200, 79, 24];
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

/**
 * Reads a checklist. Nothing of it is refused: what is too long is cut and told, and a condition becomes something said
 * for its reader to draw the branch.
 *
 * @param text - as it was pasted, up to 200 lines
 */
export function procedureFromText(text: string): ReadChecklist {
  const steps: Step[] = [];
  const controls = new Map<string, Control>();
  const notes: LineNote[] = [];
  const ids = new Set<string>();
  let name: string | null = null;
  let memory = false;
  const idFor = (words: string) => {
    const base = slug(words);
    for (let i = 1; i <= MOST_LINES; i += 1) {
      const id = i === 1 ? base : `${base}-${i}`;
      if (!ids.has(id)) {
        ids.add(id);
        return id;
      }
    }
    return base;
  };
  const lines = text.split(/\r?\n/);
  if (lines.length > MOST_LINES) notes.push({ line: MOST_LINES + 1, message: "Lines from here on were not read." });
  for (const [i, raw] of lines.slice(0, MOST_LINES).entries()) {
    const note = (message: string) => notes.push({ line: i + 1, message });
    const cut = (part: string, most: number, what: string) => {
      if (part.length > most) note(`${what} was cut after ${most} characters.`);
      return part.slice(0, most).trim();
    };
    const line = raw
      .replace(NUMBERING, "")
      .replace(/^[\s.:_…–—-]+/, "")
      .trim();
    if (line === "") continue;
    if (isHeading(line)) {
      memory = KNOWN_BY_HEART.test(line);
      name ??= cut(line.replace(/:$/, ""), 60, "The heading");
      continue;
    }
    if (steps.length >= MOST_STEPS) {
      note("There is room for 80 steps: what follows was not read.");
      break;
    }
    const base = { id: idFor(line.split(BETWEEN)[0]), actor: "single", memory, when: null, why: null } as const;
    if (/^(warning|caution|note)\b/i.test(line)) {
      steps.push({ ...base, kind: "caution", challenge: cut(line, 240, "The caution") });
      continue;
    }
    const wait = WAIT.exec(line);
    if (wait && Number(wait[1]) >= 1 && Number(wait[1]) <= 600) {
      steps.push({
        ...base,
        kind: "wait",
        challenge: cut(line, CHALLENGE, "The line"),
        wait_s: Number(wait[1]),
        since: null,
      });
      continue;
    }
    if (/^if\b/i.test(line)) note("A condition: it was taken as something to say. Make it a question with its ways.");
    const [challenge, ...rest] = line.split(BETWEEN).map((part) => part.trim());
    const response = rest.filter((part) => part !== "").join(", ");
    const control = controls.get(slug(challenge));
    const sets =
      response !== "" &&
      response.length <= POSITION &&
      challenge.length <= NAME &&
      !LOOKS.test(response) &&
      !/^if\b/i.test(line);
    if (!sets || (!control && controls.size >= MOST_CONTROLS)) {
      if (sets) note("There is room for 24 controls: this one was taken as something to say.");
      steps.push({
        ...base,
        kind: "say",
        challenge: cut(challenge || line, SAID, "The line"),
        response: cut(response, SAID, "The response"),
        target_s: 5,
      });
      continue;
    }
    const position = response.toLowerCase();
    const positions = control?.positions ?? ["before"];
    if (!positions.includes(position) && positions.length >= 8) {
      note(`${challenge} has eight positions already: this one was taken as something to say.`);
      steps.push({ ...base, kind: "say", challenge, response, target_s: 5 });
      continue;
    }
    controls.set(slug(challenge), {
      id: slug(challenge),
      name: control?.name ?? challenge,
      perEngine: false,
      drawn: "switch",
      positions: positions.includes(position) ? positions : [...positions, position],
      final: [],
    });
    steps.push({
      ...base,
      kind: "set",
      challenge,
      control: slug(challenge),
      engine: null,
      position,
      confirm: null,
      target_s: 5,
    });
  }
  const end: Step = {
    id: idFor("end"),
    actor: "single",
    memory: false,
    when: null,
    why: null,
    kind: "end",
    challenge: "Complete.",
  };
  return { name, steps: steps.length === 0 ? [] : [...steps, end], controls: [...controls.values()], notes };
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
