"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { RouteAnswer } from "@/core/route/route-answer";
import { useRoute } from "@/ui/answers/route-store";
import { useSituation } from "@/ui/situation/situation-store";
import { ProfileChart } from "./ProfileChart";
import { useRouteHere } from "./useRouteHere";

const RouteMap = dynamic(() => import("./RouteMap").then((module) => module.RouteMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

/** Map and profile, one cursor through both. */
export function CoverView() {
  const route = useRoute((state) => state.route);
  const here = useRouteHere();
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(190px,36%)]">
      <RouteMap here={here} />
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

function Profile({ answer }: { answer: RouteAnswer }) {
  const points = useSituation((state) => state.current.route.points);
  const names = useMemo(() => {
    const last = answer.points[answer.points.length - 1];
    return points.flatMap(({ name }, i) => {
      const point = i === points.length - 1 ? last : answer.points.find(({ leg }) => leg === i);
      return point ? [{ name, distance_m: point.distance_m }] : [];
    });
  }, [points, answer]);
  return <ProfileChart answer={answer} names={names} />;
}
