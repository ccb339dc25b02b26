// Crews against a real database: who is of one, what he may do, what the others hear.
import { afterAll, describe, expect, it } from "vitest";
import { type FlightDid, isOfDrill } from "@/core/exercise/flight-crew";
import { type CrewDid, crewAt } from "@/core/procedure/crew-run";
import type { DrillRun } from "@/core/procedure/drill-run";
import { jetFire } from "@/core/procedure/library/jet";
import { createGuest } from "./accounts";
import { demoAircraft } from "../../demo/read-demo";
import { type Shown, showFlight, shownSince } from "./crew-shown";
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
    expect(crewAt(begun, events.filter(isOfDrill), 1).state.drill.log[0]).toMatchObject({
      step: "bell",
      outcome: "done",
    });
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
      const reader = crewStream(one.monitoring, after, gone.signal, () => (ended += 1)).getReader();
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

describe("a crew of a flight", () => {
  /** One who flies, one who monitors, an instructor. */
  async function flightCrew() {
    const host = await guest();
    const made = await beginCrew(host, null, "Alder S1");
    if (!made) throw new Error("no crew");
    const join = async (role: "flying" | "monitoring" | "instructor") => {
      const joined = await joinCrew(made.code, role);
      if (typeof joined === "string") throw new Error(joined);
      const member = await memberOf(made.id, joined.token);
      if (!member) throw new Error("no member");
      return member;
    };
    const [flying, monitoring, instructor] = [await join("flying"), await join("monitoring"), await join("instructor")];
    return { ...made, flying, monitoring, instructor };
  }
  const flight: Shown["flight"] = {
    words: "Alder S1, from Skerrow 29.",
    aircraft: demoAircraft("alder-s1"),
    mass_kg: 1000,
    origin: { latitude_deg: -47.1, longitude_deg: -130.9 },
    ends: [],
    wind: { east_mps: 3, north_mps: 0 },
    bank_rad: 1,
    procedure: null,
  };

  it("has three parts, no drill, and each does what is his", async () => {
    const one = await flightCrew();
    expect(await crewOfCode(one.code)).toMatchObject({
      name: "A flight by hand",
      aircraft: "Alder S1",
      roles: [{ role: "flying" }, { role: "monitoring" }, { role: "instructor" }],
    });
    expect(await crewOf(one.instructor)).toMatchObject({ role: "instructor", run: null });
    const fail: FlightDid = { kind: "fail", what: { kind: "fire", engine: 0 }, when: { what: "above", value: 150 } };
    expect(await doAsMember(one.monitoring, fail)).toMatch(/instructor/);
    expect(await doAsMember(one.instructor, fail)).toBe(4);
    expect(await doAsMember(one.instructor, { kind: "set", control: 6, value: 0 })).toMatch(/monitors/);
    expect(await doAsMember(one.monitoring, { kind: "set", control: 6, value: 0 })).toBe(5);
    // What stands may be stopped: whether it goes is known where it is flown.
    expect(await doAsMember(one.instructor, { kind: "stop" })).toBe(6);
    expect((await crewEventsAfter(one.id, 3)).map(({ did }) => did)).toEqual([
      fail,
      { kind: "set", control: 6, value: 0 },
      { kind: "stop" },
    ]);
    const drill = await crew();
    expect(await doAsMember(drill.flying, { kind: "calm" })).toBe("Nothing flies in a drill.");
  });

  it("is shown by the one who flies alone, and had once by those who look on; a note stands at its time", async () => {
    const one = await flightCrew();
    expect(await showFlight(one.instructor, { drill: null })).toMatch(/who flies/);
    expect(await showFlight((await crew()).flying, { drill: null })).toMatch(/who flies/);
    expect(await showFlight(one.flying, { flight, drill: null })).toBeNull();
    const first = await shownSince(one.id, {});
    expect(first.map(({ part, revision }) => [part, revision])).toEqual([
      ["drill", 1],
      ["flight", 1],
    ]);
    expect(JSON.parse(first[1].body)).toEqual(flight);
    await showFlight(one.flying, { drill: null });
    expect((await shownSince(one.id, { drill: 1, flight: 1 })).map(({ part }) => part)).toEqual(["drill"]);
    expect(await shownSince((await flightCrew()).id, {})).toEqual([]);

    const now = { view: { time_s: 42.5 } } as NonNullable<Shown["now"]>;
    await showFlight(one.flying, { now });
    await doAsMember(one.instructor, { kind: "note", text: "late" });
    expect((await crewEventsAfter(one.id, 3))[0]).toMatchObject({ time_s: 42.5, did: { kind: "note" } });
  });

  it("streams what is shown to those who look on, and not to him who shows it", async () => {
    const one = await flightCrew();
    await showFlight(one.flying, { flight, drill: null });
    const heardBy = async (member: typeof one.flying, until: string) => {
      const gone = new AbortController();
      const reader = crewStream(member, 0, gone.signal, () => undefined).getReader();
      let text = "";
      while (!text.includes(until)) text += new TextDecoder().decode((await reader.read()).value);
      gone.abort();
      return text;
    };
    const seen = await heardBy(one.instructor, "event: clock");
    expect(seen.match(/event: shown/g)).toHaveLength(2);
    const [, told] = /event: shown\ndata: (\{"part":"flight".*)\n/.exec(seen) ?? [];
    expect(JSON.parse(told)).toEqual({ part: "flight", body: flight });
    expect(await heardBy(one.flying, "event: clock")).not.toContain("shown");
  });
});
