"use client";
import { useEnvelope } from "@/ui/answers/useEnvelope";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../../stage-face";

/** Up to which altitude it climbs on one engine. */
function useEnvelopeHeadline(): Headline | undefined {
  const { value, issue } = useEnvelope();
  const format = useFormat();
  if (issue) return { text: issue.code === "one_engine" ? "one engine only" : "no answer", tone: "text-brick" };
  if (!value) return undefined;
  return value.service_m === null
    ? { text: "no climb on one", tone: "text-brick" }
    : { text: `one: ${format("height", value.service_m, "down")}` };
}

/** @see useEnvelopeHeadline */
export const EnvelopeHeadline = headlineOf(useEnvelopeHeadline);
