import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Procedure } from "./procedure";
import { procedureFaults } from "./procedure-faults";
import { procedureFromText, procedureOf } from "./procedure-from-text";

const TEXT = `ENGINE FAILURE IN FLIGHT

MEMORY ITEMS:
1. Airspeed ............ 68 KIAS
2. Fuel selector ....... BOTH
* Mixture - RICH
Carb heat: ON
CHECKLIST
Fuel selector\tLEFT
Wait 10 sec
Circuit breakers ... CHECKED
If no restart: land
WARNING: Do not restart after a fire
`;
const of = (text: string) => procedureOf(procedureFromText(text), "own", ["single"]);

describe("a checklist as text", () => {
  const read = procedureFromText(TEXT);

  it("is read by what stands between challenge and response", () => {
    expect(read.name).toBe("ENGINE FAILURE IN FLIGHT");
    expect(read.steps.map((step) => [step.kind, step.challenge, step.memory])).toEqual([
      ["set", "Airspeed", true],
      ["set", "Fuel selector", true],
      ["set", "Mixture", true],
      ["set", "Carb heat", true],
      ["set", "Fuel selector", false],
      ["wait", "Wait 10 sec", false],
      ["say", "Circuit breakers", false],
      ["say", "If no restart", false],
      ["caution", "WARNING: Do not restart after a fire", false],
      ["end", "Complete.", false],
    ]);
    expect(read.controls.find(({ id }) => id === "fuel-selector")?.positions).toEqual(["before", "both", "left"]);
    expect(read.steps.find(({ kind }) => kind === "wait")).toMatchObject({ wait_s: 10 });
    expect(read.notes).toEqual([{ line: 12, message: expect.stringContaining("condition") }]);
  });

  it("can be flown as it is", () => {
    const procedure = of(TEXT);
    expect(Procedure.parse(JSON.parse(JSON.stringify(procedure)))).toEqual(procedure);
    expect(procedureFaults(procedure)).toEqual([]);
  });

  it("says what it has cut or left, by line", () => {
    const long = procedureFromText(`${"word ".repeat(60)}`);
    expect(long.notes[0]).toMatchObject({ line: 1, message: expect.stringContaining("cut after 120") });
    const many = procedureFromText(Array.from({ length: 210 }, (_, i) => `Item ${i} ... set to ${i}`).join("\n"));
    expect(many.steps).toHaveLength(80);
    expect(many.notes.map(({ line }) => line)).toEqual(expect.arrayContaining([80, 201]));
    expect(many.controls).toHaveLength(24);
    expect(procedureFromText("\n \n")).toEqual({ name: null, steps: [], controls: [], notes: [] });
  });

  it("whatever is pasted makes a procedure that is sound, or nothing", () => {
    const word = fc.constantFrom(
      "Fuel",
      "ON",
      "...",
      "-",
      ":",
      "\t",
      "IF",
      "WAIT 5 s",
      "warning",
      "1.",
      "ÄÖ",
      "check",
      "é…",
      "",
    );
    const line = fc.array(word, { maxLength: 8 }).map((words) => words.join(" "));
    fc.assert(
      fc.property(fc.array(fc.oneof(line, fc.string({ maxLength: 300 })), { maxLength: 100 }), (lines) => {
        const procedure = of(lines.join("\n"));
        if (procedure.steps.length === 0) return;
        const parsed = Procedure.safeParse(procedure);
        expect(parsed.success ? [] : parsed.error.issues).toEqual([]);
        expect(procedureFaults(procedure)).toEqual([]);
      }),
      { seed: 3, numRuns: 300 },
    );
  });
});
