// The core behind comlink. It holds the terrain, so that a question is only a few numbers; no formulas here.
import * as Comlink from "comlink";
import { beforeFeathering } from "@/core/asymmetric/before-feathering";
import { belowVmca } from "@/core/asymmetric/below-vmca";
import { climbTo } from "@/core/asymmetric/climb-by-height";
import { demonstration } from "@/core/asymmetric/demonstration";
import { engineOutCard, engineOutNow, engineOutTables } from "@/core/asymmetric/engine-out";
import type { LatLon } from "@/core/earth/geodesic";
import { type MagneticVariation, magneticVariation } from "@/core/earth/magnetic-variation";
import { type TerrainGrid, elevationAt_m } from "@/core/earth/terrain";
import { terrainOn } from "@/core/earth/terrain-about";
import { localPlane } from "@/core/earth/local-plane";
import { type LandingChoice, landingChoice } from "@/core/landing/landing-choice";
import type { LandingQuestion } from "@/core/landing/landing-question";
import { reachOf } from "@/core/landing/reach";
import type { ReachQuestion } from "@/core/landing/reach-question";
import { reachWorking } from "@/core/landing/reach-working";
import { identifyAnswer } from "@/core/identify/identify-answer";
import { drillRate } from "@/core/procedure/drill-rate";
import { recallDay } from "@/core/recall/recall-day";
import { takeOffAnswer, takeOffSegmentsAnswer } from "@/core/take-off/take-off-answer";
import type { TakeOffQuestion } from "@/core/take-off/take-off-day";
import { type Outcome, failure, success } from "@/core/outcome";
import { type CalculationResult, calculate } from "@/core/registry";
import type { WorkingStep } from "@/core/working";
import { bitmap } from "./bitmap";
import { departureWork } from "./departure-work";
import { exposureWork } from "./exposure-work";
import { landingWork } from "./landing-work";
import { rotorWork } from "./rotor-work";
import { routeWork } from "./route-work";
import { type ReliefPalette, type ReliefView, reliefPixels } from "./relief";

let terrain: TerrainGrid | null = null;

const api = {
  /** Takes the terrain that later questions are about, on the plane that they are in; null for none. */
  useTerrain(grid: TerrainGrid | null, origin: LatLon | null): void {
    terrain = grid && origin ? terrainOn(grid, origin) : grid;
  },

  /** Every way and place to land, the best first, with the ground height under the aircraft. */
  landing(
    question: LandingQuestion,
    origin: LatLon,
  ): { outcome: Outcome<LandingChoice>; ground_m: number | null; took_ms: number } {
    const began = performance.now();
    const outcome = landingChoice(question, terrain, origin);
    const here = terrain ? localPlane(terrain.origin).toPlane(question.position) : null;
    return {
      outcome,
      ground_m: terrain && here ? elevationAt_m(terrain, here.x_m, here.y_m) : null,
      took_ms: performance.now() - began,
    };
  },

  /** The working of one landing end. */
  working(question: ReachQuestion, endId: string): Outcome<WorkingStep[]> {
    const reach = reachOf(question, terrain);
    if (!reach.ok) return reach;
    const end = reach.value.ends.find((candidate) => candidate.endId === endId);
    return end
      ? { ok: true, value: reachWorking(question, reach.value, end) }
      : failure("no_such_end", "This landing end is no longer in the list.");
  },

  /** Any calculation of the registry. */
  calculate(name: string, input: unknown): CalculationResult {
    return calculate(name, input);
  },

  /** Magnetic variation at a place and day. */
  variation(place: LatLon, day: string): MagneticVariation {
    return magneticVariation(place, new Date(`${day}T00:00:00Z`));
  },

  ...departureWork(() => terrain),

  engineOutNow,
  engineOutTables,
  engineOutCard,
  beforeFeathering,
  climbTo,
  belowVmca,
  demonstration,
  identifyAnswer,
  drillRate,
  /** What is to be asked today. */
  recallDay: (...asked: Parameters<typeof recallDay>) => success(recallDay(...asked)),

  /** A take-off over the ground that the worker holds. */
  takeOff: (question: TakeOffQuestion) => takeOffAnswer(question, terrain),
  takeOffSegments: takeOffSegmentsAnswer,

  ...landingWork(() => terrain),

  ...routeWork(() => terrain),
  ...exposureWork(() => terrain),

  ...rotorWork,

  /** Relief as an image; null without terrain. */
  async relief(view: ReliefView, palette: ReliefPalette): Promise<ImageBitmap | null> {
    if (!terrain) return null;
    return bitmap(reliefPixels(terrain, view, palette), view);
  },
};

/** What the worker offers. */
export type CoreWorker = typeof api;

Comlink.expose(api);
