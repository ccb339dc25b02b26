// The compiled solver as a module of text, from its AssemblyScript. What has `// @inline` before it is put in where it
// is used: calls are a sixth of the solver's time.
import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import asc from "assemblyscript/asc";
import { ROOT } from "./setup.mjs";

/** Where the module stands. */
export const COMPILED = path.join(ROOT, "src/core/cover/solver-wasm.ts");

/** @returns {Promise<string>} the text of that module */
export async function compiledSolver() {
  const source = path.join(ROOT, "assembly/cover-solver.ts");
  /** @type {Uint8Array | null} */
  let binary = null;
  const { error, stderr } = await asc.main(
    [source, "--baseDir", ROOT, "-O3", "--noAssert", "--runtime", "stub", "--outFile", "solver.wasm"],
    {
      readFile: (name, folder) => {
        const file = path.resolve(folder, name);
        // As a decorator it would not be TypeScript for formatter and lint.
        return existsSync(file) ? readFileSync(file, "utf8").replaceAll("// @inline\n", "@inline\n") : null;
      },
      writeFile: (_name, contents) => void (binary = /** @type {Uint8Array} */ (contents)),
    },
  );
  if (error || !binary) throw new Error(`The solver does not compile:\n${stderr.toString()}`);
  const hex = Buffer.from(binary).toString("hex");
  return `// Made of assembly/cover-solver.ts by \`npm run compile\`; a check compiles it anew and compares.\n/** The module, two digits a byte. */\nexport const SOLVER_WASM =\n  "${hex}";\n`;
}
