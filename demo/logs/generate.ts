// Writes the demo's flight over the water, Mossgarth by Skerrow to Brannoc Strip at 3 000 ft, as an IGC file. Made up:
// a point that steers from fix to fix in a wind, with a recorder's noise.
import { writeFileSync } from "node:fs";
import path from "node:path";
import { randomLcg, randomNormal } from "d3-random";
import { windProfile, windVector } from "@/core/air/wind";
import { G0, MPS_PER_KT } from "@/core/quantities/constants";
import { radians, wrapHalfTurn } from "@/core/quantities/angle";
import { localPlane } from "@/core/earth/local-plane";
import { isAerodrome, stripsOf } from "@/core/places/place";
import { LogBuilder } from "@/core/track/log";
import { writeIgc } from "@/core/track/formats/write-log";
import { demoPlaces } from "../read-demo";

/** 24 November 2026, 02:10 UTC. */
const BEGINS_S = Date.UTC(2026, 10, 24, 2, 10) / 1000;
const [CRUISE_M, CRUISE_MPS, CLIMB_MPS, APPROACH_MPS] = [914.4, 52, 39, 34];
const [RATE_UP_MPS, RATE_DOWN_MPS] = [3.6, 2.54];
const BANK_RAD = radians(20);
const DT = 0.5;
const WIND = { from_rad: radians(250), speed_mps: 14 * MPS_PER_KT };

function runway(placeId: string, designator: string) {
  const place = demoPlaces().find(({ id }) => id === placeId);
  const strip = place && isAerodrome(place) ? stripsOf(place)[0] : undefined;
  const end = strip?.ends.find((one) => one.designator === designator);
  const other = strip?.ends.find((one) => one.designator !== designator);
  if (!end || !other) throw new Error(`runway: expected ${placeId} to have ${designator}`);
  return { from: end, to: other };
}

const off = runway("mossgarth", "02");
const over = runway("skerrow", "11").from.threshold;
const on = runway("brannoc", "33");
const plane = localPlane(off.from.threshold);
const noise = randomNormal.source(randomLcg(7))(0, 1);
const wind = windProfile({ surface: WIND, layers: [] }, off.from.elevation_m);
if (!wind.ok) throw new Error(wind.issue.message);

const at = { ...plane.toPlane(off.from.threshold), h: off.from.elevation_m };
const away = plane.toPlane(off.to.threshold);
const touch = plane.toPlane(on.from.threshold);
const along = plane.toPlane(on.to.threshold);
const landing_rad = Math.atan2(along.x_m - touch.x_m, along.y_m - touch.y_m);
const before = (back_m: number) => ({
  x_m: touch.x_m - back_m * Math.sin(landing_rad),
  y_m: touch.y_m - back_m * Math.cos(landing_rad),
});
/** Over these in their order, the last of them the beginning of the final. */
const fixes = [plane.toPlane(over), before(4000)];
const final = fixes[1];
let heading = Math.atan2(away.x_m - at.x_m, away.y_m - at.y_m);
let [speed, t, phase] = [0, 0, "stand" as "stand" | "roll" | "climb" | "fly" | "final" | "rollout" | "end"];
let stood = 0;
const log = new LogBuilder();

function write(i: number): void {
  const { latitude_deg, longitude_deg } = plane.toLatLon({ x_m: at.x_m + noise(), y_m: at.y_m + noise() });
  log.begin(BEGINS_S + t);
  log.set("latitude_deg", latitude_deg, i);
  log.set("longitude_deg", longitude_deg, i);
  log.set("altitudeGps_m", Math.round(at.h + noise()), i);
  // A day a little colder than standard, 1 016 hPa.
  log.set("altitudePressure_m", Math.round(at.h - 23), i);
}

/** Towards a point, not faster round than the bank allows; through the air by the triangle of velocities. */
function steer(to: { readonly x_m: number; readonly y_m: number }): void {
  const { east_mps, north_mps } = wind.ok ? wind.value(at.h) : windVector(0, 0);
  const course = Math.atan2(to.x_m - at.x_m, to.y_m - at.y_m);
  const across = east_mps * Math.cos(course) - north_mps * Math.sin(course);
  const wanted = course - Math.asin(Math.min(Math.max(across / speed, -0.9), 0.9));
  const most = ((G0 * Math.tan(BANK_RAD)) / speed) * DT;
  heading += Math.min(Math.max(wrapHalfTurn(wanted - heading), -most), most);
  at.x_m += (speed * Math.sin(heading) + east_mps) * DT;
  at.y_m += (speed * Math.cos(heading) + north_mps) * DT;
}
const towards = (to: number, most: number) => {
  speed += Math.min(Math.max(to - speed, -most * DT), most * DT);
};
const left = (to: { readonly x_m: number; readonly y_m: number }) => Math.hypot(to.x_m - at.x_m, to.y_m - at.y_m);

for (let i = 0; phase !== "end" && i < 10_000; i += 1) {
  if (i % 4 === 0) write(i / 4);
  if (phase === "stand" || phase === "roll") {
    if (t > 20) phase = "roll";
    if (phase === "roll") towards(31, 2.2);
    at.x_m += speed * Math.sin(heading) * DT;
    at.y_m += speed * Math.cos(heading) * DT;
    if (speed >= 31) phase = "climb";
  } else if (phase === "climb") {
    towards(CLIMB_MPS, 0.8);
    at.h += Math.min(RATE_UP_MPS, Math.max(CRUISE_M - at.h, 0) / 8 + 0.05) * DT;
    // Straight on to 500 ft, then on course.
    if (at.h < off.from.elevation_m + 152) steer({ x_m: at.x_m + away.x_m * 9, y_m: at.y_m + away.y_m * 9 });
    else steer(fixes[0]);
    if (at.h > CRUISE_M - 3) phase = "fly";
  } else if (phase === "fly") {
    const down_m = on.from.elevation_m + 230;
    // Down so that the final is begun at its height.
    const late = left(final) < ((at.h - down_m) / RATE_DOWN_MPS) * CRUISE_MPS + 600;
    if (late) at.h -= Math.min(RATE_DOWN_MPS, Math.max(at.h - down_m, 0) / 8) * DT;
    towards(left(final) < 2500 ? 42 : CRUISE_MPS, 0.25);
    if (fixes.length > 1 && left(fixes[0]) < 700) fixes.shift();
    steer(fixes[0]);
    if (left(final) < 250) phase = "final";
  } else if (phase === "final") {
    towards(APPROACH_MPS, 0.25);
    const path_m = on.from.elevation_m + (left(touch) - 40) * Math.tan(radians(3.3));
    at.h -= Math.min(Math.max((at.h - path_m) / 4, 0), 3) * DT;
    const above = at.h - on.from.elevation_m;
    if (above < 6) at.h = Math.max(at.h - 0.6 * DT, on.from.elevation_m);
    steer(left(touch) > 150 ? touch : along);
    if (above < 0.2 || left(along) < 300) phase = "rollout";
  } else {
    at.h = on.from.elevation_m;
    towards(0, 1.6);
    at.x_m += speed * Math.sin(landing_rad) * DT;
    at.y_m += speed * Math.cos(landing_rad) * DT;
    if (speed === 0) stood += DT;
    if (stood > 20) phase = "end";
  }
  t += DT;
}
const text = writeIgc(log.log({ format: "igc", clock: "utc", aircraft: "Alder S1" }));
writeFileSync(path.join(import.meta.dirname, "crossing.igc"), text);
