import { describe, expect, it } from "vitest";
import { jetFire } from "./library/jet";
import { PROCEDURES, proceduresFor } from "./library/procedures";
import { twinInCruise } from "./library/twin";
import { Procedure, type Step } from "./procedure";
import { procedureFaults } from "./procedure-faults";

const messages = (procedure: Procedure) => procedureFaults(procedure).map(({ message }) => message);
/** The procedure with one of its steps changed. */
const withStep = (procedure: Procedure, id: string, patch: object): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((step) => (step.id === id ? ({ ...step, ...patch } as Step) : step)),
});

describe("a procedure of the library", () => {
  it.each(PROCEDURES.map((procedure) => [procedure.name, procedure] as const))("%s is sound", (_, procedure) => {
    expect(Procedure.parse(JSON.parse(JSON.stringify(procedure)))).toEqual(procedure);
    expect(messages(procedure)).toEqual([]);
    expect(procedure.cautions[0]).toContain("flight manual");
  });

  it("there is one for every kind, each with a name of its own", () => {
    for (const kind of ["single", "turboprop", "twin", "jet", "helicopter", "gyroplane"] as const)
      expect(proceduresFor(kind).length).toBeGreaterThan(0);
    expect(new Set(PROCEDURES.map(({ id }) => id)).size).toBe(PROCEDURES.length);
  });

  // common practice: what cannot be taken back is confirmed; ignition stays on until the propeller has stopped, so that
  // it goes off after feathering and after the fuel.
  it("the twin's irreversible steps stand after identifying and verifying, ignition last", () => {
    const order = twinInCruise.steps.map(({ id }) => id);
    const at = (id: string) => order.indexOf(id);
    expect(at("identify")).toBeLessThan(at("verify"));
    expect(at("verify")).toBeLessThan(at("feather"));
    expect(at("feather")).toBeLessThan(at("cut"));
    expect(at("fuel-off")).toBeLessThan(at("ignition-off"));
  });
});

describe("what is wrong with a procedure is told by step", () => {
  it.each<[string, Procedure, RegExp]>([
    [
      "a control that is not there",
      withStep(jetFire, "cut", { control: "mixture" }),
      /“cut”: the aircraft has no control “mixture”/,
    ],
    [
      "a clock that nothing has started",
      withStep(jetFire, "thirty", { since: "two" }),
      /“thirty”: “two” does not come before it/,
    ],
    [
      "a position that is not there",
      withStep(jetFire, "cut", { position: "lean" }),
      /“cut”: Fuel lever has no position “lean”/,
    ],
    ["no engine named", withStep(jetFire, "lever", { engine: null }), /“lever”: say which engine’s Thrust lever/],
    [
      "an engine of something that is there once",
      withStep(twinInCruise, "feather", { control: "gear", position: "up" }),
      /“feather”: Gear is there once/,
    ],
    [
      "a branch to nowhere",
      withStep(jetFire, "lamp", {
        answers: [
          { answer: "out", to: "list", when: null },
          { answer: "burns", to: "three", when: null },
        ],
      }),
      /“lamp”: it leads to “three”, which is not there/,
    ],
    [
      "confirmation by nobody",
      withStep(twinInCruise, "feather", { confirm: "other" }),
      /“feather”: nobody else is there to confirm it/,
    ],
    [
      "what cannot be taken back, unconfirmed",
      withStep(jetFire, "pull", { confirm: null }),
      /“pull”: Fire handle “pulled” cannot be taken back/,
    ],
    [
      "an actor who is not there",
      withStep(twinInCruise, "identify", { actor: "monitoring" }),
      /“identify”: a procedure flown alone has one actor/,
    ],
    [
      "alone in a crew",
      withStep(jetFire, "bell", { actor: "single" }),
      /“bell”: in a crew of two somebody of the two does it/,
    ],
    ["two steps of one name", withStep(jetFire, "cut", { id: "lever" }), /another step has the same name/],
    [
      "a step that is never reached",
      withStep(jetFire, "lamp", {
        answers: [
          { answer: "out", to: "list", when: null },
          { answer: "burns", to: "list", when: null },
        ],
      }),
      /“two”: it is never reached/,
    ],
    [
      "a loop without an exit",
      withStep(jetFire, "lamp", {
        answers: [
          { answer: "out", to: "bell", when: null },
          { answer: "burns", to: "thirty", when: null },
        ],
      }),
      /never reached|goes round for ever/,
    ],
    [
      "two controls of one name",
      { ...jetFire, controls: [...jetFire.controls, jetFire.controls[0]] },
      /Two controls are called “thrust”/,
    ],
    [
      "a final position that is none",
      { ...jetFire, controls: jetFire.controls.map((entry) => ({ ...entry, final: ["gone"] })) },
      /has no position “gone”/,
    ],
  ])("%s", (_, procedure, wanted) => {
    expect(messages(procedure).join("\n")).toMatch(wanted);
  });

  it("a loop by a question that only leads back has no exit", () => {
    const steps = [...jetFire.steps.slice(0, 8)].map((step) =>
      step.id === "lamp"
        ? ({
            ...step,
            answers: [
              { answer: "out", to: "bell", when: null },
              { answer: "burns", to: "thirty", when: null },
            ],
          } as Step)
        : step,
    );
    expect(messages({ ...jetFire, steps })).toEqual(
      steps.map(({ id }) => `“${id}”: from here it goes round for ever: the loop has no exit.`),
    );
  });

  it("again leads back, not forward", () => {
    const [first, ...rest] = jetFire.steps;
    const again: Step = { ...first, kind: "again", challenge: "again", to: "cut", most: 2 } as Step;
    expect(messages({ ...jetFire, steps: [again, ...rest] }).join()).toContain("again leads back, not forward");
  });
});
