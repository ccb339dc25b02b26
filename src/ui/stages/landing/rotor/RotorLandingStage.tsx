"use client";
import { FlyThis } from "@/ui/situation/FlyThis";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import type { ReactNode } from "react";
import { useDown, useSpot } from "@/ui/answers/useRotorLanding";
import { shownOf, useRotorLooked, useRotorPlaces } from "@/ui/answers/useRotorReach";
import type { Issue } from "@/core/outcome";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { FollowMenu } from "@/ui/situation/follow/FollowMenu";
import { DownAside, DownView } from "../autorotation/DownView";
import { LazyExportMenu } from "../LazyExportMenu";
import { PlanEditor } from "../PlanEditor";
import { exportPath } from "../export-path";
import { SpotAside, SpotView } from "../spot/SpotView";
import { RotorPlacesAside } from "./RotorPlacesAside";
import { usePlacesCard } from "./usePlacesCard";
import { RotorPlacesView } from "./RotorPlacesView";

const VIEWS = ["places", "down"] as const;
type ViewName = (typeof VIEWS)[number];

interface Down {
  readonly name: string;
  readonly question: string;
  readonly issue: Issue | null;
  readonly view: ReactNode;
  readonly aside: ReactNode;
}

/** Where a rotorcraft comes down without engines, and how it is flown. */
function RotorLandingStage({ down }: { down: Down }) {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("places"));
  const { value, issue, asked } = useRotorPlaces();
  const makeCard = usePlacesCard();
  const { pinnedId, pin } = useRotorLooked();
  const refused = view === "places" ? issue : down.issue;
  return (
    <StageFrame
      label="Landing"
      question={view === "places" ? "Where is there room in reach?" : down.question}
      actions={
        view === "places" && (
          <>
            {pinnedId && (
              <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => pin(null)}>
                Follow the best
              </button>
            )}
            <FollowMenu />
            <FlyThis />
            <LazyExportMenu
              onPath={(format) => exportPath(format, shownOf(value, pinnedId)?.way ?? null, asked.origin)}
              onCard={makeCard}
            />
            <PlanEditor />
          </>
        )
      }
      view={view}
      onView={(value) => void setView(value as ViewName)}
      views={{ places: "Places", down: down.name }}
      viewsLabel="Views of the landing"
      refusal={refused && { title: "There is nothing to show.", text: refused.message }}
      aside={view === "places" ? <RotorPlacesAside /> : down.aside}
      narrow="middle"
    >
      <StageView value="places">
        <RotorPlacesView />
      </StageView>
      <StageView value="down">{down.view}</StageView>
    </StageFrame>
  );
}

/** The landing of a helicopter. */
export function HelicopterLandingStage() {
  const { issue } = useDown();
  return (
    <RotorLandingStage
      down={{
        name: "Autorotation",
        question: "How is it flown down without engines?",
        issue,
        view: <DownView />,
        aside: <DownAside />,
      }}
    />
  );
}

/** The landing of a gyroplane. */
export function GyroLandingStage() {
  const { issue } = useSpot();
  return (
    <RotorLandingStage
      down={{
        name: "To a spot",
        question: "Can I reach the spot, with speed for the flare?",
        issue,
        view: <SpotView />,
        aside: <SpotAside />,
      }}
    />
  );
}
