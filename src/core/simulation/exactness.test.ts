// What runs inside a step is made of functions that give the same bits on every machine: followed through the imports.
import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";

const ALLOWED = new Set(["sqrt", "abs", "min", "max", "floor", "ceil", "round", "trunc", "fround", "PI"]);
const BEGINS = ["step-flight", "begin-flight", "trimmed", "pilot", "recording", "ground", "hands"];

/** A file with everything that it takes over the border as a value. */
function reached(file: string, seen: Map<string, string>): void {
  if (seen.has(file)) return;
  const text = readFileSync(file, "utf8");
  seen.set(file, text);
  for (const [, names, from] of text.matchAll(/^import ([^;]*?) from "(\.[^"]*)";/gms)) {
    const values = names.startsWith("type ") ? "" : names.replaceAll(/type \w+/g, "");
    if (/\w/.test(values.replace("import", ""))) reached(path.resolve(path.dirname(file), `${from}.ts`), seen);
  }
}

describe("inside a step", () => {
  const files = new Map<string, string>();
  for (const name of BEGINS) reached(path.join(import.meta.dirname, `${name}.ts`), files);
  const core = path.resolve(import.meta.dirname, "..");
  const listed = [...files].map(([file, text]) => [path.relative(core, file), text] as const);

  it("what is followed is what flies", () => {
    const names = listed.map(([name]) => name);
    for (const name of [
      "simulation/body-rates.ts",
      "numeric/exact.ts",
      "aircraft/propeller-thrust.ts",
      "engine/power-share.ts",
    ])
      expect(names).toContain(name);
  });

  it.each(listed)("%s calls nothing of Math that differs between machines, and raises to no power", (_, text) => {
    // Comments may speak of what code must not do.
    const code = text.replaceAll(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, "");
    const called = [...code.matchAll(/Math\.(\w+)/g)].map(([, name]) => name).filter((name) => !ALLOWED.has(name));
    expect(called).toEqual([]);
    expect(code).not.toContain("**");
  });
});
