"use client";
import { useEffect, useMemo, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { moveCursor, useRoute } from "@/ui/answers/route-store";
import { sayNow } from "@/ui/kit/speech/useSpeech";
import { useFormat } from "@/ui/kit/units/units-store";
import { FollowBar } from "@/ui/situation/follow/FollowBar";
import { useFollow } from "@/ui/situation/follow/follow-store";
import { useSituation } from "@/ui/situation/situation-store";
import { type RouteCall, besideRoute, routeCall } from "./route-call";

/** The aircraft that is followed, along its flight: it moves the cursor, and what changes is called. */
export function RouteFollowed({ onOneEngine }: { onOneEngine: boolean }) {
  const here = useFollow((state) => state.source !== null && state.signal === "here");
  const aloud = useFollow((state) => state.aloud);
  const route = useRoute((state) => (onOneEngine ? state.drift : state.route));
  const position = useSituation((state) => state.current.position);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const format = useFormat();
  const beside = useMemo(() => {
    if (!here || !route?.answer) return null;
    return besideRoute(route.answer.points, { ...localPlane(route.origin).toPlane(position), altitude_m });
  }, [here, route, position, altitude_m]);
  useEffect(() => {
    if (beside) moveCursor(beside.distance_m);
  }, [beside]);
  const now = useMemo(
    () =>
      beside && route?.answer ? routeCall(route.answer, beside, onOneEngine ? "no way" : "no place", format) : null,
    [beside, route, onOneEngine, format],
  );
  const called = useCalled(now);
  useEffect(() => {
    if (called && aloud) sayNow(called.text);
  }, [called, aloud]);
  return <FollowBar now={now?.text ?? null} called={called?.text ?? null} />;
}

/** The newest call that was about something else than the one before. */
function useCalled(now: RouteCall | null): RouteCall | null {
  const [called, setCalled] = useState<RouteCall | null>(now);
  if (now && now.about !== called?.about) setCalled(now);
  return called;
}
