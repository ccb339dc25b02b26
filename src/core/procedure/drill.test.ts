import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import {
  type Drill,
  type DrillEvent,
  type Side,
  afterEvent,
  beginDrill,
  controlKey,
  endOfWait_s,
  isOver,
} from "./drill";
import { jetFire } from "./library/jet";
import { PROCEDURES } from "./library/procedures";
import { singleForcedLanding, singleInCruise } from "./library/single";
import { twinInCruise } from "./library/twin";
import { twinRestart } from "./library/twin-more";
import type { Actor, Procedure, Step } from "./procedure";
import { rightEvents } from "./right-way";

const START = { flown: { time_s: 0, height_m: 900, speed_mps: 45 }, propeller: "windmilling" };
const deadOf = ({ controls }: Procedure): Side => (controls.some(({ perEngine }) => perEngine) ? "right" : null);
const begin = (procedure: Procedure) => beginDrill(procedure, { ...START, dead: deadOf(procedure) });

/** What is right at a step, and the time or height that it waits for. */
function rightly(procedure: Procedure, drill: Drill, step: Step, answer = 0): DrillEvent[] {
  const { flown } = drill;
  const time_s = flown.time_s + (step.kind === "wait" ? step.wait_s : 10);
  if (step.kind === "wait") return [{ type: "passes", flown: { ...flown, time_s } }];
  if (step.kind === "passing") return [{ type: "passes", flown: { ...flown, time_s, height_m: step.value } }];
  return rightEvents(step, deadOf(procedure), answer);
}

const fly = (procedure: Procedure, drill: Drill, events: readonly DrillEvent[]) =>
  events.reduce((now, event) => afterEvent(procedure, now, event, deadOf(procedure)), drill);

/** Flies every way through a procedure; the drills that come out. */
function everyWay(procedure: Procedure, drill: Drill, depth = 0): Drill[] {
  if (isOver(procedure, drill)) return [drill];
  if (depth > 200) throw new Error("a way without an end");
  const step = procedure.steps[drill.at];
  const answers = step.kind === "ask" ? step.answers.map((_, i) => i) : [0];
  return answers.flatMap((answer) =>
    everyWay(procedure, fly(procedure, drill, rightly(procedure, drill, step, answer)), depth + 1),
  );
}
const outcomes = ({ log }: Drill) => log.map(({ step, outcome }) => `${step}: ${outcome}`);
/** Rightly up to a step. */
function upTo(procedure: Procedure, id: string): Drill {
  let drill = begin(procedure);
  for (let i = 0; i < 100 && procedure.steps[drill.at].id !== id; i += 1)
    drill = fly(procedure, drill, rightly(procedure, drill, procedure.steps[drill.at]));
  return drill;
}

describe("every procedure of the library", () => {
  it.each(PROCEDURES.map((procedure) => [procedure.name, procedure] as const))(
    "%s: every way through it ends, nothing wrong",
    (_, procedure) => {
      const flown = everyWay(procedure, begin(procedure));
      expect(flown.length).toBeGreaterThan(0);
      for (const { log } of flown) {
        expect(log.every(({ outcome }) => ["done", "passed-over"].includes(outcome))).toBe(true);
        expect(log.at(-1)?.step).toBe(
          procedure.steps.filter(({ kind }) => kind === "end").find(({ id }) => id === log.at(-1)?.step)?.id,
        );
      }
      // Every step is flown on one way or another.
      const seen = new Set(flown.flatMap(({ log }) => log.map(({ step }) => step)));
      const loops = procedure.steps.filter(({ kind }) => kind === "again").map(({ id }) => id);
      expect(procedure.steps.map(({ id }) => id).filter((id) => !seen.has(id) && !loops.includes(id))).toEqual([]);
    },
  );

  it("any order of events leaves a drill that can go on or is over, and the same again gives the same", () => {
    const actor = fc.constantFrom<Actor>("single", "flying", "monitoring", "instructor");
    const side = fc.constantFrom<Side>("left", "right", null);
    const event = (procedure: Procedure): fc.Arbitrary<DrillEvent> =>
      fc.oneof(
        fc.record({
          type: fc.constant("set" as const),
          actor,
          control: fc.constantFrom("no such", ...procedure.controls.map(({ id }) => id)),
          side,
          position: fc.constantFrom("no such", ...procedure.controls.flatMap(({ positions }) => positions)),
        }),
        fc.record({ type: fc.constant("say" as const), actor }),
        fc.record({
          type: fc.constant("name" as const),
          actor,
          side: fc.constantFrom("left" as const, "right" as const),
        }),
        fc.record({
          type: fc.constant("answer" as const),
          actor,
          answer: fc.constantFrom(
            "no such",
            ...procedure.steps.flatMap((step) => (step.kind === "ask" ? step.answers.map(({ answer }) => answer) : [])),
          ),
        }),
        fc.record({
          type: fc.constant("passes" as const),
          flown: fc.record({
            time_s: evenly(0, 2000),
            height_m: evenly(0, 3000),
            speed_mps: evenly(0, 100),
          }),
        }),
        fc.record({ type: fc.constant("warning" as const), name: fc.constantFrom("fire", "oil"), on: fc.boolean() }),
        fc.constant({ type: "back" as const }),
      );
    const drills = fc
      .constantFrom(...PROCEDURES)
      .chain((procedure) => fc.array(event(procedure), { maxLength: 60 }).map((events) => ({ procedure, events })));
    fc.assert(
      fc.property(drills, ({ procedure, events }) => {
        const drill = fly(procedure, begin(procedure), events);
        expect(drill.at).toBeGreaterThanOrEqual(0);
        expect(drill.at).toBeLessThanOrEqual(procedure.steps.length);
        const step = procedure.steps.at(drill.at);
        if (!isOver(procedure, drill)) expect(["set", "say", "wait", "ask", "passing"]).toContain(step?.kind);
        for (const [key, position] of Object.entries(drill.positions))
          expect(procedure.controls.find(({ id }) => key.split(":")[0] === id)?.positions).toContain(position);
        expect(fly(procedure, begin(procedure), events)).toEqual(drill);
      }),
      { seed: 16, numRuns: 300 },
    );
  });
});

describe("what is done wrong is told, and the step stays due", () => {
  it("the wrong engine, named by the other of the crew, is not confirmed; nothing is set without a word", () => {
    const due = upTo(jetFire, "cut");
    const set = (side: Side): DrillEvent => ({
      type: "set",
      actor: "flying",
      control: "fuel",
      side,
      position: "cut off",
    });
    const wrong = fly(jetFire, due, [
      set("right"),
      { type: "name", actor: "monitoring", side: "left" },
      set("left"),
      { type: "name", actor: "flying", side: "right" },
    ]);
    expect(outcomes(wrong).slice(-4)).toEqual([
      "cut: unconfirmed",
      "cut: wrong-engine",
      "cut: wrong-engine",
      "cut: unconfirmed",
    ]);
    expect(wrong.at).toBe(due.at);
    expect(wrong.positions[controlKey("fuel", "left")]).toBe("on");
    const right = fly(jetFire, wrong, [{ type: "name", actor: "monitoring", side: "right" }, set("right")]);
    expect(right.positions[controlKey("fuel", "right")]).toBe("cut off");
    expect(jetFire.steps[right.at].id).toBe("pull");
  });

  it("the second bottle waits thirty seconds, and is not fired where the lamp is out", () => {
    const waiting = upTo(jetFire, "thirty");
    const early = fly(jetFire, waiting, [
      { type: "passes", flown: { ...waiting.flown, time_s: waiting.flown.time_s + 29.9 } },
      { type: "set", actor: "monitoring", control: "bottle-2", side: "right", position: "fired" },
    ]);
    expect(outcomes(early).at(-1)).toBe("thirty: too-early");
    const asked = fly(jetFire, early, [
      { type: "passes", flown: { ...waiting.flown, time_s: waiting.flown.time_s + 30 } },
    ]);
    expect(jetFire.steps[asked.at].id).toBe("lamp");
    const said: DrillEvent = { type: "answer", actor: "flying", answer: "it is out" };
    // It still burns: look again.
    expect(outcomes(fly(jetFire, asked, [said])).at(-1)).toBe("lamp: wrong-answer");
    const out = fly(jetFire, asked, [{ type: "warning", name: "fire", on: false }, said]);
    expect(jetFire.steps[out.at].id).toBe("list");
    expect(out.positions[controlKey("bottle-2", "right")]).toBe("full");
  });

  it("the clock of the bottle runs from when it was fired, whatever was done meanwhile", () => {
    const fired = upTo(jetFire, "thirty");
    expect(endOfWait_s({ kind: "wait", wait_s: 30, since: "one" } as never, fired)).toBe(fired.flown.time_s + 30);
    const later = { ...fired, due_s: fired.due_s + 12 };
    expect(endOfWait_s({ kind: "wait", wait_s: 30, since: "one" } as never, later)).toBe(fired.flown.time_s + 30);
    expect(endOfWait_s({ kind: "wait", wait_s: 30, since: null } as never, later)).toBe(later.due_s + 30);
  });

  // common practice: the propeller control leaves feather before the starter turns.
  it("the starter before the propeller has left feather is out of order, and told which comes later", () => {
    const due = upTo(twinRestart, "unfeather");
    const early = fly(twinRestart, due, [
      { type: "set", actor: "single", control: "starter", side: "right", position: "turning" },
    ]);
    expect(early.log.at(-1)).toMatchObject({ step: "unfeather", outcome: "wrong-order", meant: "starter-on" });
    expect(early.positions[controlKey("starter", "right")]).toBe("off");
  });

  it("both mixtures are set before it is done; the wrong control, position and actor are named", () => {
    const due = upTo(twinInCruise, "mixtures");
    const mixture = (side: Side, position = "rich"): DrillEvent => ({
      type: "set",
      actor: "single",
      control: "mixture",
      side,
      position,
    });
    const one = fly(twinInCruise, due, [mixture("left")]);
    expect(one.at).toBe(due.at);
    expect(fly(twinInCruise, one, [mixture("right")]).at).toBe(due.at + 1);
    const wrong = fly(twinInCruise, due, [
      mixture("left", "cut off"),
      { type: "set", actor: "single", control: "throttle", side: "left", position: "full" },
      { type: "say", actor: "flying" },
    ]);
    expect(outcomes(wrong).slice(-3)).toEqual([
      "mixtures: wrong-position",
      "mixtures: wrong-order",
      "mixtures: wrong-actor",
    ]);
    expect(wrong.log.at(-2)?.meant).toBe("throttles");
    const gear = fly(twinInCruise, due, [
      { type: "set", actor: "single", control: "gear", side: null, position: "down" },
    ]);
    expect(outcomes(gear).at(-1)).toBe("mixtures: wrong-control");
  });

  it("is slow when it takes longer than it should, to the second", () => {
    const after = (time_s: number) =>
      fly(singleInCruise, begin(singleInCruise), [
        { type: "passes", flown: { ...START.flown, time_s } },
        { type: "say", actor: "single" },
      ]).log[0];
    expect(after(5)).toMatchObject({ outcome: "done", took_s: 5 });
    expect(after(5.1)).toMatchObject({ outcome: "slow", took_s: 5.1 });
  });

  it("waits for a height to be passed, and going back is counted", () => {
    const due = upTo(singleForcedLanding, "certain");
    const high = fly(singleForcedLanding, due, [
      { type: "passes", flown: { time_s: 60, height_m: 92, speed_mps: 35 } },
    ]);
    expect(high.at).toBe(due.at);
    const low = fly(singleForcedLanding, due, [{ type: "passes", flown: { time_s: 61, height_m: 91, speed_mps: 35 } }]);
    expect(low.at).toBe(due.at + 1);
    const back = fly(singleForcedLanding, low, [{ type: "back" }]);
    expect(outcomes(back).at(-1)).toBe("certain: back");
    expect(back.at).toBe(due.at);
    expect(fly(singleForcedLanding, begin(singleForcedLanding), [{ type: "back" }]).log).toEqual([]);
  });

  it("what does not apply is passed over", () => {
    const onlyLow = { what: "height", is: "below", value: 300, name: null } as const;
    const procedure = {
      ...singleInCruise,
      steps: singleInCruise.steps.map((step) => (step.id === "tank" ? { ...step, when: onlyLow } : step)),
    };
    expect(outcomes(upTo(procedure, "pump-on")).at(-1)).toBe("tank: passed-over");
  });
});
