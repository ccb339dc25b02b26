"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useEffect } from "react";
import { useRoute } from "@/ui/answers/route-store";
import { useRouteBesides } from "@/ui/answers/useRouteBesides";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FollowMenu } from "@/ui/situation/follow/FollowMenu";
import { useFollow } from "@/ui/situation/follow/follow-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { ClimbOutView } from "./ClimbOutView";
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

const VIEWS = ["cover", "one-engine", "climb-out", "minutes", "points", "places"] as const;
const QUESTIONS = {
  cover: "Where is a landing place in reach?",
  "one-engine": "Where does one engine carry me?",
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

/** A flight held against the places beside it. */
export function EnRouteStage() {
  const [asked, setView] = useQueryState("route", parseAsStringLiteral(VIEWS));
  const view = asked ?? "cover";
  const { document } = useAeroplane();
  const followed = useFollow((state) => state.source !== null || state.fault !== null);
  const planned = useSituation((state) => state.current.route.points.length > 1);
  useRouteBesides();
  useEffect(() => {
    useRoute.setState({ open: true });
    return () => useRoute.setState({ open: false });
  }, []);
  const twin = document.asymmetric !== null;
  const shown = !planned ? "points" : view === "one-engine" && !twin ? "cover" : view;
  const views: Record<string, string> = planned
    ? {
        cover: "Cover",
        ...(twin ? { "one-engine": "One engine" } : {}),
        "climb-out": "Climb-out",
        minutes: "Minutes left",
        points: "Points",
        places: "Places",
      }
    : { points: "Points" };
  const cautions = document.engines.count > 1 ? [ALL_OUT, ...CAUTIONS] : CAUTIONS;
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
      onView={(value) => void setView(value === "cover" ? null : (value as (typeof VIEWS)[number]))}
      views={views}
      viewsLabel="Views of the flight"
      refusal={
        document.polar
          ? null
          : {
              title: "No cover for this aircraft.",
              text: `${document.name} has no wing polar that a glide is computed with. Choose an aeroplane.`,
            }
      }
      aside={
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledgers">
          {followed && <RouteFollowed onOneEngine={shown === "one-engine"} />}
          {shown === "one-engine" ? <OneEngineAccount /> : <RouteAccount />}
          <Cautions texts={shown === "one-engine" ? ONE_ENGINE_CAUTIONS : cautions} />
        </aside>
      }
    >
      {planned && (
        <StageView value="cover">
          <CoverView />
        </StageView>
      )}
      {planned && twin && (
        <StageView value="one-engine">
          <OneEngineView />
        </StageView>
      )}
      {planned && (
        <StageView value="climb-out">
          <ClimbOutView />
        </StageView>
      )}
      {planned && (
        <StageView value="minutes">
          <MinutesView />
        </StageView>
      )}
      <StageView value="points">
        <PointsView />
      </StageView>
      {planned && (
        <StageView value="places">
          <PlacesView />
        </StageView>
      )}
    </StageFrame>
  );
}
