// Paths a second for one runway end: all four words, three wind layers, against the plain reference, in shuffled rounds
// of one process.
import { glidePerformance } from "@/core/glide/glide-performance";
import { readFileSync } from "node:fs";
import { performance } from "node:perf_hooks";
import { Aeroplane } from "@/core/aircraft/aeroplane";
import { cleanGlide } from "@/core/aircraft/configuration";
import { polarOf } from "@/core/aircraft/polar";
import { windProfile } from "@/core/air/wind";
import { descentIntegrals } from "@/core/glide/descent-integrals";
import { type PathProblem, searchPaths } from "@/core/glide/glide-path";
import { bestGlide } from "@/core/glide/straight-glide";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import { landingEnds } from "@/core/landing/landing-end";
import { reachOf } from "@/core/landing/reach";
import { reachQuestion } from "@/core/landing/reach-question";
import { SituationDocument } from "@/core/situation/situation-document";
import { referenceMargins } from "./reference-path";

const read = (file: string) => JSON.parse(readFileSync(file, "utf8"));
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const alder = Aeroplane.parse(read("demo/aircraft/alder-s1.json"));
const configured = polarOf(alder, 1000, cleanGlide(alder));
const air = { qnh_Pa: 101_600, deviation_K: -3 };
const wind = windProfile(
  {
    surface: { from_rad: 4.36, speed_mps: 7.2 },
    layers: [
      { altitude_m: 600, from_rad: 4.7, speed_mps: 10 },
      { altitude_m: 1200, from_rad: 4.9, speed_mps: 12 },
      { altitude_m: 2400, from_rad: 5.1, speed_mps: 15 },
    ],
  },
  19,
);
if (!configured.ok || !wind.ok) throw new Error("bench: expected a polar and a wind");
const { polar } = configured.value;
const cas_mps = bestGlide(polar).eas_mps;
const flown = glidePerformance(polar, bestGlide(polar), { bank_rad: 0.52, stallMargin: 1.2 });
if (!flown.ok) throw new Error(flown.issue.message);
const integrals = descentIntegrals(air, wind.value, -1500, 2500, cas_mps);

/** Starts all round the runway end, at heights where most ways arrive. */
const problems: PathProblem[] = Array.from({ length: 500 }, (_, i) => {
  const bearing = i * 2.399963;
  const away = 800 + 9 * i;
  return {
    performance: flown.value,
    integrals,
    start: {
      x_m: away * Math.sin(bearing),
      y_m: away * Math.cos(bearing),
      heading_rad: (i * 1.234) % (2 * Math.PI),
      altitude_m: 500 + 3 * i,
    },
    target: { x_m: 0, y_m: 0, heading_rad: 2.4, altitude_m: 19 },
    choices: { reaction_s: 4, reserve_m: 60, final_m: 300, key: "none" },
  };
});

let worst_m = 0;
let compared = 0;
for (const problem of problems.slice(0, 60)) {
  const ours = searchPaths(problem);
  const plain = referenceMargins(problem, air, wind.value, cas_mps);
  if (!ours.ok) continue;
  for (const path of ours.value.paths) {
    const margin_m = plain.get(path.words[0]);
    if (margin_m === undefined) continue;
    compared += 1;
    worst_m = Math.max(worst_m, Math.abs(margin_m - path.margin_m));
  }
}

function ours(count: number): number {
  let paths = 0;
  for (let i = 0; i < count; i += 1) {
    const search = searchPaths(problems[i % problems.length]);
    if (search.ok) paths += search.value.paths.length;
  }
  return paths;
}

function plain(count: number): number {
  let paths = 0;
  for (let i = 0; i < count; i += 1)
    paths += referenceMargins(
      problems[i % problems.length],
      air,
      wind.ok ? wind.value : () => ({ east_mps: 0, north_mps: 0 }),
      cas_mps,
    ).size;
  return paths;
}

const rates = { ours: [] as number[], plain: [] as number[] };
ours(4000);
plain(4);
for (let round = 0; round < 9; round += 1) {
  const tasks = [() => rate("ours", () => ours(4000)), () => rate("plain", () => plain(8))];
  if (round % 2 === 1) tasks.reverse();
  for (const task of tasks) task();
}
function rate(name: keyof typeof rates, work: () => number): void {
  const began = performance.now();
  const paths = work();
  rates[name].push(paths / ((performance.now() - began) / 1000));
}

const places = read("demo/world/places.json");
const terrain = readEsriAscii(readFileSync("demo/terrain/tarn-reach.asc", "utf8"), {
  latitude_deg: -47,
  longitude_deg: -131,
});
const situation = SituationDocument.parse(read("demo/world/situation.json"));
const question = reachQuestion(situation, alder, landingEnds(places));
const times: number[] = [];
for (let i = 0; i < 60; i += 1) {
  const began = performance.now();
  reachOf({ ...question, altitude_m: 700 + i }, terrain.ok ? terrain.value.grid : null);
  times.push(performance.now() - began);
}

const perSecond = median(rates.ours);
console.log(
  `paths a second, one end, four words, three layers: ${Math.round(perSecond).toLocaleString("en")} (goal 20,000)`,
);
console.log(
  `the plain reference: ${Math.round(median(rates.plain)).toLocaleString("en")}; ratio ${(perSecond / median(rates.plain)).toFixed(0)}; they agree within ${worst_m.toFixed(2)} m on ${compared} paths`,
);
console.log(
  `all ${question.ends.length} ends of the demo world with terrain: ${median(times.slice(20)).toFixed(1)} ms (first ${times[0].toFixed(1)} ms; goal under 100 ms)`,
);
if (worst_m > 1 || compared < 100)
  throw new Error(`bench: expected agreement within 1 m on at least 100 paths, got ${worst_m} m on ${compared}`);
