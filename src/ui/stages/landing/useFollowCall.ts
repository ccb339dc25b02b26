"use client";
import { useEffect, useMemo } from "react";
import { create } from "zustand";
import { shownSite, useReach } from "@/ui/answers/reach-store";
import { sayNow } from "@/ui/kit/speech/useSpeech";
import { useFormat } from "@/ui/kit/units/units-store";
import { useFollow } from "@/ui/situation/follow/follow-store";
import { useSituation } from "@/ui/situation/situation-store";
import { type Told, followCall, isTold } from "./follow-words";
import { useKeys } from "./useKeys";

const useToldLast = create<{ last: Told | null; text: string | null }>()(() => ({ last: null, text: null }));

/** What there is to call about the aircraft that is followed now, and what was called out last; null while none is. */
export function useFollowCall(): { now: string | null; called: string | null } {
  const here = useFollow((state) => state.source !== null && state.signal === "here");
  const aloud = useFollow((state) => state.aloud);
  const answered = useReach((state) => Boolean(state.answer?.reach));
  const site = useReach(shownSite);
  const heading_rad = useSituation((state) => state.current.heading_rad);
  const { keys } = useKeys();
  const format = useFormat();
  const text = useToldLast((state) => state.text);
  const advice = keys?.ok ? keys.value.advice : null;
  const call = useMemo(
    () => (here && answered ? followCall({ site, advice, heading_rad }, format) : null),
    [here, answered, site, advice, heading_rad, format],
  );
  useEffect(() => {
    const now_ms = performance.now();
    if (!call || !isTold(call, useToldLast.getState().last, now_ms)) return;
    useToldLast.setState({ last: { about: call.about, at_ms: now_ms }, text: call.text });
    if (aloud) sayNow(call.text);
  }, [call, aloud]);
  // The next flight begins with a call of its own.
  useEffect(() => {
    if (!here) useToldLast.setState({ last: null, text: null });
  }, [here]);
  return { now: call?.text ?? null, called: text };
}
