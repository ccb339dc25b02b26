"use client";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useFlyAway } from "@/ui/answers/useHoverAnswer";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { OneViewStage } from "@/ui/kit/page/OneViewStage";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlyAwayAccount } from "../../FlyAwayAccount";
import { HoverSwitches } from "../../HoverSwitches";
import { FlyAwayView } from "./FlyAwayView";
import { departureDecision, rejectWords } from "./height-words";

const CAUTIONS = [
  "A sketch by energy for planning and training. The manual’s height–velocity diagram and its departure procedures decide.",
  "Ground effect, obstacles, gusts and the pad’s edge are not in it.",
];

/** If an engine fails on departure: back down, or away? */
export function HoverDepartureStage() {
  const { issue } = useFlyAway();
  return (
    <OneViewStage
      label="Departure"
      question="If an engine fails on departure: back down, or away?"
      view="Heights and fly-away"
      actions={<FlyThis hovers />}
      issue={issue}
      controls={<HoverSwitches />}
      aside={<Decision />}
    >
      <FlyAwayView />
    </OneViewStage>
  );
}

function Decision() {
  const { value } = useFlyAway();
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const { heights, away } = value;
  const { safe, ...said } = departureDecision(heights, format);
  return (
    <DecisionAside said={said} good={safe} cautions={CAUTIONS}>
      <AsideFigures>
        <dt>Back down up to</dt>
        <dd className="num">{rejectWords(heights.rejectBelow_m, format)}</dd>
        <dt>Fly away from</dt>
        <dd className="num">
          {heights.flyAwayFrom_m === null ? "none" : format("height", heights.flyAwayFrom_m, "up")}
        </dd>
      </AsideFigures>
      {away.ok && (
        <div className="border-t border-rule px-4 py-3">
          <FlyAwayAccount away={away.value} />
        </div>
      )}
    </DecisionAside>
  );
}
