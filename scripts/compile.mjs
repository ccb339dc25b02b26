// npm run compile: the cover's solver from AssemblyScript to WebAssembly. `--check` only compares.
import { readFile, writeFile } from "node:fs/promises";
import { COMPILED, compiledSolver } from "./lib/compile-solver.mjs";
import { leave } from "./lib/processes.mjs";

try {
  const text = await compiledSolver();
  if (!process.argv.includes("--check")) await writeFile(COMPILED, text);
  else if ((await readFile(COMPILED, "utf8")) !== text)
    throw new Error("The compiled solver is not what its source makes: npm run compile.");
} catch (error) {
  await leave(1, error);
}
