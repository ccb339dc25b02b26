// What of drills, flights by hand, answers of recall and entries counts as practice.
import type { LogbookEntry, Practice } from "./logbook-entry";
import type { Practised } from "./currency";

/** Exercises and drills by what they practise. */
const OF_EXERCISE: Readonly<Record<string, Practice>> = {
  "engine-failure-single": "engine-failure",
  "engine-failure-twin": "engine-failure",
  "engine-failure-turboprop": "engine-failure",
  "one-engine-approach": "one-engine-approach",
  "vmca-demo": "minimum-control",
  "turn-back": "turn-back",
  "power-off-180": "forced-landing",
  "gyro-engine-out": "forced-landing",
};
const OF_PROCEDURE: Readonly<Record<string, Practice>> = {
  "single-turn-back": "turn-back",
  "single-in-cruise": "engine-failure",
  "single-forced-landing": "forced-landing",
  "single-after-lift-off": "engine-failure",
  "turboprop-in-cruise": "engine-failure",
  "twin-in-cruise": "engine-failure",
  "twin-after-lift-off": "engine-failure",
  "twin-levers-first": "engine-failure",
  "twin-one-engine-approach": "one-engine-approach",
  "twin-vmca-demo": "minimum-control",
  "gyro-engine-out": "forced-landing",
  "single-ditching": "forced-landing",
  "jet-after-v1": "engine-failure",
};

/** Round through this much, from so low: turned back, and not flown round to a field. Common practice. */
const [BACK_RAD, LOW_M] = [2.1, 460];

/** What a glide to the ground was practice of. */
const glidePractice = (turned_rad: number | undefined, lost_m: number | undefined): Practice =>
  (turned_rad ?? 0) > BACK_RAD && (lost_m ?? Infinity) < LOW_M ? "turn-back" : "forced-landing";

/** A drill that came to its end. */
export function practisedByDrill(run: {
  readonly id: string;
  readonly procedureId: string;
  readonly procedure: string;
  readonly beganAt: string;
  readonly result: { readonly over: boolean };
}): Practised[] {
  const practice = OF_PROCEDURE[run.procedureId];
  if (!practice || !run.result.over) return [];
  return [{ practice, way: "drill", at_ms: Date.parse(run.beganAt), words: run.procedure, of: [run.id] }];
}

/** A flight by hand that glided to the ground and stopped in one piece, or passed its exercise. */
export function practisedBySimulator({
  id,
  flownAt,
  words,
  exerciseId,
  result: { ended, verdict, glide, hand },
}: {
  readonly id: string;
  readonly flownAt: string;
  readonly words: string;
  readonly exerciseId: string | null;
  readonly result: {
    readonly ended: string;
    readonly verdict: string | null;
    readonly glide: { readonly lost_m: number } | null;
    readonly hand: { readonly turned_rad?: number } | null;
  };
}): Practised[] {
  const of = (practice: Practice): Practised => ({
    practice,
    way: "simulator",
    at_ms: Date.parse(flownAt),
    words,
    of: [id],
  });
  const exercise = exerciseId === null ? undefined : OF_EXERCISE[exerciseId];
  return [
    ...(exercise && verdict === "passed" ? [of(exercise)] : []),
    ...(glide && ended === "down" ? [of(glidePractice(hand?.turned_rad, glide.lost_m))] : []),
  ];
}

/** Engine stops of a flight log that were flown to the ground. */
export function practisedByLog({
  id,
  name,
  summary: { begins_s, hands },
}: {
  readonly id: string;
  readonly name: string;
  readonly summary: {
    readonly begins_s: number | null;
    readonly hands: readonly { readonly turned_rad?: number; readonly lost_m?: number }[];
  };
}): Practised[] {
  if (begins_s === null) return [];
  return hands.map(({ turned_rad, lost_m }) => ({
    practice: glidePractice(turned_rad, lost_m),
    way: "flight",
    at_ms: begins_s * 1000,
    words: name,
    of: [id],
  }));
}

/** Answers of recall, by the last moment of each day's. */
export function practisedByRecall(reviews: readonly { readonly at_ms: number }[]): Practised[] {
  const last = reviews.reduce((most, { at_ms }) => Math.max(most, at_ms), -Infinity);
  return Number.isFinite(last)
    ? [{ practice: "recall", way: "drill", at_ms: last, words: "cards answered", of: [] }]
    : [];
}

/** What an entry says it counts for. */
export function practisedByEntry(
  entry: Pick<LogbookEntry, "practised" | "kind" | "at" | "name" | "sources">,
): Practised[] {
  if (entry.kind === "ground") return [];
  const way = entry.kind;
  return entry.practised.map((practice) => ({
    practice,
    way,
    at_ms: Date.parse(entry.at),
    words: entry.name,
    of: entry.sources.map(({ id }) => id),
  }));
}

/**
 * All practice, each counted once: what an entry tells of a run, flight or log that counts the same already adds
 * nothing.
 *
 * @param shown - by the runs, flights and logs themselves, and by recall
 * @param told - by entries
 */
export function countedOnce(shown: readonly Practised[], told: readonly Practised[]): Practised[] {
  const counted = [...shown];
  for (const one of told) {
    const twice = counted.some(({ practice, of }) => practice === one.practice && of.some((id) => one.of.includes(id)));
    if (!twice) counted.push(one);
  }
  return counted;
}
