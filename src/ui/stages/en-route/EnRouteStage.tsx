"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useEffect } from "react";
import { useRoute } from "@/ui/answers/route-store";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useAircraft } from "@/ui/situation/useAircraft";
import { useSituation } from "@/ui/situation/situation-store";
import { CoverView } from "./CoverView";
import { PlacesView } from "./PlacesView";
import { PointsView } from "./PointsView";
import { RouteAccount } from "./RouteAccount";
import { RouteExport } from "./RouteExport";
import { RoutePlanEditor } from "./RoutePlanEditor";

const VIEWS = ["cover", "points", "places"] as const;
const QUESTIONS = {
  cover: "Where along this flight is a landing place in reach?",
  points: "Where does this flight lead, and how high?",
  places: "Which places count, and how are they known?",
};

const CAUTIONS = [
  "Estimate for planning. The flight manual, local rules and your instructor come first.",
  "Surveyed, not prepared: fields and beaches change. Look before you commit.",
  "Wind over hills sinks and rises: the glide is that of still air in it.",
];

const ALL_OUT = "Held against the glide with all engines stopped. What one engine still does: see Engine out.";

/** A flight held against the places beside it. */
export function EnRouteStage() {
  const [asked, setView] = useQueryState("route", parseAsStringLiteral(VIEWS));
  const view = asked ?? "cover";
  const { document } = useAircraft();
  const planned = useSituation((state) => state.current.route.points.length > 1);
  useEffect(() => {
    useRoute.setState({ open: true });
    return () => useRoute.setState({ open: false });
  }, []);
  const shown = planned ? view : "points";
  const views: Record<string, string> = planned
    ? { cover: "Cover", points: "Points", places: "Places" }
    : { points: "Points" };
  return (
    <StageFrame
      label="En route"
      question={QUESTIONS[shown]}
      actions={
        <>
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
          <RouteAccount />
          <Cautions texts={document.engines.count > 1 ? [ALL_OUT, ...CAUTIONS] : CAUTIONS} />
        </aside>
      }
    >
      {planned && (
        <StageView value="cover">
          <CoverView />
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
