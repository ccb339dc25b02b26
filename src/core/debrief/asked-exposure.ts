// The question that a kept log asks about its exposure: its own aircraft, day and wind; pilot, plans and places are the
// situation's. Apart from what checks it, so that a page can ask without that.
import type { WindColumn } from "../air/wind";
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { firstConfiguration } from "../aircraft/configuration";
import type { Place } from "../places/place";
import { routePlaces } from "../route/asked-route";
import type { SituationDocument } from "../situation/situation-document";
import type { FoundFlight } from "../track/analyse";
import type { DrawnTrack } from "../track/drawn-track";
import type { KeptLog } from "../track/kept-log";
import type { FittedWind } from "../track/wind/fitted-wind";
import { windColumn } from "../track/wind/wind-column";
import type { ExposureQuestion } from "./exposure-question";
import { exposureTrack } from "./exposure-track";

/** Of a log: what was flown, and the wind that was found in it. */
export interface FlownLog {
  readonly drawn: DrawnTrack;
  readonly flights: readonly FoundFlight[];
  readonly wind: FittedWind | null;
}

/** The question; `aircraft` is the log's. */
export function exposureQuestion(
  { mass_kg, deviation_K, wind }: Pick<KeptLog, "mass_kg" | "deviation_K" | "wind">,
  aircraft: AircraftDocument,
  flown: FlownLog,
  { air, pilot, plan, landing, route }: Pick<SituationDocument, "air" | "pilot" | "plan" | "landing" | "route">,
  places: readonly Place[],
): ExposureQuestion {
  const ground_m = flown.flights[0]?.takeOff?.ground_m ?? flown.flights[0]?.landing?.ground_m ?? 0;
  const told: WindColumn | null = wind && { surface: wind, layers: [] };
  return {
    aircraft,
    mass_kg,
    configuration: firstConfiguration(aircraft),
    air: { ...air, deviation_K: deviation_K ?? 0 },
    wind: flown.wind ? windColumn(flown.wind, ground_m) : (told ?? { surface: null, layers: [] }),
    pilot,
    plan,
    // A flap of the situation's aircraft says nothing of this one.
    landing: { ...landing, flap: null },
    places: routePlaces(places),
    route: { overhead_m: route.overhead_m, places: route.places },
    track: exposureTrack(flown.drawn, flown.flights, route.overhead_m + plan.reserve_m),
  };
}
