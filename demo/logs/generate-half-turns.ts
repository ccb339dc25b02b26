// Writes the demo's series of half turns with the engine idle, west of Skerrow, as a table. Made up: a point that
// glides by the aircraft's polar with 5 % more sink, with a recorder's noise. In the sixth the nose drops and the speed
// runs away, as it does when only the bank is looked at.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { randomLcg, randomNormal } from "d3-random";
import { airState } from "@/core/air/atmosphere";
import { cleanGlide } from "@/core/aircraft/configuration";
import { levelTurnLoadFactor, polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { localPlane } from "@/core/earth/local-plane";
import { glidingTurn } from "@/core/glide/gliding-turn";
import { liftCoefficientAt, straightGlide } from "@/core/glide/straight-glide";
import { G0, M_PER_FT, MPS_PER_KT, RHO0 } from "@/core/quantities/constants";
import { radians } from "@/core/quantities/angle";
import { demoAircraft } from "../read-demo";

/** 24 November 2026, 01:05 UTC. */
const BEGINS_S = Date.UTC(2026, 10, 24, 1, 5) / 1000;
const BANKS_DEG = [22, 30, 31, 37, 43, 46, 47, 54];
const [START_M, GLIDE_MPS, CLIMB_MPS, RATE_UP_MPS] = [3600 * M_PER_FT, 65 * MPS_PER_KT, 38, 4.2];
const [MORE_SINK, DEVIATION_K, MASS_KG, OVER_STALL] = [1.05, -2, 1000, 1.2];
const WIND = { east_mps: 17 * MPS_PER_KT, north_mps: 0.7 * MPS_PER_KT };
/** Rolls in and out so fast; settles before, flies straight after, goes home, s. */
const [ROLL_RADPS, BEFORE_S, AFTER_S] = [radians(22), 14, 12];
const DT = 0.1;

const alder = demoAircraft("alder-s1");
const polar = polarOf(alder, MASS_KG, cleanGlide(alder));
if (!polar.ok) throw new Error(polar.issue.message);
const dragged = { ...polar.value.polar, cd0: polar.value.polar.cd0 * MORE_SINK, k: polar.value.polar.k * MORE_SINK };
const plane = localPlane({ latitude_deg: -47.14, longitude_deg: -131.08 });
const noise = randomNormal.source(randomLcg(11))(0, 1);

const at = { x_m: 0, y_m: 0, h: START_M, heading: radians(250), bank: 0, speed: CLIMB_MPS };
let [t, written, power] = [0, 0, true];
const rows: string[] = ["Date,Time UTC,Latitude,Longitude,GPS Alt (ft),Press Alt (ft),IAS (kt),RPM,FF (gal/h)"];

function write(): void {
  const { latitude_deg, longitude_deg } = plane.toLatLon({ x_m: at.x_m + noise() * 0.8, y_m: at.y_m + noise() * 0.8 });
  const time = new Date((BEGINS_S + Math.round(t)) * 1000).toISOString();
  rows.push(
    [
      time.slice(0, 10),
      `${time.slice(11, 19)}.0`,
      latitude_deg.toFixed(6),
      longitude_deg.toFixed(6),
      Math.round(at.h / M_PER_FT + 24 + noise() * 3),
      Math.round(at.h / M_PER_FT + noise() * 1.5),
      (at.speed / MPS_PER_KT + noise() * 0.3).toFixed(1),
      Math.round((power ? 2400 : 900) + noise() * 8),
      (power ? 8.6 : 1.1).toFixed(1),
    ].join(),
  );
  written += 1;
}

/** A tenth of a second at a bank and a speed. */
function step(bank: number, speed: number, climb_mps: number | null): void {
  const { density } = airState(at.h, DEVIATION_K);
  const root = Math.sqrt(RHO0 / density);
  at.bank += Math.min(Math.max(bank - at.bank, -ROLL_RADPS * DT), ROLL_RADPS * DT);
  const gained = Math.min(Math.max(speed - at.speed, -0.9 * DT), 0.9 * DT);
  const cl = liftCoefficientAt(dragged, at.speed, at.bank);
  if (cl === null) throw new Error("step: expected to fly");
  const sink =
    Math.abs(at.bank) > 0.01
      ? glidingTurn(dragged, cl, Math.abs(at.bank), density).sink_mps
      : straightGlide(dragged, cl).sinkEas_mps * root;
  // What the speed gains the height pays.
  at.h += climb_mps === null ? -sink * DT - (at.speed * gained * root * root) / G0 : climb_mps * DT;
  at.speed += gained;
  const tas = at.speed * root;
  at.heading += ((G0 * Math.tan(at.bank)) / tas) * DT;
  at.x_m += (tas * Math.sin(at.heading) + WIND.east_mps) * DT;
  at.y_m += (tas * Math.cos(at.heading) + WIND.north_mps) * DT;
  t += DT;
  if (t >= written) write();
}

const fly = (seconds: number, bank: number, speed: number, climb_mps: number | null) => {
  for (let left = seconds; left > 0; left -= DT) step(bank, speed, climb_mps);
};

write();
fly(20, 0, CLIMB_MPS, 0);
for (const [i, degrees] of BANKS_DEG.entries()) {
  const side = i % 2 === 0 ? 1 : -1;
  const bank = radians(degrees);
  const briefed = Math.max(GLIDE_MPS, OVER_STALL * stallSpeed_mps(polar.value.polar, levelTurnLoadFactor(bank)));
  power = false;
  fly(BEFORE_S, 0, briefed, null);
  const out = at.heading + side * (Math.PI - radians(degrees) * 0.55);
  const runsAway = i === 5;
  while ((out - at.heading) * side > 0) step(side * bank, runsAway ? 79 * MPS_PER_KT : briefed, null);
  fly(AFTER_S, 0, briefed, null);
  power = true;
  // Round to where it came from, up again.
  while (at.h < START_M) step(0, CLIMB_MPS, RATE_UP_MPS);
  fly(15, 0, CLIMB_MPS, 0);
}
writeFileSync(path.join(import.meta.dirname, "half-turns.csv"), `${rows.join("\n")}\n`);
