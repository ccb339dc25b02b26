// npm run fuzz [-- COUNT [CALCULATION …]]: puts fuzzed questions to the calculations, 100 000 in all unless told
// otherwise; 0 throws, 0 figures that are not finite, no instant answer over a second. `--show NAME SEED` prints one
// question.
import { CALCULATIONS } from "@/core/registry";
import { type Finding, fuzzOne, questionOf } from "../fuzz/fuzz-calculations";

const args = process.argv.slice(2);
if (args[0] === "--show") {
  console.log(JSON.stringify(questionOf(args[1], Number(args[2])), null, 1));
  process.exit(0);
}
const total = Number(args[0] ?? 100_000);
const names = args.slice(1);
const chosen = CALCULATIONS.filter(({ name }) => names.length === 0 || names.includes(name));
/** A long calculation is asked so much less often. */
const LONG_SHARE = 1 / 40;
const weights = chosen.map(({ cost }) => (cost === "long" ? LONG_SHARE : 1));
const perWeight = total / weights.reduce((sum, weight) => sum + weight, 0);

const findings: Finding[] = [];
let asked = 0;
for (const [i, { name }] of chosen.entries()) {
  const count = Math.max(Math.round(perWeight * weights[i]), 1);
  const began = performance.now();
  const before = findings.length;
  for (let seed = 1; seed <= count; seed += 1) {
    const finding = fuzzOne(name, seed, true);
    if (finding) findings.push(finding);
  }
  asked += count;
  console.log(
    `${name.padEnd(20)} ${String(count).padStart(6)} questions, ${((performance.now() - began) / 1000).toFixed(1)} s, ${findings.length - before} findings`,
  );
}
for (const { calculation, seed, what } of findings.slice(0, 60)) console.log(`${calculation} ${seed}: ${what}`);
console.log(`${asked} questions, ${findings.length} findings.`);
process.exit(findings.length === 0 ? 0 : 1);
