// Everything of an account as one file, and back: copies under new ids, references kept.
import { randomUUID } from "node:crypto";
import { copyOf } from "@/core/places/new-place";
import { type Outcome, failure, success } from "@/core/outcome";
import type { Account } from "./accounts";
import { savePreferences } from "./accounts";
import { addAircraft, aircraftAmong, listOwnAircraft } from "./aircraft";
import { ARCHIVE_VERSION, type AccountArchive, type ReadArchive } from "./archive";
import { addAttachment, everyAttachment } from "./attachments";
import { marksOf, putMarks } from "./card-marks";
import { type Queryable, database } from "./database";
import { addFlight, everyFlight } from "./flights";
import { ownHandIns } from "./lessons";
import { everyLog, putLog } from "./logs";
import { addPlace, listPlaces } from "./places";
import { newOwnId, ownEntries, ownFlightTests, ownProcedures, ownRules, ownTestCards } from "./own-documents";
import type { UnreadableRow } from "./readable-rows";
import { QUOTAS } from "./quotas";
import { addReviews, listReviews } from "./reviews";
import { bytesOf, storing } from "./room";
import { addRun, everyRun } from "./runs";
import { addSituation, listSituations } from "./situations";
import { addTerrain, hasTerrain, listTerrains, terrainElevations } from "./terrains";

/** Everything that belongs to an account. */
export async function exportAccount(account: Account): Promise<AccountArchive> {
  const unreadable: UnreadableRow[] = [];
  const terrains = await listTerrains(account.id);
  const testCards = (await ownTestCards.list(account.id, unreadable)).map(({ document }) => document);
  return {
    schema: "utrimax/account",
    version: ARCHIVE_VERSION,
    preferences: account.preferences,
    aircraft: (await listOwnAircraft(account.id, unreadable)).map(({ id, document }) => ({ id, document })),
    places: (await listPlaces(account.id, unreadable)).map(({ document }) => document),
    situations: (await listSituations(account.id, unreadable)).map(({ id, document }) => ({ id, document })).reverse(),
    terrains: await Promise.all(
      terrains.map(async ({ id, name, frame }) => ({
        id,
        name,
        ...frame,
        elevations: ((await terrainElevations(account.id, id))?.elevations ?? Buffer.alloc(0)).toString("base64"),
      })),
    ),
    procedures: (await ownProcedures.list(account.id, unreadable)).map(({ document }) => document),
    flightTests: (await ownFlightTests.list(account.id, unreadable)).map(({ document }) => document),
    runs: await everyRun(account.id, unreadable),
    flights: (await everyFlight(account.id)).map((packed) => packed.toString("base64")),
    logs: (await everyLog(account.id)).map((packed) => packed.toString("base64")),
    reviews: await listReviews(account.id, MOST_ARCHIVED),
    testCards,
    marks: await Promise.all(testCards.map(async ({ id }) => ({ cardId: id, marks: await marksOf(id, database()) }))),
    entries: (await ownEntries.list(account.id, unreadable)).map(({ document }) => document),
    attachments: await everyAttachment(account.id),
    rules: (await ownRules.list(account.id, unreadable)).map(({ document }) => document),
    handIns: (await ownHandIns(account.id, unreadable)).map(
      ({ school, lesson, exerciseId, result, handedAt, signed, signedAt, signedBy, words }) => ({
        school,
        lesson,
        exerciseId,
        result,
        handedAt,
        signed,
        signedAt,
        signedBy,
        words,
      }),
    ),
    unreadable,
  };
}

/** All answers go out, not only those that move what is remembered. */
const MOST_ARCHIVED = QUOTAS.user.reviews;

/** How much an import brought. */
export interface ImportCount {
  readonly aircraft: number;
  readonly places: number;
  readonly situations: number;
  readonly terrains: number;
}

/**
 * Adds everything of an archive to an account, all or nothing.
 *
 * @returns `archive_invalid` when a situation flies an aircraft that is nowhere; nothing is stored then
 * @throws {AccountFull} when there is no room for all of it
 */
export async function importAccount(account: Account, archive: ReadArchive): Promise<Outcome<ImportCount>> {
  const arriving = new Set(archive.aircraft.map(({ id }) => id));
  const elsewhere = archive.situations.map(({ document }) => document.aircraftId).filter((id) => !arriving.has(id));
  const known = await aircraftAmong(account.id, elsewhere);
  const stranded = archive.situations.find(
    ({ document: { aircraftId } }) => !arriving.has(aircraftId) && !known.has(aircraftId),
  );
  if (stranded)
    return failure(
      "archive_invalid",
      `The situation “${stranded.document.name}” needs an aircraft that is neither in the file nor in this library. Nothing was imported.`,
      "situations",
    );
  const knownTerrains = new Set<string>();
  for (const { document } of archive.situations)
    if (document.terrainId !== null && (await hasTerrain(account.id, document.terrainId)))
      knownTerrains.add(document.terrainId);
  const { aircraft, places, situations, terrains, procedures, flightTests, runs, flights, logs, reviews } = archive;
  const { testCards, marks, entries, attachments, rules } = archive;
  const files = attachments.map(({ content, ...about }) => ({ ...about, bytes: Buffer.from(content, "base64") }));
  const documents = [
    ...testCards,
    ...entries,
    ...rules,
    ...[...aircraft, ...situations].map(({ document }) => document),
    ...places,
    ...procedures,
    ...flightTests,
    ...runs.map(({ run }) => run),
  ].reduce<number>((sum, document) => sum + bytesOf(document), 0);
  const adding = {
    aircraft: aircraft.length,
    situations: situations.length,
    places: places.length,
    terrains: terrains.length,
    procedures: procedures.length,
    flightTests: flightTests.length,
    runs: runs.length,
    flights: flights.length,
    logs: logs.length,
    reviews: reviews.length,
    testCards: testCards.length,
    entries: entries.length,
    rules: rules.length,
    attachments: files.length,
    bytes:
      documents +
      files.reduce((sum, { bytes }) => sum + bytes.byteLength, 0) +
      terrains.reduce((sum, { packed }) => sum + packed.elevations.byteLength, 0) +
      [...flights, ...logs].reduce((sum, { packed }) => sum + packed.byteLength, 0),
  };
  await storing(account.id, adding, async (connection) => {
    const aircraftIds = new Map<string, string>();
    for (const { id, document } of aircraft) aircraftIds.set(id, await addAircraft(account.id, document, connection));
    const terrainIds = new Map<string, string>();
    for (const { id, name, packed } of terrains)
      terrainIds.set(id, await addTerrain(account.id, name, packed, connection));
    for (const place of places) await addPlace(account.id, copyOf(place, randomUUID), connection);
    for (const { document } of situations) {
      const { aircraftId, terrainId } = document;
      const ground =
        terrainId === null ? null : (terrainIds.get(terrainId) ?? (knownTerrains.has(terrainId) ? terrainId : null));
      await addSituation(
        account.id,
        { ...document, terrainId: ground, aircraftId: aircraftIds.get(aircraftId) ?? aircraftId },
        connection,
      );
    }
    // Copies, like everything that comes in; what was made from one of them is made from its copy.
    const procedureIds = new Map(procedures.map(({ id }) => [id, newOwnId()]));
    for (const procedure of procedures)
      await ownProcedures.add(
        account.id,
        {
          ...procedure,
          id: procedureIds.get(procedure.id) ?? procedure.id,
          madeFrom: procedureIds.get(procedure.madeFrom ?? "") ?? procedure.madeFrom,
        },
        connection,
      );
    for (const test of flightTests) await ownFlightTests.add(account.id, { ...test, id: newOwnId() }, connection);
    for (const run of runs) await addRun(account.id, run, connection);
    await putRecords(account.id, { testCards, marks, entries, rules, files }, connection);
    for (const flight of flights) await addFlight(account.id, flight, connection);
    for (const one of logs) await putLog(account.id, one, connection);
    await addReviews(account.id, reviews, connection);
    await savePreferences(account.id, { ...account.preferences, ...archive.preferences }, connection);
  });
  return success({
    aircraft: aircraft.length,
    places: places.length,
    situations: situations.length,
    terrains: terrains.length,
  });
}

/** What is kept of series and logbook, as copies under new ids. */
async function putRecords(
  accountId: string,
  {
    testCards,
    marks,
    entries,
    rules,
    files,
  }: Pick<ReadArchive, "testCards" | "marks" | "entries" | "rules"> & {
    readonly files: readonly (Omit<ReadArchive["attachments"][number], "content"> & { readonly bytes: Buffer })[];
  },
  connection: Queryable,
): Promise<void> {
  const cardIds = new Map(testCards.map(({ id }) => [id, newOwnId()]));
  for (const card of testCards)
    await ownTestCards.add(accountId, { ...card, id: cardIds.get(card.id) ?? newOwnId() }, connection);
  for (const one of marks) {
    const cardId = cardIds.get(one.cardId);
    if (cardId !== undefined) await putMarks(cardId, one.marks, connection);
  }
  const entryIds = new Map(entries.map(({ id }) => [id, newOwnId()]));
  for (const entry of entries)
    await ownEntries.add(accountId, { ...entry, id: entryIds.get(entry.id) ?? newOwnId() }, connection);
  for (const { entryId, name, type, bytes } of files) {
    const entry = entryIds.get(entryId);
    if (entry !== undefined)
      await addAttachment(accountId, { id: randomUUID(), entryId: entry, name, type }, bytes, connection);
  }
  for (const rule of rules) await ownRules.add(accountId, { ...rule, id: newOwnId() }, connection);
}
