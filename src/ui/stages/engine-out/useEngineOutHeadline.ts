"use client";
import { useEngineOut } from "@/ui/answers/engine-out-store";
import { useReach } from "@/ui/answers/reach-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import type { Headline } from "../stage-face";
import { engineOutHeadline } from "./engine-out-words";

/** Whether it climbs on one engine, as set or at best. */
export function useEngineOutHeadline(): Headline | undefined {
  const now = useEngineOut((state) => state.now);
  const issue = useEngineOut((state) => state.issue);
  const format = useFormat();
  const { asymmetric, engines } = useAeroplane().document;
  const ground_m = useReach((state) => state.answer?.ground_m ?? 0);
  if (asymmetric === null) return { text: "no twin" };
  if (issue) return { text: "no answer", tone: "text-brick" };
  return now ? engineOutHeadline({ ...now, jet: engines.kind === "jet", ground_m }, format) : undefined;
}
