"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { DriftAnswer } from "@/core/drift/drift-answer";
import type { DriftHere } from "@/core/drift/drift-here";
import { type AnsweredDrift, moveCursor, useRoute } from "@/ui/answers/route-store";
import { askCore } from "@/ui/kit/lanes/lanes";
import type { RouteDrawing } from "@/ui/kit/map/route-layer";
import { useFormat } from "@/ui/kit/units/units-store";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { Legend } from "@/ui/kit/map/Legend";
import { type DrawnLine, ProfileChart } from "@/ui/kit/charts/ProfileChart";
import type { ReachImage } from "@/ui/kit/map/reach-source";
import { wayLabel } from "./drift-words";
import { cursorDrawing, gapDrawings, windAt } from "./route-drawing";
import { minutes } from "@/ui/kit/units/minutes";
import { useDriftHere } from "./useDriftHere";
import { useRouteNames } from "./useRouteNames";

const RouteMap = dynamic(() => import("./RouteMap").then((module) => module.RouteMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

/** Map and profile of the flight on one engine, one cursor through both. */
export function OneEngineView() {
  const drift = useRoute((state) => state.drift);
  const here = useDriftHere();
  const origin = usePlaneOrigin();
  const format = useFormat();
  const answered = drift?.origin === origin && drift.answer ? drift : null;
  const reach = useMemo(() => reachOf(answered), [answered]);
  const drawing = useMemo((): Omit<RouteDrawing, "points"> => {
    const answer = answered?.answer ?? null;
    const equal = answer?.equalTime;
    const at = equal && answer.points.find(({ distance_m }) => distance_m >= equal.distance_m);
    return {
      gaps: gapDrawings(answer, format),
      detours: [],
      cursor: here && cursorDrawing(here.point, format),
      way: [],
      options: (here?.ways ?? [])
        .filter(({ by }) => by !== "route")
        .map((way) => ({ points: way.flown, label: wayLabel(way, format) })),
      holders: [],
      named: equal && at ? [{ ...at, label: `equal time, ${minutes(equal.time_s)}` }] : [],
    };
  }, [answered, here, format]);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(190px,36%)]">
      <RouteMap
        reach={reach}
        drawing={drawing}
        wind={here && windAt(here.point)}
        legend={
          answered && (
            <>
              <Legend tone="pine">
                from {format("height", answered.question.route.altitude_m)} on one engine, the nearest alternate
                {answered.stale && <span role="status">, computing …</span>}
              </Legend>
              <Legend tone="brick">
                none clears the ground by {format("height", answered.question.route.oneEngine.clearance_m)}
              </Legend>
            </>
          )
        }
      />
      {drift?.answer ? (
        <Profile answer={drift.answer} here={here} />
      ) : (
        <p
          className={`border-t border-rule bg-sheet p-4 ${drift?.issue ? "text-brick" : "text-ink2"}`}
          role={drift?.issue ? "alert" : undefined}
        >
          {drift?.issue?.message ?? "Working the ways on one engine out …"}
        </p>
      )}
    </div>
  );
}

/** The image of what is in reach; what was there stays until the newest has come, but not over a refusal. */
function reachOf(answered: AnsweredDrift | null): ReachImage | null | undefined {
  if (!answered) return null;
  if (answered.stale) return undefined;
  const { question, origin } = answered;
  return (view, { pine, brick }) =>
    askCore("cover", (core) =>
      core.oneEngineImage(question, origin, question.route.altitude_m, view, { reach: pine, none: brick }),
    );
}

/** Gross and net path of an engine that stops at the cursor, on by the route. */
function driftLines(here: DriftHere | null): DrawnLine[] {
  if (!here?.onward) return [];
  const { flown } = here.onward;
  const line = (of: "gross_m" | "net_m") =>
    flown.map((point) => ({ distance_m: here.point.distance_m + point.distance_m, altitude_m: point[of] }));
  return [
    { name: "gross", colour: "var(--ink)", dash: "", points: line("gross_m") },
    { name: "net", colour: "var(--ochre)", dash: "5 4", points: line("net_m") },
  ];
}

function Profile({ answer, here }: { answer: DriftAnswer; here: DriftHere | null }) {
  const names = useRouteNames(answer.points);
  const cursor_m = useRoute((state) => state.cursor_m);
  const lines = useMemo(() => {
    const within = ({ distance_m }: { readonly distance_m: number }) => distance_m <= answer.length_m;
    return driftLines(here).map((line) => ({ ...line, points: line.points.filter(within) }));
  }, [answer, here]);
  const { service, absolute, equalTime } = answer;
  return (
    <ProfileChart
      points={answer.points}
      gaps={answer.gaps}
      stretches={answer.stretches}
      places={answer.places}
      length_m={answer.length_m}
      names={names}
      words={{ none: "no way", needed: "needed for an alternate", flight: "planned" }}
      cursor_m={cursor_m}
      onCursor={moveCursor}
      lines={lines}
      levels={[
        { name: "service", altitude_m: service },
        { name: "absolute", altitude_m: absolute },
      ].flatMap(({ name, altitude_m }) => (typeof altitude_m === "number" ? [{ name, altitude_m }] : []))}
      marks={equalTime ? [{ name: "equal time", distance_m: equalTime.distance_m }] : []}
    />
  );
}
