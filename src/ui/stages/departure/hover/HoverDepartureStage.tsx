"use client";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { REACTION_S } from "@/core/rotor/fly-away";
import { useFlyAway, useFlyAwayAsked } from "@/ui/answers/useHoverAnswer";
import { Cautions } from "@/ui/kit/page/Cautions";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
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
    <StageFrame
      label="Departure"
      question="If an engine fails on departure: back down, or away?"
      view="away"
      onView={() => undefined}
      views={{ away: "Heights and fly-away" }}
      viewsLabel="Views of the departure"
      refusal={issue && { title: "There is nothing to show.", text: issue.message }}
      aside={<Decision />}
      narrow="middle"
      className="grid-rows-[auto_auto_minmax(0,1fr)] bg-sheet"
    >
      <HoverSwitches />
      <StageView value="away">
        <FlyAwayView />
      </StageView>
    </StageFrame>
  );
}

function Decision() {
  const { value } = useFlyAway();
  const { rating: index, ...asked } = useFlyAwayAsked();
  const format = useFormat();
  if (!value) return <aside className="border-l border-rule" aria-label="Decision" />;
  const { heights, away, rating } = value;
  const said = departureDecision(heights, format);
  const source = {
    calculation: { name: "fly-away", input: { ...asked, rating: asked.aircraft.engines.ratings[index].name } },
  };
  return (
    <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Decision">
      <section className="px-4 py-3" aria-label="Decision">
        <p className={said.safe ? "" : "text-brick"}>
          <strong className="block text-[20px] leading-6">Sketch: {said.lead}</strong> {said.rest}
        </p>
      </section>
      <dl className="grid grid-cols-[1fr_auto] gap-y-1 border-t border-rule px-4 py-3 text-[15px] [&>dd]:text-right [&>dt]:text-ink2">
        <dt>Back down up to</dt>
        <dd className="num">{rejectWords(heights.rejectBelow_m, format)}</dd>
        <dt>Fly away from</dt>
        <dd className="num">
          {heights.flyAwayFrom_m === null ? "none" : format("height", heights.flyAwayFrom_m, "up")}
        </dd>
      </dl>
      {away.ok && (
        <dl className="grid grid-cols-[1fr_auto] gap-y-1 border-t border-rule px-4 py-3 text-[15px] [&>dd]:text-right [&>dt]:text-ink2">
          <dt>Reaction, {formatNumber(REACTION_S)} s</dt>
          <dd className="num">{format("height", away.value.reaction_m)}</dd>
          <dt>Gathering speed, {formatNumber(degrees(away.value.tilt_rad))}° forward</dt>
          <dd className="num">{format("height", away.value.accelerating_m)}</dd>
          <dt>Levelling at V_TOSS</dt>
          <dd className="num">{format("height", away.value.levelling_m)}</dd>
          <dt className="font-semibold !text-ink">Lost, on {rating.name}</dt>
          <dd>
            <Figure title="Height lost flying away" figure="flyAway" source={source} className="font-semibold">
              {format("height", away.value.loss_m, "up")}
            </Figure>
          </dd>
          <dt>Least rotor speed</dt>
          <dd className="num">{formatNumber(away.value.leastNr * 100)} %</dd>
          <dt>Time of the rating used</dt>
          <dd className="num">{formatNumber(away.value.time_s)} s</dd>
          <dt>Then climbs</dt>
          <dd className="num">{format("verticalSpeed", away.value.climb_mps)}</dd>
        </dl>
      )}
      <div className="mt-auto">
        <Cautions texts={CAUTIONS} />
      </div>
    </aside>
  );
}
