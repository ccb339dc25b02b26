"use client";
import { useMemo } from "react";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import { routeQuestion } from "@/core/route/asked-route";
import { climbOutInWords } from "@/ui/answers/climb-out-words";
import { useClimbOuts } from "@/ui/answers/useClimbOuts";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useSituation } from "@/ui/situation/situation-store";

/** For the school that keeps a spot ahead: the climb-out that is the shortest without one. */
export function SpotAhead({ runway }: { runway: DepartureQuestion["runway"] }) {
  const situation = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const places = useNearPlaces();
  const origin = usePlaneOrigin();
  const format = useFormat();
  const asked = useMemo(() => {
    const begins = { name: runway.name.slice(0, 40), position: runway.threshold, altitude_m: null };
    const route = { ...situation.route, points: [begins] };
    return { question: routeQuestion({ ...situation, route }, document, places), origin, endId: runway.id };
  }, [situation, document, places, origin, runway]);
  const answer = useClimbOuts(asked);
  if (!answer) return <p className="text-[14px] text-ink2">Looking for a spot ahead all the way up …</p>;
  if (!answer.ok) return <p className="text-[14px] text-ochre">{answer.issue.message}</p>;
  const said = climbOutInWords(answer.value.tracks, answer.value.end.name, format);
  return (
    said && (
      <p className="text-[14px]">
        <strong className={said.tone}>{said.headline}</strong> {said.text} The local rule comes first.
      </p>
    )
  );
}
