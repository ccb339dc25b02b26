"use client";
import { shownEnd, shownSite, useReach } from "@/ui/answers/reach-store";
import { useFormat } from "@/ui/kit/units/units-store";
import type { Headline } from "../stage-face";
import { landingHeadline } from "./landing-words";

/** The place that is planned for, and what is left when it is reached. */
export function useLandingHeadline(): Headline | undefined {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const format = useFormat();
  const end = shownEnd({ answer, pinnedId });
  const site = shownSite({ answer, pinnedId });
  if (answer?.issue) return { text: "no answer", tone: "text-brick" };
  if (site) return landingHeadline(site, format);
  if (!end) return undefined;
  const none = answer?.reach?.ends.every(({ status }) => status === "none");
  return { text: none ? "no path to any place" : `no path, ${end.name}`, tone: "text-brick" };
}

/** What the answer took, and what it stands on. */
export function useLandingStatus(): string | null {
  const reach = useReach((state) => state.answer?.reach ?? null);
  const took_ms = useReach((state) => state.answer?.took_ms ?? 0);
  return (
    reach &&
    `${reach.ends.length} landing ends in ${Math.max(1, Math.round(took_ms))} ms · parabolic polar from the aircraft document`
  );
}
