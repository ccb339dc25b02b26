"use client";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { Fleet } from "./Fleet";
import { HandbookForm } from "./HandbookForm";
import { LoadingView } from "./LoadingView";
import { MassTable } from "./MassTable";
import { PolarView } from "./PolarView";
import { ShelfView } from "./ShelfView";
import { StallView } from "./StallView";
import { useEdited } from "./useEdited";
import { missingFigures } from "./notes";
import { useNumbersCard } from "./useNumbersCard";

const VIEWS = ["polar", "shelf", "stall", "mass", "loading", "handbook"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  polar: "Sink and speed",
  shelf: "Drag shelf",
  stall: "Stall",
  mass: "By mass",
  loading: "Seats and fuel",
  handbook: "Handbook and fit",
};

/** The numbers of an aeroplane. */
export function AeroplaneViews() {
  const [asked, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("polar"));
  const edited = useEdited();
  // Without a polar there is only the book to show.
  const modelled = edited.document.polar !== null;
  const view = modelled ? asked : "handbook";
  const makeCard = useNumbersCard();
  return (
    <StageFrame
      label="Numbers"
      question="Do I know its numbers?"
      subject={edited.document.name}
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={modelled ? VIEW_NAMES : { handbook: VIEW_NAMES.handbook }}
      viewsLabel="Views of the aircraft"
      aside={<Fleet missing={missingFigures(edited.document)} />}
      narrow="slim"
    >
      <StageView value="polar" className="bg-sheet">
        <PolarView />
      </StageView>
      <StageView value="shelf" className="bg-sheet">
        <ShelfView />
      </StageView>
      <StageView value="stall" className="bg-sheet">
        <StallView />
      </StageView>
      <StageView value="mass" className="bg-sheet">
        <MassTable onCard={makeCard} />
      </StageView>
      <StageView value="loading" className="bg-sheet">
        <LoadingView />
      </StageView>
      <StageView value="handbook" className="bg-sheet">
        <HandbookForm />
      </StageView>
    </StageFrame>
  );
}
