"use client";
import { formatNumber } from "@/core/quantities/units";
import { type CheckAnswer, useGyroCheck, useHelicopterCheck } from "@/ui/answers/useRotorCheck";
import { type Headline, headlineOf } from "../../stage-face";

function checkHeadline({ check, issue }: CheckAnswer): Headline | undefined {
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!check) return undefined;
  if (check.fitting === 0) return { text: "no time: land", tone: "text-brick" };
  return { text: `${formatNumber(Math.floor(check.available_s))} s, ${check.fitting} of ${check.items.length} fit` };
}

/** What of a helicopter's cause check fits. */
const useHelicopterCheckHeadline = (): Headline | undefined => checkHeadline(useHelicopterCheck());

/** What of a gyroplane's cause check fits. */
const useGyroCheckHeadline = (): Headline | undefined => checkHeadline(useGyroCheck());

/** @see useHelicopterCheckHeadline */
export const HelicopterCheckHeadline = headlineOf(useHelicopterCheckHeadline);

/** @see useGyroCheckHeadline */
export const GyroCheckHeadline = headlineOf(useGyroCheckHeadline);
