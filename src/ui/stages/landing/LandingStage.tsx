"use client";
import { workingOfEnd } from "@/ui/answers/workings";
import dynamic from "next/dynamic";
import Link from "next/link";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import type { ReactNode } from "react";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { StageFrame } from "@/ui/kit/page/StageFrame";
import { StageView } from "@/ui/kit/page/StageTabs";
import { useFollow } from "@/ui/situation/follow/follow-store";
import { FollowMenu } from "@/ui/situation/follow/FollowMenu";
import { FlyThis } from "@/ui/situation/FlyThis";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { CallView } from "./CallView";
import { Decision } from "./Decision";
import { DitchingView } from "./DitchingView";
import { KeysView } from "./KeysView";
import { LazyExportMenu } from "./LazyExportMenu";
import { exportShownPath } from "./export-path";
import { LandingCautions } from "./LandingCautions";
import { LoseView } from "./LoseView";
import { LossLedger } from "./LossLedger";
import { NoAnswer } from "./NoAnswer";
import { OneEngineView } from "./OneEngineView";
import { PathsView } from "./PathsView";
import { PlanEditor } from "./PlanEditor";
import { SitesView } from "./SitesView";
import { TouchdownView } from "./TouchdownView";
import { LANDING_QUESTIONS, LANDING_VIEWS, type LandingViewName } from "./landing-views";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useLandingCard } from "./useLandingCard";
import { useLoseAsked } from "./useLoseAsked";

/** From the paths to the place, the keys, the touchdown and the call: the forced landing as a whole. */
export function LandingStage() {
  const [asked, setView] = useQueryState("landing", parseAsStringLiteral(LANDING_VIEWS));
  const { document } = useAeroplane();
  const refused = useReach((state) => Boolean(state.answer?.issue));
  const pinnedId = useReach((state) => state.pinnedId);
  const pin = useReach((state) => state.pin);
  const followed = useFollow((state) => state.source !== null || state.fault !== null);
  // What has only the same refusal to show is not offered: the paths say it once.
  const ranked = refused
    ? {}
    : {
        choose: "Choose",
        keys: "Keys",
        lose: "Too high",
        ...(document.asymmetric ? { "one-engine": "One engine" } : {}),
      };
  const views = {
    paths: "Paths",
    ...ranked,
    ...(document.polar ? { touchdown: "Touchdown", ditching: "Ditching" } : {}),
    call: "Call",
  };
  const view = asked !== null && asked in views ? asked : "paths";
  const makeCard = useLandingCard(view === "ditching");
  const open = (name: LandingViewName) => void setView(name === "paths" ? null : name);
  const contents: readonly [LandingViewName, ReactNode][] = [
    ["paths", <PathsView key="paths" />],
    ["choose", <SitesView key="choose" />],
    ["keys", <KeysView key="keys" onLose={() => open("lose")} />],
    ["lose", <Lose key="lose" />],
    ["one-engine", <OneEngineView key="one-engine" />],
    ["touchdown", <TouchdownView key="touchdown" />],
    ["ditching", <DitchingView key="ditching" />],
    ["call", <CallView key="call" />],
  ];
  return (
    <StageFrame
      label="Landing"
      question={LANDING_QUESTIONS[view]}
      actions={
        <>
          {pinnedId && (
            <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => pin(null)}>
              Follow the best
            </button>
          )}
          <FlyThis />
          <FollowMenu />
          <LazyExportMenu onPath={exportShownPath} onCard={makeCard} />
          <PlanEditor />
        </>
      }
      view={view}
      onView={(value) => open(value as LandingViewName)}
      views={views}
      viewsLabel="Views of the landing"
      aside={
        <aside className="flex min-h-0 flex-col overflow-auto border-l border-rule" aria-label="Height ledger">
          {followed && <Followed />}
          {view === "lose" ? <LoseAccount /> : <PathAccount />}
          <LandingCautions view={view} />
        </aside>
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

const Followed = dynamic(() => import("./Followed").then((module) => module.Followed), { loading: () => null });

function Lose() {
  const asked = useLoseAsked();
  return asked ? <LoseView {...asked} /> : <NoAnswer />;
}

function LoseAccount() {
  const asked = useLoseAsked();
  const name = useReach((state) => shownEnd(state)?.name ?? "");
  return asked && <LossLedger {...asked} name={name} />;
}

/** Nowhere to land is known about here: what to do about it. */
function NoPlaces() {
  return (
    <div className="flex flex-col gap-2">
      <p>
        <strong>No landing place is known within 80 NM.</strong> Places of your own and those of the demo world count
        where they lie.
      </p>
      <p>
        <Link className="btn" href="/places" prefetch={false}>
          Add places
        </Link>
      </p>
    </div>
  );
}

/** The account of the path shown, and the answer in a sentence. */
function PathAccount() {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const end = shownEnd({ answer, pinnedId });
  const pointed = useReach((state) => state.pointedEntry);
  const point = useReach((state) => state.point);
  const [ledger, height] = useHeight();
  return (
    <>
      <div ref={ledger} className="min-h-[300px] flex-1 px-4 pt-3">
        <h2 className="mb-1 font-bold">Height ledger</h2>
        {end?.path && (
          <HeightLedger
            name={end.name}
            have_m={end.path.have_m}
            over="the aim point"
            ledger={end.path.ledger}
            margin_m={end.path.margin_m}
            ground={`aim point, ${end.name}`}
            source={workingOfEnd(end.endId)}
            pointed={pointed}
            onPoint={point}
            height={Math.max(250, height - 40)}
          />
        )}
        {end && !end.path && <p className="text-brick">{end.issue?.message}</p>}
        {answer?.issue && (
          <p role="alert" className="text-brick">
            {answer.issue.message}
          </p>
        )}
        {!answer && <p className="text-ink2">Computing …</p>}
        {answer?.reach && !end && <NoPlaces />}
      </div>
      {end && answer?.reach && <Decision end={end} reach={answer.reach} />}
    </>
  );
}
