import { type WorkingStep, workingStep } from "../working";
import type { RouteField } from "../route/route-field";
import type { Exposure, ExposurePoint } from "./exposure";
import type { ExposureQuestion } from "./exposure-question";

const COVER = "straight legs between turn points over the grid (A. Nash et al., AAAI 2007, memory); wind by height";
const GLIDE = "equilibrium of the straight glide";
const LOG = "log";

/** What was needed at a fix. */
export function exposureHereWorking(
  { route, plan }: Pick<ExposureQuestion, "route" | "plan">,
  { places }: Pick<Exposure, "places">,
  { altitude_m, cover_m, reaction_m, turn_m, place }: ExposurePoint,
): WorkingStep[] {
  const step = (symbol: string, meaning: string, formula: string, value: number | string, unit: string, by: string) =>
    workingStep("cover", symbol, meaning, formula, value, unit, by);
  const flown = step("h", "altitude flown", "", altitude_m, "m", LOG);
  if (cover_m === null)
    return [flown, step("", "place in reach", "", "none from any altitude that was looked at", "", COVER)];
  return [
    flown,
    step("Δh_r", "reaction, the engine stopped", "t·w/√σ", reaction_m, "m", `pilot's own; ${GLIDE}`),
    step("Δh_t", "turn to the way", "Δψ·(dh/dψ)/σ", turn_m, "m", "equilibrium of the gliding turn"),
    step("", "nearest in height", "", places[place].name, "", "places"),
    step("z", "its elevation", "", places[place].elevation_m, "m", "places"),
    step("Δh_a", "height wanted overhead it", "", route.overhead_m, "m", "route plan"),
    step("Δh_0", "reserve", "", plan.reserve_m, "m", "approach plan"),
    step("h_n", "needed here", "way + z + Δh_a + Δh_0 + Δh_r + Δh_t", cover_m, "m", COVER),
    step("Δh", "in hand", "h − h_n", altitude_m - cover_m, "m", COVER),
  ];
}

/** What a flight was exposed to, and what the figures rest on. */
export function exposureWorking(
  found: Exposure,
  { glide, places, flat }: Pick<RouteField, "glide" | "places" | "flat">,
): WorkingStep[] {
  const step = (symbol: string, meaning: string, formula: string, value: number | string, unit: string, by: string) =>
    workingStep("exposed", symbol, meaning, formula, value, unit, by);
  return [
    step("V", "speed of the glide, equivalent", "", glide.eas_mps, "m/s", GLIDE),
    step("L/D", "distance for height in still air", "", glide.ratio, "", GLIDE),
    step("n", "places that count", "", places.length, "", "route plan; landing plan"),
    step("", "ground", "", flat ? "not known: taken as flat" : "terrain with clearance", "", "terrain"),
    ...found.byPhase.flatMap(({ phase, time_s, exposed_s }) => [
      step("t", `flown: ${phase}`, "", time_s, "s", LOG),
      step("t_e", `of it without a place: ${phase}`, "Σ Δt where h < h_n", exposed_s, "s", COVER),
    ]),
    step("t_e", "without a place in reach", "Σ Δt where h < h_n", found.exposed_s, "s", COVER),
    ...found.higher.map(({ lift_m, exposed_s }) =>
      workingStep("higher", "t_e", `level flight ${lift_m} m higher`, "Σ Δt where h + Δ < h_n", exposed_s, "s", COVER),
    ),
  ];
}
