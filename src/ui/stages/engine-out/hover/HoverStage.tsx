"use client";
import { FlyThis } from "@/ui/situation/FlyThis";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { formatNumber } from "@/core/quantities/units";
import { HOIST_RESERVE_S } from "@/core/rotor/hoist-case";
import { hoverSafety } from "@/core/rotor/hover-heights";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useHoverTrial } from "@/ui/answers/hover-store";
import { useFlyAway, useHover, useHoverAsked } from "@/ui/answers/useHoverAnswer";
import { ClockView } from "./ClockView";
import { FlyAwayAccount } from "../../FlyAwayAccount";
import { HoverSwitches } from "../../HoverSwitches";
import { HoverView, hoverSource } from "./HoverView";
import { hoverDecision } from "./hover-words";

const VIEWS = ["hover", "clock"] as const;
const VIEW_NAMES: Record<(typeof VIEWS)[number], string> = {
  hover: "Hover on one engine",
  clock: "Ratings’ clock",
};
const CAUTIONS = [
  "Estimate for planning and training. The flight manual’s charts, its height–velocity diagram and your instructor come first.",
  "Ratings are emergencies: a 30-second or 2-minute rating is used when an engine has failed, and the engine is looked at afterwards.",
  "Practise with the training mode at height, never by shutting an engine down in a hover.",
];

/** Can the hover be held on one engine? */
export function HoverStage() {
  const [view, setView] = useQueryState("view", parseAsStringLiteral(VIEWS).withDefault("hover"));
  const { issue } = useHover();
  return (
    <StageFrame
      label="One engine"
      question="Can I hold this hover on one engine, and for how long?"
      actions={<FlyThis hovers />}
      view={view}
      onView={(value) => void setView(value as (typeof VIEWS)[number])}
      views={VIEW_NAMES}
      viewsLabel="Views of one engine"
      refusal={issue && { title: "There is nothing to show.", text: issue.message }}
      aside={<HoverAside />}
      narrow="middle"
      className="grid-rows-[auto_auto_minmax(0,1fr)] bg-sheet"
    >
      <HoverSwitches />
      <StageView value="hover">
        <HoverView />
      </StageView>
      <StageView value="clock">
        <ClockView />
      </StageView>
    </StageFrame>
  );
}

/** The decision, the hoist, what the fly-away costs, the cautions. */
function HoverAside() {
  const { value } = useHover();
  const asked = useHoverAsked();
  const change = useHoverTrial((state) => state.try);
  const format = useFormat();
  if (!value) return <DecisionAside said={null} good cautions={[]} />;
  const said = hoverDecision(value, format);
  const { hoist, hover } = value;
  return (
    <DecisionAside said={said} good={said.holds} cautions={CAUTIONS}>
      <section className="border-t border-rule px-4 py-2" aria-label="Hoist">
        <h2 className="font-bold">Somebody on the hoist</h2>
        <SliderField
          label="Until they are inside"
          value={asked.needed_s}
          min={0}
          max={180}
          step={5}
          shown={`${formatNumber(asked.needed_s)} s`}
          onChange={(needed_s) => change({ needed_s })}
        />
        <dl className="grid grid-cols-[1fr_auto] gap-y-1 text-[15px] [&>dd]:text-right [&>dt]:text-ink2">
          <dt>Power required</dt>
          <dd>
            <Figure title="Power required in the hover" figure="hoverPower" source={hoverSource(asked)}>
              {format("power", hover.required.shaft_W)}
            </Figure>
          </dd>
          <dt>Held on</dt>
          <dd className="num">{hoist.on?.rating.name ?? "nothing"}</dd>
          <dt>Over, {formatNumber(HOIST_RESERVE_S)} s kept back</dt>
          <dd className={`num ${hoist.holds ? "text-pine" : "text-brick"}`}>
            {hoist.on === null
              ? "–"
              : hoist.spare_s === null
                ? "no limit"
                : hoist.spare_s >= 0
                  ? `${formatNumber(hoist.spare_s)} s`
                  : `short ${formatNumber(-hoist.spare_s)} s`}
          </dd>
          {hoist.lighterBy_kg !== null && (
            <>
              <dt>Enough if lighter by</dt>
              <dd className="num">{format("mass", hoist.lighterBy_kg, "up")}</dd>
            </>
          )}
        </dl>
      </section>
      <FlyAwayShort />
    </DecisionAside>
  );
}

const WAY_WORDS = {
  either: "Back down or away: both are safe here.",
  "fly-away": "High enough to fly away.",
  reject: "Low enough to go back down.",
  neither: "Neither way is safe from here.",
};

/** What the fly-away costs, in the order in which it is spent. */
function FlyAwayShort() {
  const { value } = useFlyAway();
  const skids_m = useHoverTrial((state) => state.skids_m);
  const heading = <h2 className="font-bold">Then fly away</h2>;
  if (!value)
    return (
      <section className="border-t border-rule px-4 py-2" aria-label="Then fly away">
        {heading}
        <p className="text-[14px] text-ink2">Searching the tilt …</p>
      </section>
    );
  const { away, heights } = value;
  const safety = skids_m === null ? null : hoverSafety(heights, skids_m);
  return (
    <section className="border-t border-rule px-4 py-2" aria-label="Then fly away">
      {heading}
      {away.ok ? <FlyAwayAccount away={away.value} /> : <p className="text-[14px] text-brick">{away.issue.message}</p>}
      {safety && (
        <p className={`mt-1 text-[14px] ${safety === "neither" ? "text-brick" : "text-pine"}`}>
          {WAY_WORDS[safety]} (Sketch.)
        </p>
      )}
    </section>
  );
}
