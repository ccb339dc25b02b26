// The demo world from its files, for tests, benchmarks and scripts.
import { readFileSync } from "node:fs";
import path from "node:path";
import { z } from "zod";
import { Aeroplane } from "@/core/aircraft/aeroplane";
import { Gyroplane } from "@/core/aircraft/gyroplane";
import { Helicopter } from "@/core/aircraft/helicopter";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import type { TerrainGrid } from "@/core/earth/terrain";
import { Place } from "@/core/places/place";
import type { SituationDocument } from "@/core/situation/situation-document";
import { SituationOfAnyVersion } from "@/core/situation/situation-versions";

const read = (file: string) => readFileSync(path.resolve(import.meta.dirname, file), "utf8");

/** Place of the plane's x 0, y 0. */
export const DEMO_ORIGIN = { latitude_deg: -47, longitude_deg: -131 };

/** An aeroplane by the name of its file. */
export function demoAircraft(name: string): Aeroplane {
  return Aeroplane.parse(JSON.parse(read(`aircraft/${name}.json`)));
}

/** The helicopter of the fleet. */
export function demoHelicopter(): Helicopter {
  return Helicopter.parse(JSON.parse(read("aircraft/hazel-h2.json")));
}

/** The gyroplane of the fleet. */
export function demoGyroplane(): Gyroplane {
  return Gyroplane.parse(JSON.parse(read("aircraft/osier-g1.json")));
}

/** Aerodromes, surveyed fields and beaches. */
export function demoPlaces(): Place[] {
  return z.array(Place).parse(JSON.parse(read("world/places.json")));
}

/** The situation that the demo opens with. */
export function demoSituation(): SituationDocument {
  return SituationOfAnyVersion.parse(JSON.parse(read("world/situation.json")));
}

/** The terrain of the Tarn Reach. */
export function demoTerrain(): TerrainGrid {
  const terrain = readEsriAscii(read("terrain/tarn-reach.asc"), DEMO_ORIGIN);
  if (!terrain.ok) throw new Error(`demoTerrain: expected a terrain, got ${terrain.issue.message}`);
  return terrain.value.grid;
}
