// Generates the terrain of the Tarn Reach, once and always the same: `npm run demo:terrain`.
// Main island with a ridge and valleys, a strait, two smaller islands; runways and surveyed strips stand level.
import { readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { createNoise2D } from "simplex-noise";
import { z } from "zod";
import { writeEsriAscii } from "@/core/earth/esri-ascii";
import { localPlane } from "@/core/earth/local-plane";
import type { TerrainGrid } from "@/core/earth/terrain";
import { Place, type Strip, isAerodrome } from "@/core/places/place";

const SEED = 470131;
const CELL_M = 100;
const POINTS = 1001;
const WEST_M = -50_000;

/** A strip that stands level: where it lies in the plane, how high, and how far the flat reaches. */
interface LevelGround {
  readonly x_m: number;
  readonly y_m: number;
  readonly elevation_m: number;
  readonly headingPlane_rad: number;
  readonly length_m: number;
}

const generator = xoroshiro128plus(SEED);
const random = () => (generator.next() >>> 0) / 2 ** 32;
const noises = Array.from({ length: 4 }, () => createNoise2D(random));

/** Fractal noise, about −1 to 1. */
function fractal(layer: number, x: number, y: number, octaves: number): number {
  let sum = 0;
  let amplitude = 1;
  let total = 0;
  for (let i = 0, scale = 1; i < octaves; i += 1, scale *= 2) {
    sum += amplitude * noises[layer](x * scale, y * scale);
    total += amplitude;
    amplitude *= 0.5;
  }
  return sum / total;
}

/** Inside of an island outlined by a ragged ellipse: 1 in the middle, 0 on the shore, negative at sea. */
function island(
  x: number,
  y: number,
  centreX: number,
  centreY: number,
  halfLength: number,
  halfWidth: number,
  turn: number,
  rag: number,
): number {
  const u = (x - centreX) * Math.cos(turn) + (y - centreY) * Math.sin(turn);
  const v = -(x - centreX) * Math.sin(turn) + (y - centreY) * Math.cos(turn);
  return 1 - Math.hypot(u / halfLength, v / halfWidth) + rag * fractal(0, x / 22, y / 22, 5);
}

const smooth = (from: number, to: number, value: number) => {
  const t = Math.min(Math.max((value - from) / (to - from), 0), 1);
  return t * t * (3 - 2 * t);
};

/** Natural elevation, m, at kilometres east and north of the origin; the sea is 0. */
function natural(x: number, y: number): number {
  const main = island(x, y, -3, 9, 44, 29, 0.28, 0.34);
  const second = island(x, y, 31, -33, 12, 8, -0.5, 0.4);
  const third = island(x, y, 6, -40, 7, 5, 0.4, 0.4);
  const inside = Math.max(main, second, third);
  if (inside <= 0) return 0;
  // The shore plain rises gently, then hills; sea bed is not shown.
  const plain = 4 + 55 * smooth(0, 0.16, inside) + 22 * (fractal(1, x / 7, y / 7, 4) + 0.4) * smooth(0.02, 0.2, inside);
  const hills = 230 * smooth(0.1, 0.55, main) * (0.55 + 0.75 * fractal(1, x / 13, y / 13, 6));
  // The ridge: along the island's length, a crest that wanders, gashed by valleys that run down to the south coast.
  const along = (x + 3) * Math.cos(0.28) + (y - 9) * Math.sin(0.28);
  const across = -(x + 3) * Math.sin(0.28) + (y - 9) * Math.cos(0.28);
  const crest = across - 6 - 4.5 * fractal(2, along / 26, 3.7, 3);
  const spur = 1 - Math.abs(fractal(3, x / 10, y / 10, 5));
  const height = Math.exp(-((crest / 8.2) ** 2)) * smooth(-40, -20, along) * (1 - smooth(22, 41, along));
  const ridge = 1690 * height * (0.5 + 0.5 * spur ** 2.2);
  const islands = 190 * smooth(0.12, 0.7, Math.max(second, third)) * (0.5 + 0.6 * spur);
  return Math.max(
    1,
    (plain + Math.max(hills, 0) + ridge * smooth(0.08, 0.45, main) + islands) * smooth(0, 0.03, inside),
  );
}

/** Level ground under strips, easing into the land around. */
function levelled(x_m: number, y_m: number, elevation_m: number, strips: readonly LevelGround[]): number {
  let result = elevation_m;
  for (const strip of strips) {
    const dx = x_m - strip.x_m;
    const dy = y_m - strip.y_m;
    const along = dx * Math.sin(strip.headingPlane_rad) + dy * Math.cos(strip.headingPlane_rad);
    const across = dx * Math.cos(strip.headingPlane_rad) - dy * Math.sin(strip.headingPlane_rad);
    const beyond = Math.hypot(Math.max(0, Math.abs(along) - strip.length_m / 2), across);
    // Level for 200 m about the strip, the natural ground from 1.6 km on (0.9 km for short strips).
    const reach = strip.length_m > 500 ? 1600 : 900;
    const share = 1 - smooth(200, reach, beyond);
    result += share * (strip.elevation_m - result);
  }
  return result;
}

const origin = { latitude_deg: -47, longitude_deg: -131 };
const plane = localPlane(origin);
const places = z
  .array(Place)
  .parse(JSON.parse(readFileSync(path.resolve(import.meta.dirname, "../world/places.json"), "utf8")));
const strips: LevelGround[] = [
  ...places.filter(isAerodrome).flatMap((aerodrome) =>
    aerodrome.runways.length > 0
      ? aerodrome.runways.map(levelGround)
      : [
          {
            ...plane.toPlane(aerodrome.position),
            elevation_m: aerodrome.elevation_m,
            headingPlane_rad: 0,
            length_m: 30,
          },
        ],
  ),
  ...places.flatMap((place) => (isAerodrome(place) ? [] : [levelGround(place.strip)])),
];

function levelGround(strip: Strip): LevelGround {
  const [a, b] = strip.ends.map((end) => plane.toPlane(end.threshold));
  return {
    x_m: (a.x_m + b.x_m) / 2,
    y_m: (a.y_m + b.y_m) / 2,
    elevation_m: (strip.ends[0].elevation_m + strip.ends[1].elevation_m) / 2,
    headingPlane_rad: Math.atan2(b.x_m - a.x_m, b.y_m - a.y_m),
    length_m: Math.hypot(b.x_m - a.x_m, b.y_m - a.y_m),
  };
}

const elevations = new Float32Array(POINTS * POINTS);
for (let row = 0; row < POINTS; row += 1) {
  for (let column = 0; column < POINTS; column += 1) {
    const x_m = WEST_M + column * CELL_M;
    const y_m = WEST_M + row * CELL_M;
    elevations[row * POINTS + column] = Math.round(levelled(x_m, y_m, natural(x_m / 1000, y_m / 1000), strips));
  }
}
const grid: TerrainGrid = {
  origin,
  west_m: WEST_M,
  south_m: WEST_M,
  cell_m: CELL_M,
  columns: POINTS,
  rows: POINTS,
  elevations_m: elevations,
};
writeFileSync(path.resolve(import.meta.dirname, "tarn-reach.asc"), writeEsriAscii(grid));
