// Crews against a real database: who is of one, what he may do, what the others hear.
import { afterAll, describe, expect, it } from "vitest";
import { type CrewDid, crewAt } from "@/core/procedure/crew-run";
import type { DrillRun } from "@/core/procedure/drill-run";
import { jetFire } from "@/core/procedure/library/jet";
import { createGuest } from "./accounts";
import { crewStream } from "./crew-stream";
import { beginCrew, crewClock, crewEventsAfter, crewOf, crewOfCode, doAsMember, joinCrew, memberOf } from "./crews";
import { database, transaction } from "./database";
import { sweep } from "./sweep";

const guests: string[] = [];
async function guest(): Promise<string> {
  const id = await transaction(createGuest);
  guests.push(id);
  return id;
}

afterAll(async () => {
  for (const id of guests) await database().execute("DELETE FROM accounts WHERE id = ?", [id]);
  await database().end();
});

const begun: DrillRun = {
  procedure: jetFire,
  dead: "right",
  propeller: "windmilling",
  height_m: 2800,
  speed_mps: 105,
  climb_mps: -4,
  lampGoes: false,
  events: [],
};
const SAY: CrewDid = { kind: "hand", event: { type: "say", actor: "monitoring" } };

/** A crew of two that has begun. */
async function crew() {
  const host = await guest();
  const made = await beginCrew(host, begun, "Cedar J2");
  if (!made) throw new Error("no crew");
  const join = async (role: "flying" | "monitoring" | "instructor") => {
    const joined = await joinCrew(made.code.toLowerCase(), role);
    if (typeof joined === "string") throw new Error(joined);
    const member = await memberOf(made.id, joined.token);
    if (!member) throw new Error("no member");
    return { ...member, token: joined.token };
  };
  return { ...made, host, flying: await join("flying"), monitoring: await join("monitoring") };
}

describe("a crew", () => {
  it("is joined by its code, each part once, and nobody else is of it", async () => {
    const one = await crew();
    const other = await crew();
    expect(await joinCrew(one.code, "flying")).toBe("taken");
    expect(await joinCrew("AAAA-AAAA", "flying")).toBe("no_such_crew");
    expect(await joinCrew(one.code, "single")).toBe("no_such_crew");
    expect((await crewOfCode(one.code))?.roles).toEqual([
      { role: "flying", taken: true },
      { role: "monitoring", taken: true },
      { role: "instructor", taken: false },
    ]);
    // A token of another crew opens nothing here.
    expect(await memberOf(one.id, other.flying.token)).toBeNull();
    expect(await memberOf(one.id, undefined)).toBeNull();
    expect(await crewOf(one.flying)).toMatchObject({ id: one.id, role: "flying", aircraft: "Cedar J2", run: begun });
  });

  it("its log has no gap, whoever does something at the same time, and another crew's is another", async () => {
    const [one, other] = [await crew(), await crew()];
    await doAsMember(one.flying, { kind: "go" });
    expect(await doAsMember(one.flying, SAY)).toMatch(/somebody else/);
    expect(await doAsMember(other.monitoring, SAY)).toMatch(/stands/);
    await Promise.all(Array.from({ length: 10 }, () => doAsMember(one.monitoring, SAY)));
    const events = await crewEventsAfter(one.id, 0);
    expect(events.map(({ seq }) => seq)).toEqual(events.map((_, i) => i + 1));
    expect(events.filter(({ did }) => did.kind === "hand")).toHaveLength(10);
    expect((await crewEventsAfter(other.id, 0)).map(({ did }) => did.kind)).toEqual(["joined", "joined"]);
    expect(crewAt(begun, events, 1).state.drill.log[0]).toMatchObject({ step: "bell", outcome: "done" });
  });

  it("its clock stands while the drill does", async () => {
    const one = await crew();
    expect(await crewClock(one.id)).toEqual({ time_s: 0, running: false });
    await doAsMember(one.flying, { kind: "go" });
    await new Promise((done) => setTimeout(done, 60));
    await doAsMember(one.monitoring, { kind: "stop" });
    const stopped = await crewClock(one.id);
    expect(stopped.running).toBe(false);
    expect(stopped.time_s).toBeGreaterThan(0.05);
    await new Promise((done) => setTimeout(done, 60));
    expect(await crewClock(one.id)).toEqual(stopped);
    // Stopping what stands is no line of the log.
    const before = (await crewEventsAfter(one.id, 0)).length;
    await doAsMember(one.monitoring, { kind: "stop" });
    expect(await crewEventsAfter(one.id, 0)).toHaveLength(before);
  });

  it("what one does the other hears, from where he was when his line was lost", async () => {
    const one = await crew();
    const listen = (after: number) => {
      const gone = new AbortController();
      let ended = 0;
      const reader = crewStream(one.id, after, gone.signal, () => (ended += 1)).getReader();
      const seqs: number[] = [];
      const heard = async (until: number) => {
        while (!seqs.includes(until)) {
          const { value, done } = await reader.read();
          if (done) return;
          for (const [, seq] of new TextDecoder().decode(value).matchAll(/^id: (\d+)$/gm)) seqs.push(Number(seq));
        }
      };
      return { seqs, heard, leave: () => gone.abort(), ended: () => ended };
    };
    const first = listen(0);
    await first.heard(2);
    await doAsMember(one.flying, { kind: "go" });
    await first.heard(3);
    expect(first.seqs).toEqual([1, 2, 3]);
    first.leave();
    expect(first.ended()).toBe(1);
    await doAsMember(one.monitoring, SAY);
    await doAsMember(one.monitoring, SAY);
    const again = listen(3);
    await again.heard(5);
    expect(again.seqs).toEqual([4, 5]);
    again.leave();
  });

  it("is over after twelve hours, and swept; an account has twenty at a time", async () => {
    const one = await crew();
    for (let i = 0; i < 19; i += 1) expect(await beginCrew(one.host, begun, "Cedar J2")).not.toBeNull();
    expect(await beginCrew(one.host, begun, "Cedar J2")).toBeNull();
    await database().execute("UPDATE crews SET created_at = NOW(3) - INTERVAL 13 HOUR WHERE host_id = ?", [one.host]);
    expect(await memberOf(one.id, one.flying.token)).toBeNull();
    expect(await crewOfCode(one.code)).toBeNull();
    await sweep();
    expect(await crewEventsAfter(one.id, 0)).toEqual([]);
    expect(await doAsMember(one.flying, { kind: "go" })).toMatch(/no such crew/);
  });
});
