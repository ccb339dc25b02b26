"use client";
import { useHover } from "@/ui/answers/useHoverAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../../stage-face";
import { hoverHeadline } from "./hover-words";

/** On which rating it hovers with one engine. */
function useHoverHeadline(): Headline | undefined {
  const { value, issue } = useHover();
  const format = useFormat();
  if (issue) return { text: issue.code === "one_engine" ? "one engine only" : "no answer", tone: "text-brick" };
  return value ? hoverHeadline(value, format) : undefined;
}

/** @see useHoverHeadline */
export const HoverHeadline = headlineOf(useHoverHeadline);
