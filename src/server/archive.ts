// The file that everything of an account goes out as and comes in from.
import { z } from "zod";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { LatLon } from "@/core/earth/geodesic";
import { MAX_TERRAIN_POINTS } from "@/core/earth/esri-ascii";
import { FlightTestProfile } from "@/core/exercise/exercise";
import { Procedure } from "@/core/procedure/procedure";
import { CurrencyRule } from "@/core/logbook/currency";
import { ATTACHMENT_TYPES, LogbookEntry, MOST_ATTACHMENT_BYTES } from "@/core/logbook/logbook-entry";
import { PlaceOfAnyVersion } from "@/core/places/place-versions";
import { type Issue, type Outcome, failure, issuesOf, success } from "@/core/outcome";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";
import { HandInResult } from "@/core/school/school";
import { CardMark, MOST_MARKS } from "@/core/series/test-card";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";
import type { OldDocument, UpgradeStep } from "@/core/versions";
import { ROW_KINDS } from "./row-kinds";
import { QUOTAS } from "./quotas";
import { type PackedTerrain, unpackElevations } from "./packed-terrain";
import { Preferences } from "./preferences";
import { SentReview } from "./sent-review";
import { MOST_PACKED, type PackedFlight, readFlight } from "./sent-flight";
import { MOST_PACKED_LOG, type PackedLog, readSentLog } from "./sent-log";
import { SentRun } from "./sent-run";

/** Version of the file. */
export const ARCHIVE_VERSION = 8;

const Id = z.string().min(1).max(64);
const metres = z.number().min(-1_000_000).max(1_000_000);

const ArchivedTerrain = z
  .strictObject({
    id: Id,
    name: z.string().min(1).max(80),
    origin: LatLon,
    west_m: metres,
    south_m: metres,
    cell_m: z.number().min(1).max(1_000_000),
    columns: z
      .int()
      .min(2)
      .max(MAX_TERRAIN_POINTS / 2),
    rows: z
      .int()
      .min(2)
      .max(MAX_TERRAIN_POINTS / 2),
    /** base64 of gzip of 16-bit little-endian metres. */
    elevations: z.base64().max(16 * 1024 * 1024),
  })
  .refine(({ columns, rows }) => columns * rows <= MAX_TERRAIN_POINTS, {
    message: `A terrain has at most ${MAX_TERRAIN_POINTS} points.`,
  });

const { aircraft, situations, places, terrains, procedures, flightTests, runs, flights, logs, reviews } = QUOTAS.user;
const { testCards, entries, rules, attachments, handIns } = QUOTAS.user;

const ArchivedAttachment = z.strictObject({
  entryId: Id,
  name: z.string().min(1).max(120),
  type: z.enum(ATTACHMENT_TYPES),
  content: z.base64().max((MOST_ATTACHMENT_BYTES * 4) / 3 + 4),
});

/** What was handed in to schools: it goes out with its student and does not come in: a school has what it was given. */
const ArchivedHandIn = z.strictObject({
  school: z.string().max(60),
  lesson: z.string().max(60),
  exerciseId: z.string().max(40),
  result: HandInResult,
  handedAt: z.iso.datetime(),
  signed: z.boolean().nullable(),
  signedAt: z.iso.datetime().nullable(),
  signedBy: z.string().max(40).nullable(),
  words: z.string().max(400),
});

/** The file. */
export const AccountArchive = z.strictObject({
  schema: z.literal("utrimax/account"),
  version: z.literal(ARCHIVE_VERSION),
  preferences: Preferences,
  aircraft: z.array(z.strictObject({ id: Id, document: AircraftOfAnyVersion })).max(aircraft),
  places: z.array(PlaceOfAnyVersion).max(places),
  situations: z.array(z.strictObject({ id: Id, document: SituationOfAnyVersion })).max(situations),
  terrains: z.array(ArchivedTerrain).max(terrains),
  procedures: z.array(Procedure).max(procedures),
  flightTests: z.array(FlightTestProfile).max(flightTests),
  runs: z.array(SentRun).max(runs),
  /** base64 of gzip of a flight as it is sent. */
  flights: z.array(z.base64().max((MOST_PACKED * 4) / 3 + 4)).max(flights),
  /** base64 of gzip of a flight log as it is sent. */
  logs: z.array(z.base64().max((MOST_PACKED_LOG * 4) / 3 + 4)).max(logs),
  reviews: z.array(SentReview).max(reviews),
  testCards: z.array(TestCardOfAnyVersion).max(testCards),
  /** By hand, of each card. */
  marks: z.array(z.strictObject({ cardId: Id, marks: z.array(CardMark).max(MOST_MARKS) })).max(testCards),
  entries: z.array(LogbookEntry).max(entries),
  attachments: z.array(ArchivedAttachment).max(attachments),
  rules: z.array(CurrencyRule).max(rules),
  handIns: z.array(ArchivedHandIn).max(handIns),
  /** Rows that could not be read, as they are stored. They go out so that nothing is lost; they do not come in. */
  unreadable: z
    .array(
      z.strictObject({
        kind: z.enum(ROW_KINDS),
        id: z.string().max(64),
        name: z.string().max(200),
        reason: z.string().max(2000),
        stored: z.record(z.string().max(64), z.unknown()),
      }),
    )
    .max(1000),
});
/** @see AccountArchive */
export type AccountArchive = z.infer<typeof AccountArchive>;

/** An archive that was read, its terrains as they are stored. */
export type ReadArchive = Omit<AccountArchive, "terrains" | "flights" | "logs" | "unreadable"> & {
  readonly flights: readonly PackedFlight[];
  readonly logs: readonly PackedLog[];
  readonly terrains: readonly { readonly id: string; readonly name: string; readonly packed: PackedTerrain }[];
};

/** Makes of an archive of one version the next. */
const STEPS: readonly UpgradeStep[] = [
  // Version 1 had nothing that could not be read.
  (old) => ({ ...old, version: 2, unreadable: [] }),
  // Version 2 had its aerodromes and sites apart, as tables and not as documents.
  ({ aerodromes, sites, ...old }) => ({
    ...old,
    version: 3,
    places: [aerodromes, sites].flatMap((list) =>
      Array.isArray(list) ? list.map((place) => ({ ...place, schema: "utrimax/place", version: 1 })) : [],
    ),
    unreadable: [],
  }),
  // Version 3 was before anything was rehearsed.
  (old) => ({ ...old, version: 4, procedures: [], runs: [], reviews: [] }),
  // Version 4 had only the flight tests that ship.
  (old) => ({ ...old, version: 5, flightTests: [] }),
  // Version 5 was before anything was flown by hand.
  (old) => ({ ...old, version: 6, flights: [] }),
  // Version 6 was before logs were read.
  (old) => ({ ...old, version: 7, logs: [] }),
  // Version 7 was before test cards, the logbook and schools.
  (old) => ({ ...old, version: 8, testCards: [], marks: [], entries: [], attachments: [], rules: [], handIns: [] }),
];

/**
 * Reads an archive of any version from the text of its file.
 *
 * @returns `future_version`, `archive_invalid` with the place of the first fault
 */
export async function readArchive(text: string): Promise<Outcome<ReadArchive>> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return failure("not_json", "This file is not JSON: it is damaged or something else. Nothing was imported.");
  }
  const head = z.object({ schema: z.literal("utrimax/account"), version: z.number() }).safeParse(value);
  if (!head.success) return failure("archive_invalid", "This is not an export of a Utrimax account.", "schema");
  if (head.data.version > ARCHIVE_VERSION)
    return failure(
      "future_version",
      `This export was written by a later Utrimax (version ${head.data.version}). Nothing was imported.`,
      "version",
    );
  const parsed = AccountArchive.safeParse(
    STEPS.slice(head.data.version - 1).reduce((old, step) => step(old), value as OldDocument),
  );
  if (!parsed.success) return { ok: false, issue: firstIssue(issuesOf(parsed.error)) };
  const { terrains: archived, flights: packed, logs: packedLogs, unreadable: _, ...rest } = parsed.data;
  const read: { id: string; name: string; packed: PackedTerrain }[] = [];
  for (const { id, name, elevations, ...frame } of archived) {
    const bytes = Buffer.from(elevations, "base64");
    const sound = await unpackElevations(bytes, frame).then(
      () => true,
      () => false,
    );
    if (!sound)
      return failure("archive_invalid", `The terrain “${name}” is damaged. Nothing was imported.`, "terrains");
    read.push({ id, name, packed: { frame, elevations: bytes, missingCells: 0 } });
  }
  const flown: PackedFlight[] = [];
  for (const [i, one] of packed.entries()) {
    const flight = await readFlight(Buffer.from(one, "base64"));
    if (!flight.ok)
      return failure("archive_invalid", `flights.${i}: ${flight.issue.message} Nothing was imported.`, "flights");
    flown.push(flight.value);
  }
  const logged: PackedLog[] = [];
  for (const [i, one] of packedLogs.entries()) {
    const log = await readSentLog(Buffer.from(one, "base64"));
    if (!log.ok) return failure("archive_invalid", `logs.${i}: ${log.issue.message} Nothing was imported.`, "logs");
    logged.push(log.value);
  }
  return success({ ...rest, terrains: read, flights: flown, logs: logged });
}

function firstIssue([first]: Issue[]): Issue {
  return {
    code: "archive_invalid",
    path: first.path,
    message: `${first.path || "The file"}: ${first.message} Nothing was imported.`,
  };
}
