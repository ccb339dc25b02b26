"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import { localPlane } from "@/core/earth/local-plane";
import type { RouteAnswer } from "@/core/route/route-answer";
import type { RouteHere } from "@/core/route/route-here";
import { type MapShows, moveCursor, useRoute } from "@/ui/answers/route-store";
import type { RouteDrawing } from "@/ui/kit/map/route-layer";
import { formatNumber, fromSi } from "@/core/quantities/units";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { Legend } from "@/ui/kit/map/Legend";
import { ProfileChart } from "@/ui/kit/charts/ProfileChart";
import { cursorDrawing, gapDrawings, windAt } from "./route-drawing";
import { costOfRound } from "./route-words";
import { useCoverImage, useHeightLevels } from "./useCoverImage";
import { useRouteHere } from "./useRouteHere";
import { useRouteNames } from "./useRouteNames";

const RouteMap = dynamic(() => import("./RouteMap").then((module) => module.RouteMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

const MAP_SHOWS: readonly (readonly [MapShows, string])[] = [
  ["reach", "Reach from the planned altitude"],
  ["asked", "Height that a place asks for"],
  ["left", "Reach from the cursor"],
];

/** Map and profile, one cursor through both. */
export function CoverView() {
  const route = useRoute((state) => state.route);
  const here = useRouteHere();
  const drawing = useDrawing(here);
  const origin = usePlaneOrigin();
  const format = useFormat();
  const answered = route?.origin === origin && route.answer ? route : null;
  const shown = useRoute((state) => state.shown);
  const set = useRoute((state) => state.set);
  const reach = useCoverImage(answered, shown);
  const unit = useUnits((state) => state.units.height);
  const levels = `${useHeightLevels()
    .map((level_m) => formatNumber(fromSi("height", unit, level_m), 0))
    .join(", ")} ${unit}`;
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(190px,36%)]">
      <RouteMap
        reach={reach}
        drawing={drawing}
        wind={here && windAt(here.point)}
        legend={
          answered && (
            <>
              <select
                className="field pointer-events-auto w-fit py-0"
                aria-label="The map shows"
                value={shown}
                onChange={(event) => set({ shown: event.currentTarget.value as MapShows })}
              >
                {MAP_SHOWS.map(([value, name]) => (
                  <option key={value} value={value}>
                    {name}
                  </option>
                ))}
              </select>
              <Legend tone="pine">
                {shown === "reach" &&
                  `in reach from ${format("height", answered.question.route.altitude_m)}, place by place`}
                {shown === "asked" && `over the ground; closer from ${levels}`}
                {shown === "left" && `left over the ground where it comes; closer from ${levels}`}
                {answered.stale && <span role="status">, computing …</span>}
              </Legend>
              {shown === "asked" && <Legend tone="brick">no height is enough against this wind</Legend>}
            </>
          )
        }
      />
      {route?.answer ? (
        <Profile answer={route.answer} />
      ) : (
        <p
          className={`border-t border-rule bg-sheet p-4 ${route?.issue ? "text-brick" : "text-ink2"}`}
          role={route?.issue ? "alert" : undefined}
        >
          {route?.issue?.message ?? "Working the cover out …"}
        </p>
      )}
    </div>
  );
}

/** What lies over the map: gaps, ways round, the cursor with the way to its best place. */
function useDrawing(here: RouteHere | null): Omit<RouteDrawing, "points"> {
  const answered = useRoute((state) => state.route);
  const detours = useRoute((state) => state.detours);
  const origin = usePlaneOrigin();
  const format = useFormat();
  return useMemo(() => {
    const answer = answered?.origin === origin ? answered.answer : null;
    const plane = localPlane(origin);
    return {
      gaps: gapDrawings(answer, format),
      detours: detours.map((detour) => ({
        points: detour.points.map(({ position }) => plane.toPlane(position)),
        label: `${costOfRound(detour)}, no gap`,
      })),
      cursor: here && cursorDrawing(here.point, format),
      way: here?.way ?? [],
      options: [],
      // The map itself names aerodromes.
      holders: (answer?.places ?? [])
        .filter(({ kind }) => kind !== "runway")
        .map(({ name, position }) => ({ name, ...plane.toPlane(position) })),
      named: [],
    };
  }, [answered, detours, origin, here, format]);
}

function Profile({ answer }: { answer: RouteAnswer }) {
  const names = useRouteNames(answer.points);
  const cursor_m = useRoute((state) => state.cursor_m);
  const pessimistic_m = useRoute((state) => state.pessimistic_m);
  const { points } = answer;
  const lines = useMemo(
    () =>
      pessimistic_m?.length === points.length
        ? [
            {
              name: "pessimistic",
              colour: "var(--ochre)",
              dash: "5 4",
              points: points.map(({ distance_m }, i) => ({ distance_m, altitude_m: pessimistic_m[i] })),
            },
          ]
        : [],
    [pessimistic_m, points],
  );
  return (
    <ProfileChart
      points={points}
      gaps={answer.gaps}
      stretches={answer.stretches}
      places={answer.places}
      length_m={answer.length_m}
      names={names}
      words={{ none: "no place", needed: "cover", flight: "planned" }}
      cursor_m={cursor_m}
      onCursor={moveCursor}
      lines={lines}
      levels={[]}
      marks={[]}
    />
  );
}
