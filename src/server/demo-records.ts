// What a demo account has kept: a series of half turns beside its prediction, three entries of the logbook, and a
// school of three, which it owns. Made up.
import { randomUUID } from "node:crypto";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { cleanGlide } from "@/core/aircraft/configuration";
import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import { radians } from "@/core/quantities/angle";
import { M_PER_FT, MPS_PER_KT, ZERO_CELSIUS_K } from "@/core/quantities/constants";
import type { HandInResult, Lesson } from "@/core/school/school";
import { filledCard } from "@/core/series/fill-card";
import type { TestCard } from "@/core/series/test-card";
import { analyse } from "@/core/track/analyse";
import { drawnTrack } from "@/core/track/drawn-track";
import { dayOf } from "@/core/track/kept-log";
import { readKeptLog } from "@/core/track/read-kept-log";
import { createGuest } from "./accounts";
import type { StoredAircraft } from "./aircraft";
import type { Queryable } from "./database";
import { handIn, setLesson, signHandIn } from "./lessons";
import { newOwnId, ownEntries, ownTestCards } from "./own-documents";
import { foundSchool } from "./schools";
import { type PackedLog, unpackedLog } from "./sent-log";

const DAY_MS = 24 * 3600 * 1000;

/** The demo's card, filled from its log; null where the log is not there. */
export async function demoTestCard(
  { document }: Pick<StoredAircraft, "document">,
  logs: readonly PackedLog[],
): Promise<TestCard | null> {
  const packed = logs.find(({ name }) => name === "half-turns.csv");
  const sent = packed && (await unpackedLog(packed.packed));
  if (!sent?.ok || !isAeroplane(document)) return null;
  const { id, log } = sent.value;
  const read = readKeptLog(log);
  const found = read.ok ? analyse(read.value, dayOf(log)) : read;
  if (!found.ok) throw new Error(`demoTestCard: ${found.issue.message}`);
  const { flown, flights } = found.value;
  const card: TestCard = {
    schema: "utrimax/test-card",
    version: 1,
    id: newOwnId(),
    name: "Half turns, engine idle",
    kind: "half-turn",
    aircraft: document,
    mass_kg: log.mass_kg,
    deviation_K: log.deviation_K ?? 0,
    configuration: cleanGlide(document),
    start_m: 3600 * M_PER_FT,
    abort_m: 2500 * M_PER_FT,
    speed_mps: 65 * MPS_PER_KT,
    overStall: 1.2,
    points: [22, 30, 30, 37, 45, 45, 45, 55].map(radians),
    briefed: radians(45),
    task: "Idle, settle at the speed, half turn, out level; left and right in turn.",
    rules: [
      "Stop at the height below, at the stall warning, or beyond 60° of bank.",
      "Look out all round before each run; carburettor heat hot.",
      "An instructor is on board until it is signed off.",
    ],
    marks: ["entry", "90°", "180°"],
    runs: [],
  };
  const filled = filledCard(
    card,
    {
      id,
      name: log.name,
      begins_s: flown.log.begins_s,
      flights,
      drawn: drawnTrack(flown),
      holes: flown.log.holes,
      airKnown: true,
      mass_kg: log.mass_kg,
      deviation_K: log.deviation_K,
    },
    [],
    randomUUID,
  );
  return {
    ...filled,
    // The run in which the speed ran away; its student says so.
    runs: filled.runs.map((run) => (run.number === 6 ? { ...run, leftOut: "speed let run to 79 kt, nose low" } : run)),
  };
}

type Told = Omit<LogbookEntry, "schema" | "version" | "id" | "tab" | "shutdown" | "at"> &
  Partial<Pick<LogbookEntry, "tab" | "shutdown">> & { readonly days: number };

const ENTRIES: readonly Told[] = [
  {
    days: 5,
    name: "Rough running over the strait, carburettor ice",
    kind: "flight",
    aircraft: "Alder S1",
    causes: [
      { kind: "technical", words: "Power fell by 300 rpm over two minutes, rough." },
      { kind: "weather", words: "Ice in the carburettor: 9 °C, dew point 7 °C, low power in the descent." },
      { kind: "human", words: "Heat was put on only after the drop was seen: it was not in the descent flow." },
    ],
    actions: [
      { at_s: 0, words: "Rough running noticed" },
      { at_s: 14, words: "Turned towards Skerrow, best glide" },
      { at_s: 31, words: "Carburettor heat hot, held through the roughness" },
      { at_s: 95, words: "Power back" },
    ],
    cost: { height_m: 210 * M_PER_FT, time_s: 95 },
    learnt: "The drop came slowly; the first seventeen seconds went into looking for the reason.",
    change: "Heat hot before power comes back for a descent below 15 °C, every time.",
    tags: ["ice", "partial power"],
    people: [
      { name: "Bryony Marl", role: "pilot" },
      { name: "Sorrel Quay", role: "passenger" },
    ],
    sources: [],
    practised: [],
  },
  {
    days: 40,
    name: "Practice shutdown, left engine",
    kind: "flight",
    aircraft: "Larch T2",
    causes: [{ kind: "procedure", words: "Planned: shutdown at 5 000 ft with an instructor, field below." }],
    actions: [
      { at_s: 0, words: "Left throttle closed, verified" },
      { at_s: 11, words: "Left propeller feathered" },
      { at_s: 260, words: "Unfeathered, started at the second try" },
    ],
    cost: { height_m: 300 * M_PER_FT, time_s: 260 },
    learnt: "Ball half out to the right held it with least drag; the tab took the foot off at 95 kt.",
    change: "Prime for three seconds before the first try when the oil is below 60 °C.",
    tags: ["shutdown", "tab"],
    people: [
      { name: "Bryony Marl", role: "student" },
      { name: "Fenn Ossel", role: "instructor" },
    ],
    sources: [],
    practised: ["shutdown", "engine-failure"],
    tab: { speed_mps: 95 * MPS_PER_KT, before_rad: 0, after_rad: radians(4), ball: 0.3 },
    shutdown: {
      engine: "left",
      height_m: 5000 * M_PER_FT,
      off_s: 260,
      tries: 2,
      started: true,
      oil_K: ZERO_CELSIUS_K + 58,
    },
  },
  {
    days: 100,
    name: "Turn back at height, from 700 ft above the deck",
    kind: "flight",
    aircraft: "Alder S1",
    causes: [
      { kind: "procedure", words: "Planned: power closed at 3 700 ft, the deck at 3 000 ft stands for the runway." },
    ],
    actions: [
      { at_s: 0, words: "Power closed by the instructor" },
      { at_s: 4, words: "Nose down, best glide" },
      { at_s: 7, words: "Turned left at 45°" },
      { at_s: 38, words: "On the line, 60 ft left" },
    ],
    cost: { height_m: 640 * M_PER_FT, time_s: 38 },
    learnt: "The reaction took four seconds though it was announced.",
    change: "Brief the turn's side before every take-off, aloud.",
    tags: ["turn back"],
    people: [
      { name: "Bryony Marl", role: "student" },
      { name: "Fenn Ossel", role: "instructor" },
    ],
    sources: [],
    practised: ["turn-back"],
  },
];

const LESSON: Lesson = {
  name: "Engine failure in cruise",
  words: "The drill from memory first, then flown. Best glide within ten knots, the place aloud.",
  due: null,
  parts: [
    { exerciseId: "engine-failure-single", hardDeck_m: 1000 * M_PER_FT, tolerance: 1, ways: ["run", "flight", "log"] },
    { exerciseId: "steep-turns", hardDeck_m: null, tolerance: 1, ways: ["flight", "log"] },
  ],
};

/** What the two students have handed in: days ago, which exercise, how, verdict. */
const HANDED: readonly (readonly [number, number, string, HandInResult["kind"], HandInResult["verdict"], string])[] = [
  [0, 9, "engine-failure-single", "flight", "failed", "Alder S1, engine stops in a window"],
  [0, 6, "engine-failure-single", "flight", "passed", "Alder S1, engine stops in a window"],
  [0, 5, "steep-turns", "log", "passed", "steep turns, 21 Nov"],
  [1, 3, "engine-failure-single", "run", "unmeasured", "Engine failure in cruise, piston single"],
];

/** A school of three: the account teaches, two others are its students. */
async function addDemoSchool(accountId: string, connection: Queryable): Promise<void> {
  const schoolId = await foundSchool(accountId, "Skerrow Flying School", "Fenn Ossel", connection);
  if (!schoolId) return;
  const lessonId = await setLesson(schoolId, LESSON, connection);
  if (!lessonId) return;
  const students = [await createGuest(connection), await createGuest(connection)];
  for (const [i, student] of students.entries())
    await connection.execute(
      "INSERT INTO school_members (school_id, account_id, role, name) VALUES (?, ?, 'student', ?)",
      [schoolId, student, ["Bryony Marl", "Sorrel Quay"][i]],
    );
  const now_ms = Date.now();
  for (const [who, days, exerciseId, kind, verdict, words] of HANDED) {
    const at = new Date(now_ms - days * DAY_MS).toISOString();
    const result: HandInResult = { kind, sourceId: randomUUID(), at, aircraft: "Alder S1", words, verdict };
    await handIn(students[who], { schoolId, lessonId, exerciseId, result }, connection);
  }
  const [rows] = await connection.execute(
    "SELECT id FROM hand_ins WHERE account_id = ? AND exercise_id = 'steep-turns'",
    [students[0]],
  );
  const [first] = rows as { id: string }[];
  if (first)
    await signHandIn(
      schoolId,
      { accountId, name: "Fenn Ossel" },
      { accountId: students[0], id: first.id },
      { good: true, words: "Bank and height held; look out before rolling in." },
      connection,
    );
}

/** Adds them to an account that has just been made. */
export async function addDemoRecords(accountId: string, card: TestCard | null, connection: Queryable): Promise<void> {
  if (card) await ownTestCards.add(accountId, card, connection);
  const now_ms = Date.now();
  for (const { days, ...entry } of ENTRIES)
    await ownEntries.add(
      accountId,
      {
        schema: "utrimax/logbook-entry",
        version: 1,
        id: newOwnId(),
        at: new Date(now_ms - days * DAY_MS).toISOString(),
        tab: null,
        shutdown: null,
        ...entry,
      },
      connection,
    );
  await addDemoSchool(accountId, connection);
}
