// What the En route stage asks of the worker. The cover of a question is kept for what else is asked about it: a moved
// point, the cursor, the map. No formulas here.
import { type DriftAnswer, driftAnswer } from "@/core/drift/drift-answer";
import { type DriftField, driftField } from "@/core/drift/drift-field";
import { type DriftHere, driftHere, driftWorking } from "@/core/drift/drift-here";
import type { DriftQuestion } from "@/core/drift/drift-question";
import type { LatLon } from "@/core/earth/geodesic";
import { type CoverGrid, coverGrid } from "@/core/cover/cover-grid";
import type { TerrainGrid } from "@/core/earth/terrain";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { type Outcome, failure, success } from "@/core/outcome";
import { type ClimbOuts, climbOutTracks } from "@/core/route/climb-out-tracks";
import { type Detour, detours } from "@/core/route/detour";
import { type RouteAnswer, coverOn, routeAnswer } from "@/core/route/route-answer";
import { type Outlook, type RouteField, routeField } from "@/core/route/route-field";
import { type MinutesByGround, minutesByGround } from "@/core/restart/minutes-by-ground";
import { type RouteHere, pointAt, routeHere, routeWorking } from "@/core/route/route-here";
import { type RouteHeights, heightsAsked, heightsLeft } from "@/core/route/route-heights";
import type { RouteQuestion } from "@/core/route/route-question";
import type { WorkingStep } from "@/core/working";
import { bitmap } from "./bitmap";
import { coverImage } from "./cover-image";
import { coverPixels } from "./cover-pixels";
import { oneEngineCover } from "./one-engine-cover";
import { heightPixels } from "./height-pixels";
import { kept } from "./kept";
import type { ReliefView } from "./relief";

/** Heights that a glide from so far along the flight leaves; null for those that a place asks for. */
interface HeightsAsked {
  readonly from_m: number | null;
}

interface OneEngine {
  readonly cover: RouteField;
  readonly drift: DriftField;
  readonly answer: DriftAnswer;
}

/** The part of the worker that routes ask. */
export function routeWork(terrain: () => TerrainGrid | null) {
  const fields = { nominal: kept<Outcome<RouteField>>(), pessimistic: kept<Outcome<RouteField>>() };
  const floors = kept<CoverGrid>();
  const answers = kept<Outcome<RouteAnswer>>();

  /** The ground with what is wanted over it: that of a changed wind, and of less counted on, is the same. */
  const floorsOf: typeof coverGrid = (ground, clearance_m, sites) =>
    floors(JSON.stringify([clearance_m, sites]), ground, () => coverGrid(ground, clearance_m, sites));

  const fieldOf = (question: RouteQuestion, origin: LatLon, outlook: Outlook) => {
    const { route, ...rest } = question;
    const about = { ...rest, route: { overhead_m: route.overhead_m, places: route.places } };
    const grid = terrain();
    return fields[outlook](JSON.stringify([about, origin]), grid, () =>
      routeField(about, grid, origin, outlook, undefined, floorsOf),
    );
  };
  const answerOf = (question: RouteQuestion, origin: LatLon) =>
    answers(JSON.stringify([question, origin]), terrain(), () => {
      const cover = fieldOf(question, origin, "nominal");
      return cover.ok ? routeAnswer(question, cover.value, terrain()) : cover;
    });
  const both = <T>(
    question: RouteQuestion,
    origin: LatLon,
    work: (cover: RouteField, answer: RouteAnswer) => T,
  ): Outcome<T> => {
    const cover = fieldOf(question, origin, "nominal");
    if (!cover.ok) return cover;
    const answer = answerOf(question, origin);
    return answer.ok ? success(work(cover.value, answer.value)) : answer;
  };

  const heights = kept<Outcome<RouteHeights>>();
  const heightsOf = (question: RouteQuestion, origin: LatLon, asked: HeightsAsked) =>
    heights(JSON.stringify([question, origin, asked]), terrain(), () => {
      const [cover, answer] = [fieldOf(question, origin, "nominal"), answerOf(question, origin)];
      if (!cover.ok) return cover;
      if (asked.from_m === null) return success(heightsAsked(question, cover.value));
      return answer.ok ? heightsLeft(question, cover.value, pointAt(answer.value.points, asked.from_m)) : answer;
    });

  const flownOnOne = kept<Outcome<OneEngine>>();
  const onOneEngine = (question: DriftQuestion, origin: LatLon) => {
    // The same question with all engines, so that its cover is found.
    const { centreOfGravity: _cg, feather_s: _feather, ...all } = question;
    return flownOnOne(JSON.stringify([question, origin]), terrain(), () => {
      const [cover, flight] = [fieldOf(all, origin, "nominal"), answerOf(all, origin)];
      if (!cover.ok) return cover;
      if (!flight.ok) return flight;
      const drift = driftField(question, cover.value, terrain());
      if (!drift.ok) return drift;
      const answer = driftAnswer(question, cover.value, drift.value, flight.value);
      return success({ cover: cover.value, drift: drift.value, answer });
    });
  };
  const ofOneEngine = <T>(question: DriftQuestion, origin: LatLon, work: (all: OneEngine) => T): Outcome<T> => {
    const all = onOneEngine(question, origin);
    return all.ok ? success(work(all.value)) : all;
  };
  const hereOnOne = ({ cover, drift, answer }: OneEngine, distance_m: number) =>
    driftHere(cover, drift, answer, distance_m);

  return {
    oneEngine: (question: DriftQuestion, origin: LatLon): Outcome<DriftAnswer> =>
      ofOneEngine(question, origin, ({ answer }) => answer),

    oneEngineHere: (question: DriftQuestion, origin: LatLon, distance_m: number): Outcome<DriftHere> =>
      ofOneEngine(question, origin, (all) => hereOnOne(all, distance_m)),

    /** @param index - of the ways at the cursor */
    oneEngineWorking: (
      question: DriftQuestion,
      origin: LatLon,
      distance_m: number,
      index: number,
    ): Outcome<WorkingStep[]> =>
      ofOneEngine(question, origin, (all) => driftWorking(hereOnOne(all, distance_m), index)),

    /** From where an alternate is reached on one engine at an altitude, and from where none, as an image. */
    oneEngineImage: async (
      question: DriftQuestion,
      origin: LatLon,
      altitude_m: number,
      view: ReliefView,
      inks: { readonly reach: readonly [number, number, number]; readonly none: readonly [number, number, number] },
    ): Promise<ImageBitmap | null> => {
      const all = onOneEngine(question, origin);
      if (!all.ok) return null;
      const pixels = coverPixels(oneEngineCover(all.value.drift, altitude_m), view, altitude_m, inks.reach, inks.none);
      return bitmap(pixels, view);
    },

    route: (question: RouteQuestion, origin: LatLon): { outcome: Outcome<RouteAnswer>; took_ms: number } => {
      const began = performance.now();
      const outcome = answerOf(question, origin);
      return { outcome, took_ms: performance.now() - began };
    },

    /** What is needed at each point of the flight when less is counted on. */
    routePessimistic: (question: RouteQuestion, origin: LatLon): Outcome<(number | null)[]> => {
      const answer = answerOf(question, origin);
      if (!answer.ok) return answer;
      const cover = fieldOf(question, origin, "pessimistic");
      if (!cover.ok) return cover;
      return success(answer.value.points.map((point) => coverOn(question, cover.value, point, point).cover_m));
    },

    routeDetours: (question: RouteQuestion, origin: LatLon): Outcome<Detour[]> =>
      both(question, origin, (cover, answer) => detours(question, cover, answer, terrain())),

    routeHere: (question: RouteQuestion, origin: LatLon, distance_m: number): Outcome<RouteHere> =>
      both(question, origin, (cover, answer) => routeHere(question, cover, answer, distance_m)),

    routeWorking: (question: RouteQuestion, origin: LatLon, distance_m: number): Outcome<WorkingStep[]> =>
      both(question, origin, (cover, answer) => routeWorking(routeHere(question, cover, answer, distance_m))),

    /** The climb-outs from the runway that the route begins at. */
    routeClimbOut: (question: RouteQuestion, origin: LatLon, endId: string | null): Outcome<ClimbOuts> =>
      climbOutTracks(question, terrain(), origin, endId),

    /** The cover as a file. */
    coverFile: async (
      question: RouteQuestion,
      origin: LatLon,
      format: "ascii" | "geojson",
    ): Promise<Outcome<string>> => {
      const cover = fieldOf(question, origin, "nominal");
      if (!cover.ok) return cover;
      // What traces contours comes when they are asked for.
      const { coverAreas, coverAscii } = await import("./cover-export");
      const { field, plane } = cover.value;
      return success(format === "ascii" ? coverAscii(field) : coverAreas(field, plane));
    },

    /** What becomes of an engine that has some minutes left at the cursor. */
    routeMinutes: (
      question: RouteQuestion,
      origin: LatLon,
      distance_m: number,
      left_s: number,
    ): Outcome<MinutesByGround[]> => {
      const [cover, answer] = [fieldOf(question, origin, "nominal"), answerOf(question, origin)];
      if (!cover.ok) return cover;
      if (!answer.ok) return answer;
      const { aircraft } = question;
      if (!isAeroplane(aircraft)) return failure("no_minutes", "Minutes left are those of an aeroplane’s engine.");
      return minutesByGround({ ...question, aircraft }, cover.value, pointAt(answer.value.points, distance_m), left_s);
    },

    /** The heights of `heightsOf`, as an image; null where there are none. */
    heightImage: async (
      question: RouteQuestion,
      origin: LatLon,
      asked: HeightsAsked,
      levels_m: readonly number[],
      view: ReliefView,
      inks: { readonly pine: readonly [number, number, number]; readonly brick: readonly [number, number, number] },
    ): Promise<ImageBitmap | null> => {
      const heights = heightsOf(question, origin, asked);
      if (!heights.ok) return null;
      const none = asked.from_m === null ? inks.brick : null;
      const pixels = heightPixels(heights.value, view, levels_m, inks.pine, none);
      return bitmap(pixels, view);
    },

    /** What is in reach from an altitude, as an image; null without a cover. */
    coverImage: async (
      question: RouteQuestion,
      origin: LatLon,
      altitude_m: number,
      view: ReliefView,
      ink: readonly [number, number, number],
    ): Promise<ImageBitmap | null> => {
      const cover = fieldOf(question, origin, "nominal");
      return cover.ok ? coverImage(question, cover.value, altitude_m, view, ink) : null;
    },
  };
}
