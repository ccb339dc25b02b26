import { z } from "zod";
import { WindColumn, windProfile } from "../air/wind";
import { calculation } from "../calculation";
import { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { success } from "../outcome";
import { equalTimePoint } from "../route/equal-time";
import { routeLine } from "../route/route-line";
import { RoutePlan } from "../situation/route-plan";
import { SituationDocument } from "../situation/situation-document";
import { WorkingStep } from "../working";

const SOURCE = "triangle of velocities; t₁ = t₂";

/** Where on a flight two places are equally far in time. */
export const equalTimeCalculation = calculation({
  name: "equal-time",
  cost: "instant",
  question: "Where on this flight does it take as long to one alternate as to the other?",
  sources: [SOURCE, "geodesics: C. F. F. Karney (2013)", "D·GS₂/(GS₁ + GS₂): common practice"],
  input: z.strictObject({
    points: RoutePlan.shape.points,
    first: LatLon,
    second: LatLon,
    tas_mps: z.number().min(10, "A speed is 20 to 660 kt.").max(340, "A speed is 20 to 660 kt."),
    altitude_m: SituationDocument.shape.altitude_m,
    wind: WindColumn,
  }),
  output: z.object({
    distance_m: z.number(),
    position: LatLon,
    time_s: z.number(),
    working: z.array(WorkingStep),
  }),
  run({ points, first, second, tas_mps, altitude_m, wind }) {
    const line = routeLine(points, localPlane(points[0]?.position ?? first));
    if (!line.ok) return line;
    const profile = windProfile(wind, 0);
    if (!profile.ok) return profile;
    const found = equalTimePoint({ line: line.value, first, second, tas_mps, wind: profile.value(altitude_m) });
    if (!found.ok) return found;
    const { distance_m, position, time_s } = found.value;
    const step = (symbol: string, meaning: string, formula: string, value: number, unit: string) => ({
      figure: "equalTime",
      symbol,
      meaning,
      formula,
      value,
      unit,
      source: SOURCE,
    });
    return success({
      distance_m,
      position,
      time_s,
      working: [
        step("V", "true airspeed", "", tas_mps, "m/s"),
        step("d", "from the beginning of the flight", "t₁(d) = t₂(d)", distance_m, "m"),
        step("t", "to either place", "s/(√(V² − w⊥²) + w∥)", time_s, "s"),
      ],
    });
  },
});
