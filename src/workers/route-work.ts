// What the En route stage asks of the worker. The cover of a question is kept for what else is asked about it: a moved
// point, the cursor, the map. No formulas here.
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Outcome, success } from "@/core/outcome";
import { type Detour, detours } from "@/core/route/detour";
import { type RouteAnswer, coverOn, routeAnswer } from "@/core/route/route-answer";
import { type Outlook, type RouteField, quarterTurn_m, routeField } from "@/core/route/route-field";
import { type RouteHere, routeHere, routeWorking } from "@/core/route/route-here";
import type { RouteQuestion } from "@/core/route/route-question";
import type { WorkingStep } from "@/core/working";
import { coverPixels } from "./cover-pixels";
import type { ReliefView } from "./relief";

interface Kept<T> {
  readonly key: string;
  readonly terrain: TerrainGrid | null;
  readonly value: T;
}

/** Something worked out once for what it depends on. */
function kept<T>(): (key: string, terrain: TerrainGrid | null, work: () => T) => T {
  let last: Kept<T> | null = null;
  return (key, terrain, work) => {
    if (last?.key !== key || last.terrain !== terrain) last = { key, terrain, value: work() };
    return last.value;
  };
}

/** The part of the worker that routes ask. */
export function routeWork(terrain: () => TerrainGrid | null) {
  const fields = { nominal: kept<Outcome<RouteField>>(), pessimistic: kept<Outcome<RouteField>>() };
  const answers = kept<Outcome<RouteAnswer>>();

  const fieldOf = (question: RouteQuestion, origin: LatLon, outlook: Outlook) => {
    const { route, ...rest } = question;
    const about = { ...rest, route: { overhead_m: route.overhead_m, places: route.places } };
    const grid = terrain();
    return fields[outlook](JSON.stringify([about, origin]), grid, () => routeField(about, grid, origin, outlook));
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

  return {
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

    /** What is in reach from an altitude, as an image; null without a cover. */
    coverImage: async (
      question: RouteQuestion,
      origin: LatLon,
      altitude_m: number,
      view: ReliefView,
      ink: readonly [number, number, number],
    ): Promise<ImageBitmap | null> => {
      const cover = fieldOf(question, origin, "nominal");
      if (!cover.ok) return null;
      const from_m = altitude_m - quarterTurn_m(question, cover.value, altitude_m);
      const pixels = coverPixels(cover.value.field, view, from_m, ink);
      return createImageBitmap(new ImageData(pixels, view.width, view.height));
    },
  };
}
