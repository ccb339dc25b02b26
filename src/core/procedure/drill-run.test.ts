import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import type { DrillEvent } from "./drill";
import {
  type DrillRun,
  type RunEvent,
  afterRunEvent,
  beginRun,
  isRunOver,
  runAt,
  runFrom,
  runUntil,
} from "./drill-run";
import { jetDitching, jetFire } from "./library/jet";
import { PROCEDURES } from "./library/procedures";
import { singleForcedLanding } from "./library/single";
import type { Procedure } from "./procedure";
import { rightRun } from "./right-way";
import { RunDocument, runResult } from "./run-document";

const run = (procedure: Procedure, more: Partial<DrillRun> = {}): DrillRun => ({
  procedure,
  dead: procedure.controls.some(({ perEngine }) => perEngine) ? "right" : null,
  propeller: "windmilling",
  height_m: 900,
  speed_mps: 40,
  climb_mps: -4,
  lampGoes: true,
  events: [],
  ...more,
});
const say = (time_s: number): RunEvent => ({ time_s, event: { type: "say", actor: "single" } });

/** What may be done to a procedure by hand, at times of its own. */
function eventsOf(procedure: Procedure): fc.Arbitrary<RunEvent[]> {
  const side = fc.constantFrom("left" as const, "right" as const);
  const actor = fc.constantFrom(...new Set(procedure.steps.map((step) => step.actor)));
  const sets = procedure.steps.flatMap((step) => (step.kind === "set" ? [step] : []));
  const event: fc.Arbitrary<Exclude<DrillEvent, { type: "passes" }>> = fc.oneof(
    fc.record({ type: fc.constant("say" as const), actor }),
    fc.record({ type: fc.constant("name" as const), actor, side }),
    ...(sets.length > 0
      ? [
          fc.record({ step: fc.constantFrom(...sets), side: fc.option(side) }).map(({ step, side: of }) => ({
            type: "set" as const,
            actor: step.actor,
            control: step.control,
            side: step.engine === null ? null : of,
            position: step.position,
          })),
        ]
      : []),
  );
  const at = evenly(0, 300);
  return fc
    .array(fc.record({ time_s: at, event }), { maxLength: 40 })
    .map((events) => events.toSorted((a, b) => a.time_s - b.time_s));
}

describe("a drill as it was run", () => {
  it("is the same however often time was looked at, and the same again from its events", () => {
    const runs = fc.constantFrom(...PROCEDURES).chain((procedure) =>
      fc.record({
        procedure: fc.constant(procedure),
        events: eventsOf(procedure),
        climb_mps: fc.constantFrom(-8, -3, 0, 2),
        lampGoes: fc.boolean(),
        looks: fc.array(evenly(0, 300), { maxLength: 30 }),
      }),
    );
    fc.assert(
      fc.property(runs, ({ procedure, events, climb_mps, lampGoes, looks }) => {
        const whole = run(procedure, { events, climb_mps, lampGoes });
        const moments = [...events, ...looks.map((time_s) => ({ time_s }))].toSorted((a, b) => a.time_s - b.time_s);
        let seen = beginRun(whole);
        for (const moment of moments)
          seen =
            "event" in moment || "height_m" in moment
              ? afterRunEvent(whole, seen, moment)
              : runUntil(whole, seen, moment.time_s);
        seen = runUntil(whole, seen, 300);
        const again = runAt(whole, 300);
        expect(seen.drill.at).toBe(again.drill.at);
        expect(seen.drill.log.map(({ step, outcome }) => [step, outcome])).toEqual(
          again.drill.log.map(({ step, outcome }) => [step, outcome]),
        );
        seen.drill.log.forEach(({ time_s }, i) => expect(time_s).toBeCloseTo(again.drill.log[i].time_s, 4));
        expect(seen.drill.flown.height_m).toBeCloseTo(again.drill.flown.height_m, 4);
      }),
      { seed: 17, numRuns: 200 },
    );
  });

  it.each(PROCEDURES.map((procedure) => [procedure.name, procedure] as const))(
    "%s, done rightly at its pace, comes to an end with nothing wrong and nothing late",
    (_, procedure) => {
      const { run: made, until_s } = rightRun(run(procedure, { height_m: 3000, climb_mps: -3 }), () => 2);
      const result = runResult(made, until_s);
      expect(result).toMatchObject({ over: true, ground: false, wrong: 0, slow: 0, back: 0 });
      expect(result.took_s).toBe(until_s);
      expect(RunDocument.parse(JSON.parse(JSON.stringify(made)))).toEqual(made);
    },
  );

  it("ends on the ground when height is spent, at the second that it is, and nothing is done after it", () => {
    const spent = runAt(run(singleForcedLanding, { events: [say(1), say(500)] }), 1000);
    expect(isRunOver(run(singleForcedLanding), spent)).toBe(true);
    expect(spent.drill.flown.time_s).toBeCloseTo(900 / 4, 3);
    expect(spent.drill.flown.height_m).toBeCloseTo(0, 3);
    expect(spent.drill.log).toHaveLength(1);
    // Level at nought it is not over: it is on the ground.
    expect(isRunOver(run(singleForcedLanding, { climb_mps: 0, height_m: 0 }), beginRun(run(singleForcedLanding)))).toBe(
      false,
    );
  });

  it("is flown anew from a step with what was done before it, as if it had just become due", () => {
    const whole = run(singleForcedLanding, {
      events: [
        say(3),
        { time_s: 9, event: { type: "set", actor: "single", control: "fuel", side: null, position: "off" } },
        say(20),
      ],
    });
    const anew = runFrom(whole, "mixture-off");
    expect(anew?.run.events).toEqual(whole.events.slice(0, 2));
    expect(anew?.state.drill).toMatchObject({ due_s: 9, flown: { time_s: 9, height_m: 900 - 36 } });
    expect(runFrom(whole, "flap-last")).toBeNull();
    expect(runFrom(whole, "brief")?.run.events).toEqual([]);
  });

  it("a wait is over at its second and the lamp goes out then, or burns on", () => {
    const rightly = (lampGoes: boolean): DrillRun => {
      const hand = (time_s: number, ...events: Exclude<DrillEvent, { type: "passes" }>[]) =>
        events.map((event) => ({ time_s, event }));
      const set = (actor: "flying" | "monitoring", control: string, position: string) => [
        { type: "name", actor: actor === "flying" ? "monitoring" : "flying", side: "right" } as const,
        { type: "set", actor, control, side: "right", position } as const,
      ];
      return run(jetFire, {
        lampGoes,
        climb_mps: 0,
        events: [
          ...hand(2, { type: "say", actor: "monitoring" }),
          ...hand(4, { type: "say", actor: "flying" }),
          ...hand(6, ...set("flying", "thrust", "closed")),
          ...hand(8, ...set("flying", "fuel", "cut off")),
          ...hand(10, ...set("monitoring", "handle", "pulled")),
          ...hand(12, ...set("monitoring", "bottle-1", "fired")),
        ],
      });
    };
    const at = (time_s: number, lampGoes: boolean) => {
      const { drill } = runAt(rightly(lampGoes), time_s);
      return { step: jetFire.steps[drill.at].id, warnings: drill.warnings };
    };
    expect(at(41.9, true)).toEqual({ step: "thirty", warnings: ["fire"] });
    expect(at(42.1, true)).toEqual({ step: "lamp", warnings: [] });
    expect(at(42.1, false)).toEqual({ step: "lamp", warnings: ["fire"] });
  });

  it("calls by height come as they are passed, and a height given by the instructor moves them", () => {
    const upToCall: RunEvent[] = [
      { time_s: 1, event: { type: "say", actor: "flying" } },
      { time_s: 2, event: { type: "set", actor: "monitoring", control: "apu", side: null, position: "on" } },
      { time_s: 3, event: { type: "say", actor: "monitoring" } },
      { time_s: 4, event: { type: "say", actor: "monitoring" } },
      { time_s: 5, event: { type: "say", actor: "flying" } },
    ];
    const high = run(jetDitching, { height_m: 3000, climb_mps: -8, events: upToCall });
    const called = runAt(high, 400).drill.log.find(({ step }) => step === "five");
    expect(called?.time_s).toBeCloseTo((3000 - 1524) / 8, 3);
    const moved = runAt({ ...high, events: [...upToCall, { time_s: 20, height_m: 1600 }] }, 400);
    expect(moved.drill.log.find(({ step }) => step === "five")?.time_s).toBeCloseTo(20 + (1600 - 1524) / 8, 3);
    // Given lower than the call already, it is called at once.
    const low = runAt({ ...high, events: [...upToCall, { time_s: 20, height_m: 1000 }] }, 400);
    expect(low.drill.log.find(({ step }) => step === "five")?.time_s).toBeCloseTo(20, 3);
  });
});
