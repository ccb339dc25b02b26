"use client";
import { useGyroRudder } from "@/ui/answers/useGyroAsked";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { type Headline, headlineOf } from "../../stage-face";

/** What is left of the rudder at 20 kt when the engine stops. */
function useRudderHeadline(): Headline | undefined {
  const { value, issue } = useGyroRudder();
  if (issue) return { text: "no answer", tone: "text-brick" };
  const at = value?.find(({ tas_mps }) => tas_mps > 19 * MPS_PER_KT);
  return at && { text: `20 kt: rudder ${Math.round(at.stopped * 100)} %` };
}

/** @see useRudderHeadline */
export const RudderHeadline = headlineOf(useRudderHeadline);
