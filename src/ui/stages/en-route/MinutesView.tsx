"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { LatLon } from "@/core/earth/geodesic";
import { localPlane } from "@/core/earth/local-plane";
import type { MinutesByGround } from "@/core/restart/minutes-by-ground";
import type { RouteQuestion } from "@/core/route/route-question";
import { RestartPlan } from "@/core/situation/restart-plan";
import { useRoute } from "@/ui/answers/route-store";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { checkBy } from "@/ui/kit/forms/fault";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import type { RouteDrawing } from "@/ui/kit/map/route-layer";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useVariation } from "@/ui/situation/useVariation";
import { AnswerLine } from "./AnswerLine";
import { Legend } from "@/ui/kit/map/Legend";
import { CHOICES, minutesInWords, reachInWords } from "./minutes-words";
import { cursorDrawing, windAt } from "./route-drawing";
import { minutes } from "@/ui/kit/units/minutes";
import { useCoverImage } from "./useCoverImage";
import { useRouteHere } from "./useRouteHere";

const RouteMap = dynamic(() => import("./RouteMap").then((module) => module.RouteMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

const leftCheck = checkBy(RestartPlan.shape.minutes.shape.left_s);

interface Asked {
  readonly question: RouteQuestion;
  readonly origin: LatLon;
  readonly cursor_m: number;
  readonly left_s: number;
}

const ask: Ask<Asked, MinutesByGround[]> = (core, { question, origin, cursor_m, left_s }) =>
  core.routeMinutes(question, origin, cursor_m, left_s);

/** An engine with some minutes left at the cursor: each choice over the ground, from when on a place is in reach. */
export function MinutesView() {
  const route = useRoute((state) => state.route);
  const cursor_m = useRoute((state) => state.cursor_m);
  const { left_s } = useSituation((state) => state.current.restart.minutes);
  const change = useSituation((state) => state.change);
  const here = useRouteHere();
  const origin = usePlaneOrigin();
  const variation_rad = useVariation()?.variation_rad ?? null;
  const format = useFormat();
  const asked = useMemo(
    () => (route?.answer ? { question: route.question, origin: route.origin, cursor_m, left_s } : null),
    [route, cursor_m, left_s],
  );
  const answer = outcomeOf(useAnswer(asked, ask, "cover"));
  const choices = useMemo(() => (answer?.ok ? answer.value : []), [answer]);
  const reach = useCoverImage(route?.origin === origin && route.answer ? route : null, "reach");
  const drawing = useMemo(
    (): Omit<RouteDrawing, "points"> => ({
      gaps: [],
      detours: [],
      cursor: here && cursorDrawing(here.point, format),
      way: [],
      options: choices
        .filter(({ flown }) => flown.length > 1)
        .map(({ choice, flown, margin_m }) => ({
          points: flown,
          label: `${CHOICES[choice].toLowerCase()}, ${formatMargin(margin_m, format)}`,
        })),
      holders: [],
      named: [],
    }),
    [here, choices, format],
  );
  const north_rad = here && variation_rad !== null ? northOf(origin, here.point.position) + variation_rad : null;
  const said = minutesInWords(choices, left_s, north_rad, format);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <RouteMap
        reach={reach}
        drawing={drawing}
        wind={here && windAt(here.point)}
        legend={
          route?.answer && (
            <Legend tone="pine">
              in reach of a glide from {format("height", route.question.route.altitude_m)}, place by place
            </Legend>
          )
        }
      />
      <section
        className="max-h-72 overflow-auto border-t border-rule bg-sheet px-4 py-2"
        aria-label="Minutes left"
        tabIndex={0}
        role="region"
      >
        <div className="grid grid-cols-[170px_minmax(0,1fr)] items-start gap-4">
          <NumberField
            label="It runs for another"
            value={left_s / 60}
            unit="min"
            digits={1}
            step={1}
            check={(shown) => leftCheck(shown * 60)}
            onChange={(shown) =>
              change(({ restart }) => ({
                restart: { ...restart, minutes: { ...restart.minutes, left_s: shown * 60 } },
              }))
            }
          />
          <AnswerLine issue={route?.issue ?? (answer && !answer.ok ? answer.issue : null)} said={said} />
        </div>
        {choices.length > 0 && (
          <DataTable
            className="mt-1 w-full text-[14px]"
            label="What is done with the minutes"
            rows={choices}
            rowKey={({ choice }) => choice}
            columns={[
              { name: `with ${minutes(left_s)}`, cell: ({ choice }) => CHOICES[choice] },
              { name: "a place in reach", kind: "words", cell: reachInWords },
              { name: "place", kind: "words", cell: ({ place }) => place?.name ?? "–" },
              { name: "stops at", cell: ({ top_m }) => format("height", top_m) },
              {
                name: "then in hand",
                tone: ({ margin_m }) => (margin_m >= 0 ? "text-pine" : "text-brick"),
                cell: ({ margin_m }) => (Number.isFinite(margin_m) ? formatMargin(margin_m, format) : "none helps"),
              },
            ]}
          />
        )}
        <p className="mt-1 text-[13px] text-ink2">
          From the cursor, straight on each way that clears the ground, with a quarter of a turn and the reaction when
          it stops. A failing engine may not give its minutes: a place in reach at every moment comes first.
        </p>
      </section>
    </div>
  );
}

/** Direction of true north in the plane at a place. */
function northOf(origin: LatLon, position: LatLon): number {
  return localPlane(origin).convergence_rad(position);
}
