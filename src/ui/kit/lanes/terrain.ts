// The ground that the lanes' workers compute with: fetched once, kept by the page, given to each worker before it is
// asked anything.
import { create } from "zustand";
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";

/** Where a terrain is had, and how its points lie. */
export interface TerrainSource {
  readonly id: string;
  readonly url: string;
  readonly frame: Omit<TerrainGrid, "elevations_m">;
}

interface TerrainState {
  readonly source: TerrainSource | null;
  /** `coming` until it has come or failed; `held` also when none is wanted. */
  readonly state: "coming" | "held" | "away";
  readonly grid: TerrainGrid | null;
  /** Of the plane that is computed in; null for the terrain's own. */
  readonly origin: LatLon | null;
}

/** What the workers have to compute with. */
export const useTerrain = create<TerrainState>()(() => ({ source: null, state: "coming", grid: null, origin: null }));

/** How soon a terrain that could not be had is asked for again, ms. */
const RETRY_MS = 3000;

let retry: ReturnType<typeof setTimeout> | undefined;

async function fetched({ url, frame }: TerrainSource): Promise<TerrainGrid | null> {
  try {
    const answer = await fetch(url);
    if (!answer.ok || !answer.body) return null;
    const raw = await new Response(answer.body.pipeThrough(new DecompressionStream("gzip"))).arrayBuffer();
    return { ...frame, elevations_m: new Int16Array(raw) };
  } catch {
    return null;
  }
}

async function load(source: TerrainSource): Promise<void> {
  const grid = await fetched(source);
  if (useTerrain.getState().source !== source) return;
  useTerrain.setState({ grid, state: grid ? "held" : "away" });
  if (!grid) retry = setTimeout(() => void load(source), RETRY_MS);
}

/** Says about which origin the plane lies that is computed in from now on. */
export function workOnPlane(origin: LatLon): void {
  const { origin: before } = useTerrain.getState();
  if (before?.latitude_deg !== origin.latitude_deg || before.longitude_deg !== origin.longitude_deg)
    useTerrain.setState({ origin });
}

/**
 * Says which terrain is computed with from now on; null for none. One that cannot be had is tried again until it can.
 */
export function wantTerrain(source: TerrainSource | null): void {
  const { source: before, state } = useTerrain.getState();
  if (before?.id === source?.id && (source !== null || state === "held")) return;
  clearTimeout(retry);
  useTerrain.setState({ source, grid: null, state: source ? "coming" : "held" });
  if (source) void load(source);
}

/** Waits until the terrain has come or has failed to. */
export function terrainSettled(): Promise<TerrainGrid | null> {
  const { state, grid } = useTerrain.getState();
  if (state !== "coming") return Promise.resolve(grid);
  return new Promise((done) => {
    const stop = useTerrain.subscribe((now) => {
      if (now.state === "coming") return;
      stop();
      done(now.grid);
    });
  });
}
