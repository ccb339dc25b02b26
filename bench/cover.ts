// The cover of the demo world against the textbook's way to it, in rounds of one process: each begins with another of
// them, and ratios are those of a round, so that a machine that is busy for a while is busy for both.
import { performance } from "node:perf_hooks";
import { coverGrid } from "@/core/cover/cover-grid";
import { forwardField, inverseField } from "@/core/cover/cover-field";
import { CoverLeg, coverMetric } from "@/core/cover/cover-metric";
import { elevationAt_m } from "@/core/earth/terrain";
import { solvePlain } from "@/core/cover/plain-solver";
import { demoTerrain } from "../demo/read-demo";
import { referenceCover } from "./reference-cover";

const ROUNDS = 9;
const terrain = demoTerrain();
/** A glide of 9:1 at 33 m/s, its true airspeed growing with height; wind to the east, growing with height. */
const layered = coverMetric(
  (east, north, altitude_m) => {
    const [tas, wind] = [33 * (1 + altitude_m / 20_000), 5 + altitude_m / 400];
    const across = wind * north;
    return ((Math.sqrt(tas * tas - across * across) + wind * east) * 9) / tas;
  },
  { low_m: -100, high_m: 5000, step_m: 10 },
);
const uniform = coverMetric((east, north) => ((Math.sqrt(33 ** 2 - (8 * north) ** 2) + 8 * east) * 9) / 33, {
  low_m: 0,
  high_m: 0,
  step_m: 0,
});
/** Places over the whole world, 300 m wanted over the ground of each. */
const sites = (count: number) =>
  Array.from({ length: count }, (_, i) => {
    const [x_m, y_m] = [-45_000 + ((i * 7919) % 90_000), -45_000 + ((i * 31_337) % 90_000)];
    return { x_m, y_m, altitude_m: (elevationAt_m(terrain, x_m, y_m) ?? 0) + 300 };
  });
const grids = { 5: coverGrid(terrain, 60, sites(5)), 200: coverGrid(terrain, 60, sites(200)) };
const leg = new CoverLeg(uniform);
const step = (dx: number, dy: number) => {
  leg.set(0, -dx * 100, -dy * 100, true);
  return leg.altitude_m(1);
};
const above = { x_m: 0, y_m: 0, altitude_m: 4500 };
const works: Record<string, () => unknown> = {
  textbook: () => referenceCover(grids[5], sites(5), step),
  "inverse, one wind": () => inverseField(grids[5], sites(5), uniform),
  "inverse, wind by height": () => inverseField(grids[5], sites(5), layered),
  "inverse, 200 places": () => inverseField(grids[200], sites(200), uniform),
  "inverse, one wind, not compiled": () => inverseField(grids[5], sites(5), uniform, undefined, solvePlain),
  "inverse, wind by height, not compiled": () => inverseField(grids[5], sites(5), layered, undefined, solvePlain),
  "forward, one wind": () => forwardField(grids[5], above, uniform),
  "forward, wind by height": () => forwardField(grids[5], above, layered),
  "arrays streamed once": () => {
    let sum = 0;
    for (const value of [grids[5].floor_m, grids[200].floor_m, terrain.elevations_m])
      for (let i = 0; i < value.length; i += 1) sum += value[i];
    return sum;
  },
};
const names = Object.keys(works);
const rounds: Record<string, number>[] = [];
for (let round = 0; round < ROUNDS; round += 1) {
  const took: Record<string, number> = {};
  for (let i = 0; i < names.length; i += 1) {
    const name = names[(i + round) % names.length];
    const began = performance.now();
    works[name]();
    took[name] = performance.now() - began;
  }
  rounds.push(took);
}
/** The middle one of the rounds. */
const median = (of: (took: Record<string, number>) => number) =>
  rounds.map(of).sort((a, b) => a - b)[Math.floor(ROUNDS / 2)];
console.log(`cover of 1 001 × 1 001 cells (median of ${ROUNDS})`);
for (const name of names)
  console.log(
    `  ${name}: ${median((took) => took[name]).toFixed(0)} ms, textbook ÷ it ${median((took) => took.textbook / took[name]).toFixed(1)}`,
  );
const more = median((took) => took["inverse, 200 places"] / took["inverse, one wind"]);
console.log(`  200 places ÷ 5: ${more.toFixed(2)} (goal 1.3)`);
