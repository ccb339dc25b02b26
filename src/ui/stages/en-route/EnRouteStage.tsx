"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { type ReactNode, useEffect } from "react";
import { useRoute } from "@/ui/answers/route-store";
import { useRouteBesides } from "@/ui/answers/useRouteBesides";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FollowMenu } from "@/ui/situation/follow/FollowMenu";
import { useFollow } from "@/ui/situation/follow/follow-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { ClimbOutView } from "./ClimbOutView";
import { EnvelopeAside, EnvelopeView } from "./envelope/EnvelopeView";
import { CoverView } from "./CoverView";
import { MinutesView } from "./MinutesView";
import { OneEngineAccount } from "./OneEngineAccount";
import { OneEngineView } from "./OneEngineView";
import { PlacesView } from "./PlacesView";
import { PointsView } from "./PointsView";
import { RouteAccount } from "./RouteAccount";
import { RouteExport } from "./RouteExport";
import { RouteFollowed } from "./RouteFollowed";
import { RoutePlanEditor } from "./RoutePlanEditor";

const VIEWS = ["cover", "one-engine", "envelope", "climb-out", "minutes", "points", "places"] as const;
type ViewName = (typeof VIEWS)[number];
const QUESTIONS = {
  cover: "Where is a landing place in reach?",
  "one-engine": "Where does one engine carry me?",
  envelope: "How high and how fast on one engine?",
  "climb-out": "Climbing out, where is no place in reach?",
  minutes: "Minutes left: climb, fly on or shut it down?",
  points: "Where does this flight lead, and how high?",
  places: "Which places count, and how are they known?",
};

const CAUTIONS = [
  "Estimate for planning. The flight manual, local rules and your instructor come first.",
  "Surveyed, not prepared: fields and beaches change. Look before you commit.",
  "Wind over hills sinks and rises: the glide is that of still air in it.",
];

const ALL_OUT = "Held against the glide with all engines stopped. What one engine still does: see One engine.";

const ONE_ENGINE_CAUTIONS = [
  "Estimate for planning. The flight manual, local rules and your instructor come first.",
  "Height over the ground on the way and the net gradient are examples of rules. Yours come first.",
  "Figures for everything mended, no turbulence, no ice.",
];

/** The views of a flight: those of the aircraft's kind, and without a route those that need none. */
function viewsOf(document: AircraftDocument, planned: boolean): Partial<Record<ViewName, string>> {
  const winged = isAeroplane(document);
  const oneOfTwo = document.category === "helicopter" && document.engines.count > 1;
  return {
    ...(planned ? { cover: "Cover" } : {}),
    ...(planned && winged && document.asymmetric !== null ? { "one-engine": "One engine" } : {}),
    ...(oneOfTwo ? { envelope: "One engine" } : {}),
    ...(planned && winged ? { "climb-out": "Climb-out", minutes: "Minutes left" } : {}),
    points: "Points",
    ...(planned ? { places: "Places" } : {}),
  };
}

/** A flight held against the places beside it. */
export function EnRouteStage() {
  const [asked, setView] = useQueryState("route", parseAsStringLiteral(VIEWS));
  const { document } = useAircraft();
  const followed = useFollow((state) => state.source !== null || state.fault !== null);
  const planned = useSituation((state) => state.current.route.points.length > 1);
  useRouteBesides();
  useEffect(() => {
    useRoute.setState({ open: true });
    return () => useRoute.setState({ open: false });
  }, []);
  const views = viewsOf(document, planned);
  const view = asked ?? "cover";
  const shown = view in views ? view : planned ? "cover" : "points";
  const cautions = document.engines.count > 1 ? [ALL_OUT, ...CAUTIONS] : CAUTIONS;
  const contents: readonly [ViewName, ReactNode][] = [
    ["cover", <CoverView key="cover" />],
    ["one-engine", <OneEngineView key="one-engine" />],
    ["envelope", <EnvelopeView key="envelope" />],
    ["climb-out", <ClimbOutView key="climb-out" />],
    ["minutes", <MinutesView key="minutes" />],
    ["points", <PointsView key="points" />],
    ["places", <PlacesView key="places" />],
  ];
  return (
    <StageFrame
      label="En route"
      question={QUESTIONS[shown]}
      actions={
        <>
          {planned && <FollowMenu />}
          <RouteExport />
          <RoutePlanEditor />
        </>
      }
      view={shown}
      onView={(value) => void setView(value === "cover" ? null : (value as ViewName))}
      views={views}
      viewsLabel="Views of the flight"
      refusal={
        isAeroplane(document) && !document.polar
          ? {
              title: "No cover for this aircraft.",
              text: `${document.name} has no wing polar that a glide is computed with: fit it to its book.`,
            }
          : null
      }
      aside={
        shown === "envelope" ? (
          <EnvelopeAside />
        ) : (
          <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledgers">
            {followed && <RouteFollowed onOneEngine={shown === "one-engine"} />}
            {shown === "one-engine" ? <OneEngineAccount /> : <RouteAccount />}
            <Cautions texts={shown === "one-engine" ? ONE_ENGINE_CAUTIONS : cautions} />
          </aside>
        )
      }
    >
      {contents
        .filter(([name]) => name in views)
        .map(([name, content]) => (
          <StageView key={name} value={name}>
            {content}
          </StageView>
        ))}
    </StageFrame>
  );
}
