// One full scan of a departure (58 heights, both sides, intercept angle and extension searched) against an exhaustive
// grid of the same flights, in shuffled rounds of one process; and what the stage asks while a height is scrubbed.
import { performance } from "node:perf_hooks";
import { countChance } from "@/core/departure/chance";
import { USUAL_SCATTER, draws } from "@/core/situation/scatter";
import { failureStart } from "@/core/departure/failure-start";
import { SCAN_HEIGHTS_M, betterSide, groundAhead, plannedFailure, turnbackAt } from "@/core/departure/scan";
import { turnbackAccount } from "@/core/departure/turnback-account";
import { bestTurnback, turnbackBy } from "@/core/departure/turnback-search";
import { localPlane } from "@/core/earth/local-plane";
import { demoDeparture } from "../demo/demo-departure";
import { demoTerrain } from "../demo/read-demo";

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const { day, question: question } = demoDeparture();
const BANK_RAD = Math.PI / 4;
/** The grid: every 4° and every 2 s, as fine as the search settles on average. */
const ANGLES = Array.from({ length: 22 }, (_, i) => ((4 + 4 * i) * Math.PI) / 180);
const EXTENSIONS = Array.from({ length: 26 }, (_, i) => 2 * i);
/** The grid is flown at every so many heights and counted up: all would take a minute. */
const EVERY = 8;

const scan = () => SCAN_HEIGHTS_M.map((height_m) => turnbackAt(day, question, height_m, BANK_RAD));

function grid(from: number): number[] {
  return SCAN_HEIGHTS_M.filter((_, i) => i % EVERY === from).map((height_m) => {
    const start = failureStart(day, height_m, question.plan.reaction, question.pilot.reaction_s);
    if (!start) return NaN;
    let best = -Infinity;
    for (const side of [-1, 1] as const)
      for (const intercept_rad of ANGLES)
        for (const extension_s of EXTENSIONS)
          best = Math.max(
            best,
            turnbackBy(day, start.acting, start.reaction_s, {
              side,
              bank_rad: BANK_RAD,
              stallMargin: question.plan.stallMargin,
              intercept_rad,
              extension_s,
            }).score_m,
          );
    return best;
  });
}

const times = { search: [] as number[], grid: [] as number[] };
const timed = <T>(run: () => T): [T, number] => {
  const began = performance.now();
  return [run(), performance.now() - began];
};
scan();
let worst_m = 0;
for (let round = 0; round < 4; round += 1) {
  const [found, search_ms] = timed(scan);
  const [plain, grid_ms] = timed(() => grid(round * 2));
  times.search.push(search_ms);
  times.grid.push(grid_ms * (SCAN_HEIGHTS_M.length / plain.length));
  plain.forEach((score, i) => {
    const ours = betterSide(found[round * 2 + i * EVERY])?.score_m ?? NaN;
    worst_m = Math.max(worst_m, score - ours);
  });
}
console.log(
  `departure: one scan, 58 heights, both sides: ${(median(times.search) / 1000).toFixed(2)} s (goal under 1.0 s); exhaustive grid ${(median(times.grid) / 1000).toFixed(1)} s: ${(median(times.grid) / median(times.search)).toFixed(0)} times (goal 5); the grid finds at most ${worst_m.toFixed(1)} m more anywhere`,
);

const terrain = demoTerrain();
const plane = localPlane(terrain.origin);
const scanned = scan();
const scrubs = SCAN_HEIGHTS_M.slice(0, -1).map((height_m, i) => {
  const between_m = (height_m + SCAN_HEIGHTS_M[i + 1]) / 2;
  const technique = betterSide(scanned[i])?.technique;
  return timed(() => {
    const start = plannedFailure(day, question, between_m);
    if (!start || !technique) return null;
    const best = bestTurnback(day, start.acting, start.reaction_s, technique);
    return [
      turnbackAccount(day, question, between_m, best.technique),
      groundAhead(day, question, start, terrain, plane),
    ];
  })[1];
});
console.log(
  `departure: scrubbed to a height between those of the scan: median ${median(scrubs).toFixed(0)} ms, slowest ${Math.max(...scrubs).toFixed(0)} ms (goal 50 ms)`,
);

const planned = betterSide(turnbackAt(day, question, 180, BANK_RAD));
if (planned) {
  const sample = draws(1, 1000);
  const [, chance_ms] = timed(() =>
    countChance(day, question, { height_m: 180, technique: planned.technique }, USUAL_SCATTER, sample, true),
  );
  console.log(
    `departure: 1,000 scattered turns at one height, hindsight included, one thread: ${chance_ms.toFixed(0)} ms`,
  );
}
