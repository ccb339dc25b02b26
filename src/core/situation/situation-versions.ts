// Situation documents of every version that was ever written.
import { z } from "zod";
import { type OldDocument, completed, versionedDocument } from "../versions";
import { DEFAULT_DEPARTURE } from "./departure-plan";
import { DEFAULT_LANDING } from "./landing-plan";
import { DEFAULT_ONE_ENGINE } from "./one-engine-plan";
import { DEFAULT_RESTART } from "./restart-plan";
import { DEFAULT_ROUTE } from "./route-plan";
import { SituationDocument } from "./situation-document";
import { DEFAULT_TAKE_OFF } from "./take-off-plan";

/** Version 1 had no departure. */
const withDeparture = (old: OldDocument): OldDocument => ({ departure: DEFAULT_DEPARTURE, ...old });

/** Version 2 did not say which engine has stopped nor what one engine must do. */
const withOneEngine = (old: OldDocument): OldDocument => ({ oneEngine: DEFAULT_ONE_ENGINE, ...old });

/** Until version 3 what had its usual value could be left out: whole plans, and what was added to them. */
function nothingLeftOut(old: OldDocument): OldDocument {
  const within = z.looseObject({ twoEngines: z.unknown() }).safeParse(old.departure);
  const departure = within.success
    ? { ...within.data, twoEngines: completed(within.data.twoEngines, DEFAULT_TAKE_OFF) }
    : old.departure;
  return {
    ...old,
    departure: completed(departure, DEFAULT_DEPARTURE),
    restart: completed(old.restart, DEFAULT_RESTART),
    landing: completed(old.landing, DEFAULT_LANDING),
    oneEngine: completed(old.oneEngine, DEFAULT_ONE_ENGINE),
  };
}

/** Version 4 did not say what is on board, nor where its wind aloft came from. */
const withLoad = (old: OldDocument): OldDocument => ({ load: null, aloftAt: null, ...old });

/** Version 5 had no route. */
const withRoute = (old: OldDocument): OldDocument => ({ route: DEFAULT_ROUTE, ...old });

/** Version 6 had no alternates, no climb-out and no places that are left out by hand. */
const withAlternates = (old: OldDocument): OldDocument => {
  const route = z.looseObject({ places: z.unknown() }).safeParse(old.route);
  return {
    ...old,
    route: route.success
      ? completed({ ...route.data, places: completed(route.data.places, DEFAULT_ROUTE.places) }, DEFAULT_ROUTE)
      : old.route,
  };
};

/** Version 7 knew no figures that are the pilot's own. */
const withOwnFigures = (old: OldDocument): OldDocument => {
  const pilot = z.looseObject({}).safeParse(old.pilot);
  return { ...old, pilot: pilot.success ? { own: null, ...pilot.data } : old.pilot };
};

const versions = versionedDocument("utrimax/situation", "situation", SituationDocument, [
  withDeparture,
  withOneEngine,
  nothingLeftOut,
  withLoad,
  withRoute,
  withAlternates,
  withOwnFigures,
]);

/** A situation of this or an earlier version, brought up to this one. */
export const SituationOfAnyVersion = z.preprocess(versions.upgraded, SituationDocument);

/** Reads a situation of any version. */
export const readSituation = versions.read;
