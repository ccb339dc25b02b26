// npm run -s calc -- NAME < input.json > output.json · --list · NAME --schema. Exit 2 and the faults on stderr for bad
// input.
import { text } from "node:stream/consumers";
import { CALCULATIONS, calculate, describeCalculation } from "@/core/registry";

const args = process.argv.slice(2);
const name = args.find((arg) => !arg.startsWith("--"));

function refuse(lines: readonly string[]): never {
  process.stderr.write(`${lines.join("\n")}\n`);
  process.exit(2);
}

if (args.includes("--list")) {
  for (const { name: title, question } of CALCULATIONS) console.log(`${title.padEnd(12)} ${question}`);
} else if (!name) {
  refuse(["Usage: npm run -s calc -- NAME < input.json, or --list, or NAME --schema"]);
} else if (args.includes("--schema")) {
  const description = describeCalculation(name);
  if (!description) refuse([`There is no calculation “${name}”.`]);
  console.log(JSON.stringify(description, null, 2));
} else {
  let input: unknown;
  try {
    input = JSON.parse(await text(process.stdin));
  } catch (error) {
    refuse([`The input is not JSON: ${error instanceof Error ? error.message : String(error)}`]);
  }
  const result = calculate(name, input);
  if (!result.ok) refuse(result.issues.map((issue) => `${issue.path || "(whole)"}: ${issue.message}`));
  console.log(JSON.stringify(result.value, null, 2));
}
