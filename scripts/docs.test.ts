// The examples of docs/adding.md compile where they say they would stand.
import { readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";
import { describe, expect, it } from "vitest";

const ROOT = path.resolve(import.meta.dirname, "..");
const EXAMPLE = /```tsx? example=(\S+)\n([\s\S]*?)```/g;
const examples = [...readFileSync(path.join(ROOT, "docs/adding.md"), "utf8").matchAll(EXAMPLE)].map(
  ([, file, text]) => ({ file: path.join(ROOT, file), text }),
);

function faults(): string[] {
  const config = ts.readConfigFile(path.join(ROOT, "tsconfig.json"), ts.sys.readFile);
  const { options } = ts.parseJsonConfigFileContent(config.config, ts.sys, ROOT);
  const texts = new Map(examples.map(({ file, text }) => [file, text]));
  const host = ts.createCompilerHost(options);
  const { fileExists, readFile } = host;
  host.fileExists = (file) => texts.has(file) || fileExists(file);
  host.readFile = (file) => texts.get(file) ?? readFile(file);
  const program = ts.createProgram([...texts.keys()], { ...options, noEmit: true, incremental: false }, host);
  return [...texts.keys()].flatMap((file) =>
    ts
      .getPreEmitDiagnostics(program, program.getSourceFile(file))
      .map((fault) => `${path.relative(ROOT, file)}: ${ts.flattenDiagnosticMessageText(fault.messageText, "\n")}`),
  );
}

describe("docs/adding.md", () => {
  it("has examples", () => expect(examples.length).toBeGreaterThanOrEqual(4));
  it("has examples that compile", () => expect(faults()).toEqual([]), 60_000);
});
