import { describe, expect, it } from "vitest";
import { type CrewDid, type CrewEvent, type CrewRole, crewAt, refusalOf, rolesOf } from "./crew-run";
import { type DrillRun, givenAt } from "./drill-run";
import { jetFire } from "./library/jet";
import { singleInCruise } from "./library/single";

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
const line = (seq: number, time_s: number, role: CrewRole, did: CrewDid): CrewEvent => ({ seq, time_s, role, did });
const hand = (event: Extract<CrewDid, { kind: "hand" }>["event"]): CrewDid => ({ kind: "hand", event });
const LOG: readonly CrewEvent[] = [
  line(1, 0, "flying", { kind: "joined" }),
  line(2, 0, "monitoring", { kind: "joined" }),
  line(3, 0, "flying", { kind: "go" }),
  line(4, 2, "monitoring", hand({ type: "say", actor: "monitoring" })),
  line(5, 4, "flying", hand({ type: "say", actor: "flying" })),
  // The hand is on the wrong lever, the other names the wrong engine, then the right one.
  line(6, 6, "monitoring", hand({ type: "name", actor: "monitoring", side: "left" })),
  line(7, 8, "monitoring", hand({ type: "name", actor: "monitoring", side: "right" })),
  line(8, 9, "flying", hand({ type: "set", actor: "flying", control: "thrust", side: "right", position: "closed" })),
  line(9, 10, "instructor", { kind: "height", height_m: 1000 }),
  line(10, 11, "instructor", { kind: "note", text: "Good call" }),
];

describe("a crew's log", () => {
  it("leads to the same drill in any order, with lines twice, and with the instructor’s height", () => {
    const crew = crewAt(begun, LOG, 20);
    expect(crewAt(begun, [...LOG.toReversed(), LOG[3]], 20)).toEqual(crew);
    expect(crew).toMatchObject({ running: true, begun: true, roles: ["flying", "monitoring"] });
    expect(crew.notes.map(({ time_s }) => time_s)).toEqual([11]);
    expect(crew.state.drill.log.map(({ step, outcome }) => `${step}: ${outcome}`)).toEqual([
      "bell: done",
      "flying: done",
      "lever: wrong-engine",
      "lever: done",
    ]);
    expect(crew.state.drill.flown.height_m).toBeCloseTo(1000 - 4 * 10, 6);
    // From 15 s on it sinks faster: what the instructor has failed besides.
    const worse = crewAt(begun, [...LOG, line(11, 15, "instructor", { kind: "rate", climb_mps: -12 })], 20);
    expect(worse.state.drill.flown.height_m).toBeCloseTo(1000 - 4 * 5 - 12 * 5, 6);
    expect(givenAt(worse.run, 20)).toEqual({ time_s: 15, height_m: 980, climb_mps: -12 });
  });

  it("stands when somebody stops it, and has not begun before somebody goes", () => {
    expect(crewAt(begun, LOG.slice(0, 2), 0)).toMatchObject({ running: false, begun: false });
    expect(crewAt(begun, [...LOG, line(11, 12, "monitoring", { kind: "stop" })], 12).running).toBe(false);
  });

  it("a drill for two has three parts, one flown alone two", () => {
    expect(rolesOf(jetFire)).toEqual(["flying", "monitoring", "instructor"]);
    expect(rolesOf(singleInCruise)).toEqual(["single", "instructor"]);
  });

  it.each<[string, CrewRole, boolean, CrewDid, RegExp | null]>([
    ["one's own hand", "flying", true, hand({ type: "say", actor: "flying" }), null],
    ["another's hand", "flying", true, hand({ type: "say", actor: "monitoring" }), /somebody else’s/],
    ["a hand while it stands", "flying", false, hand({ type: "say", actor: "flying" }), /stands/],
    ["a step back", "monitoring", true, hand({ type: "back" }), null],
    ["a warning by a pilot", "flying", true, hand({ type: "warning", name: "fire", on: true }), /instructor/],
    ["a warning by the instructor", "instructor", false, hand({ type: "warning", name: "fire", on: true }), null],
    ["a lever by the instructor", "instructor", true, hand({ type: "say", actor: "instructor" }), /no hand/],
    ["a height by a pilot", "flying", true, { kind: "height", height_m: 5 }, /instructor/],
    ["a note by a pilot", "monitoring", true, { kind: "note", text: "x" }, /instructor/],
    ["a stop by anybody", "monitoring", true, { kind: "stop" }, null],
    ["joining without a code", "monitoring", true, { kind: "joined" }, /code/],
  ])("%s", (_, role, running, did, refused) => {
    const refusal = refusalOf(role, running, did);
    if (refused) expect(refusal).toMatch(refused);
    else expect(refusal).toBeNull();
  });
});
