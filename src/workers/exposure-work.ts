// What the Debrief stage asks of the worker about a flown flight and the cover of its day. No formulas here.
import { type Exposure, exposure } from "@/core/debrief/exposure";
import type { ExposureQuestion } from "@/core/debrief/exposure-question";
import { exposureHereWorking, exposureWorking } from "@/core/debrief/exposure-working";
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Outcome, failure, success } from "@/core/outcome";
import { type FieldQuestion, type RouteField, routeField } from "@/core/route/route-field";
import type { WorkingStep } from "@/core/working";
import { coverImage } from "./cover-image";
import { kept } from "./kept";
import type { ReliefView } from "./relief";

/** The part of the worker that flown flights ask. */
export function exposureWork(terrain: () => TerrainGrid | null) {
  const fields = kept<Outcome<RouteField>>();
  const answers = kept<Outcome<Exposure>>();
  const fieldOf = (about: FieldQuestion, origin: LatLon) =>
    fields(JSON.stringify([about, origin]), terrain(), () => routeField(about, terrain(), origin, "nominal"));
  const answerOf = ({ track, ...about }: ExposureQuestion, origin: LatLon) =>
    answers(JSON.stringify([about, origin, track]), terrain(), () => {
      const cover = fieldOf(about, origin);
      return cover.ok ? exposure({ ...about, track }, cover.value, terrain()) : cover;
    });

  return {
    exposure: answerOf,

    /** @param index - of the fix whose need is shown */
    exposureWorking: (question: ExposureQuestion, origin: LatLon, index: number): Outcome<WorkingStep[]> => {
      const { track: _track, ...about } = question;
      const [cover, found] = [fieldOf(about, origin), answerOf(question, origin)];
      if (!cover.ok) return cover;
      if (!found.ok) return found;
      const point = found.value.points.at(index);
      if (!point) return failure("no_such_fix", "This fix is no longer in the log.");
      return success([
        ...exposureWorking(found.value, cover.value),
        ...exposureHereWorking(question, found.value, point),
      ]);
    },

    /** What is in reach from an altitude on that day, as an image; null without a cover. */
    exposureImage: async (
      about: FieldQuestion,
      origin: LatLon,
      altitude_m: number,
      view: ReliefView,
      ink: readonly [number, number, number],
    ): Promise<ImageBitmap | null> => {
      const cover = fieldOf(about, origin);
      return cover.ok ? coverImage(about, cover.value, altitude_m, view, ink) : null;
    },
  };
}
