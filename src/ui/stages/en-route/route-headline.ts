// What the spine says of a flight. Apart from what the stage says, which comes when it is opened.
import type { RouteAnswer } from "@/core/route/route-answer";
import { minutes, told_s } from "@/ui/kit/units/minutes";
import type { Headline } from "../stage-face";

/** Time without a place; the gaps that are told add up to it. */
export function withoutPlace({ gaps }: Pick<RouteAnswer, "gaps">): string {
  const sum_s = gaps.reduce((sum, { time_s }) => sum + told_s(time_s), 0);
  return minutes(sum_s);
}

/** What the spine says of a flight on one engine. */
export function oneEngineHeadline(answer: Pick<RouteAnswer, "gaps">): Headline {
  if (answer.gaps.length === 0) return { text: "a way all along", tone: "text-pine" };
  return { text: `${withoutPlace(answer)} no way`, tone: "text-brick" };
}

/** What the spine says. */
export function routeHeadline(answer: Pick<RouteAnswer, "gaps">): Headline {
  if (answer.gaps.length === 0) return { text: "a place all the way", tone: "text-pine" };
  return { text: `${withoutPlace(answer)} no place`, tone: "text-brick" };
}
