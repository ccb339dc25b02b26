// Crews: a drill that several browsers run together, or a flight that several look at; members by tokens of their own,
// and a log of what they do.
import { createHash, randomBytes, randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { FLIGHT_ROLES, FlightDid, type FlightEvent, flightRefusalOf } from "@/core/exercise/flight-crew";
import { CrewDid, CrewRole, refusalOf, rolesOf } from "@/core/procedure/crew-run";
import type { DrillRun } from "@/core/procedure/drill-run";
import { LONGEST_RUN_S, RunDocument } from "@/core/procedure/run-document";
import { tellCrew } from "./crew-bus";
import { type Queryable, database, transaction } from "./database";
import { spokenCode, spokenCodeHash } from "./spoken-code";

const CODE_LENGTH = 8;
/** A crew lasts so long from its beginning. */
const CREW_HOURS = 12;
/** Crews that an account may have at a time, and lines of a log: a lever that is drawn is many. */
const MOST_CREWS = 20;
const MOST_EVENTS = { drill: 3000, flight: 20_000 } as const;

const tokenHash = (token: string) => createHash("sha256").update(token).digest();

/** A member, as his token says. */
export interface Member {
  readonly crewId: string;
  readonly role: CrewRole;
  /** What the crew runs, or looks at. */
  readonly of: "drill" | "flight";
}

/** A crew as its members see it. */
export interface SeenCrew {
  readonly id: string;
  readonly role: CrewRole;
  readonly aircraft: string;
  /** The drill; null of a flight. */
  readonly run: DrillRun | null;
}

const runOf = (stored: unknown): DrillRun | null =>
  stored === null ? null : (RunDocument.parse(JSON.parse(String(stored))) as DrillRun);

/**
 * Begins a crew.
 *
 * @param run - the drill; null for flights
 * @returns its id and the code to hand over, shown once; null when the account has too many
 */
export async function beginCrew(
  hostId: string,
  run: DrillRun | null,
  aircraft: string,
): Promise<{ id: string; code: string } | null> {
  // Counted by itself: a count within the insert would lock its neighbours, and two at once would wait for each other.
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT COUNT(*) AS n FROM crews WHERE host_id = ? AND created_at > NOW(3) - INTERVAL ${CREW_HOURS} HOUR`,
    [hostId],
  );
  if (Number(rows[0].n) >= MOST_CREWS) return null;
  const id = randomUUID();
  const code = spokenCode(CODE_LENGTH);
  await database().execute("INSERT INTO crews (id, host_id, code_hash, run, aircraft_name) VALUES (?, ?, ?, ?, ?)", [
    id,
    hostId,
    spokenCodeHash(code),
    run && JSON.stringify(run),
    aircraft,
  ]);
  return { id, code };
}

/** The parts of a crew and which are taken; null when there is no crew of that code any more. */
export async function crewOfCode(
  code: string,
): Promise<{ id: string; name: string; aircraft: string; roles: { role: CrewRole; taken: boolean }[] } | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, run, aircraft_name FROM crews
       WHERE code_hash = ? AND created_at > NOW(3) - INTERVAL ${CREW_HOURS} HOUR`,
    [spokenCodeHash(code)],
  );
  if (!rows[0]) return null;
  const run = runOf(rows[0].run);
  const [members] = await database().execute<RowDataPacket[]>("SELECT role FROM crew_members WHERE crew_id = ?", [
    rows[0].id,
  ]);
  const taken = members.map(({ role }) => role as CrewRole);
  return {
    id: String(rows[0].id),
    name: run ? run.procedure.name : "A flight by hand",
    aircraft: String(rows[0].aircraft_name),
    roles: (run ? rolesOf(run.procedure) : FLIGHT_ROLES).map((role) => ({ role, taken: taken.includes(role) })),
  };
}

/**
 * Joins a crew in a part that is free.
 *
 * @returns the token that makes the browser a member; `no_such_crew`, `taken`
 */
export async function joinCrew(
  code: string,
  role: CrewRole,
): Promise<{ id: string; token: string } | "no_such_crew" | "taken"> {
  const crew = await crewOfCode(code);
  if (!crew?.roles.some((part) => part.role === role)) return "no_such_crew";
  const token = randomBytes(32).toString("base64url");
  const [result] = await database().execute(
    "INSERT IGNORE INTO crew_members (crew_id, role, token_hash) VALUES (?, ?, ?)",
    [crew.id, role, tokenHash(token)],
  );
  if ((result as { affectedRows: number }).affectedRows === 0) return "taken";
  await append(crew.id, role, { kind: "joined" }, () => null);
  return { id: crew.id, token };
}

/** Whose token it is, in a crew of that id; null for nobody's. */
export async function memberOf(crewId: string, token: string | undefined): Promise<Member | null> {
  if (token === undefined) return null;
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT crew_members.crew_id, role, run IS NULL AS flies FROM crew_members JOIN crews ON crews.id = crew_members.crew_id
       WHERE crew_id = ? AND token_hash = ? AND created_at > NOW(3) - INTERVAL ${CREW_HOURS} HOUR`,
    [crewId, tokenHash(token)],
  );
  if (!rows[0]) return null;
  const of = rows[0].flies ? "flight" : "drill";
  return { crewId: String(rows[0].crew_id), role: CrewRole.parse(rows[0].role), of };
}

/** The crew of a member. */
export async function crewOf({ crewId, role }: Member): Promise<SeenCrew | null> {
  const [rows] = await database().execute<RowDataPacket[]>("SELECT run, aircraft_name FROM crews WHERE id = ?", [
    crewId,
  ]);
  if (!rows[0]) return null;
  return { id: crewId, role, aircraft: String(rows[0].aircraft_name), run: runOf(rows[0].run) };
}

const CLOCK = `elapsed_s + IF(running_since IS NULL, 0,
  TIMESTAMPDIFF(MICROSECOND, running_since, NOW(6)) / 1000000) AS time_s, running_since IS NOT NULL AS running`;

/** The clock of a crew's drill. */
export async function crewClock(crewId: string): Promise<{ time_s: number; running: boolean }> {
  const [rows] = await database().execute<RowDataPacket[]>(`SELECT ${CLOCK} FROM crews WHERE id = ?`, [crewId]);
  return { time_s: Number(rows.at(0)?.time_s ?? 0), running: Boolean(rows.at(0)?.running) };
}

/**
 * Adds something that a member has done to his crew's log.
 *
 * @returns its place in the log, or why he may not
 */
export async function doAsMember({ crewId, role, of }: Member, did: FlightDid): Promise<number | string> {
  if (of === "flight") return append(crewId, role, did, () => flightRefusalOf(role, did));
  const drill = CrewDid.safeParse(did);
  if (!drill.success) return "Nothing flies in a drill.";
  return append(crewId, role, drill.data, (running) => refusalOf(role, running, drill.data));
}

async function append(
  crewId: string,
  role: CrewRole,
  did: FlightDid,
  refusal: (running: boolean) => string | null,
): Promise<number | string> {
  const added = await transaction(async (connection): Promise<number | string> => {
    const [rows] = await connection.execute<RowDataPacket[]>(
      `SELECT last_seq, run IS NULL AS flies, ${CLOCK} FROM crews WHERE id = ? FOR UPDATE`,
      [crewId],
    );
    if (!rows[0]) return "There is no such crew any more.";
    const [running, time_s, seq] = [Boolean(rows[0].running), Number(rows[0].time_s), Number(rows[0].last_seq) + 1];
    const of = rows[0].flies ? "flight" : "drill";
    const refused = refusal(running);
    if (refused !== null) return refused;
    if (seq > MOST_EVENTS[of] || (of === "drill" && time_s > LONGEST_RUN_S))
      return `This ${of} has gone on for too long: begin another.`;
    const clock = of === "drill" && (did.kind === "go" || did.kind === "stop") ? did.kind : null;
    // Going on what goes, and stopping what stands, changes nothing.
    if ((clock === "go" && running) || (clock === "stop" && !running)) return seq - 1;
    await connection.execute("INSERT INTO crew_events (crew_id, seq, time_s, role, did) VALUES (?, ?, ?, ?, ?)", [
      crewId,
      seq,
      time_s,
      role,
      JSON.stringify(did),
    ]);
    await connection.execute("UPDATE crews SET last_seq = ? WHERE id = ?", [seq, crewId]);
    // A flight's clock is the one of the browser that flies.
    if (clock !== null)
      await connection.execute(
        `UPDATE crews SET elapsed_s = ?, running_since = IF(? = 'go', NOW(6), NULL) WHERE id = ?`,
        [time_s, clock, crewId],
      );
    return seq;
  });
  if (typeof added === "number") tellCrew(crewId);
  return added;
}

/** What a crew's log has after a place in it. */
export async function crewEventsAfter(crewId: string, seq: number): Promise<FlightEvent[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT seq, time_s, role, did FROM crew_events WHERE crew_id = ? AND seq > ? ORDER BY seq LIMIT 1000",
    [crewId, seq],
  );
  return rows.map((row) => ({
    seq: Number(row.seq),
    time_s: Number(row.time_s),
    role: CrewRole.parse(row.role),
    did: FlightDid.parse(JSON.parse(String(row.did))),
  }));
}

/** Removes crews that are over. */
export async function forgetOldCrews(connection: Queryable): Promise<void> {
  await connection.execute(`DELETE FROM crews WHERE created_at < NOW(3) - INTERVAL ${CREW_HOURS} HOUR`);
}
