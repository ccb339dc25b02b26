"use client";
import { formatNumber } from "@/core/quantities/units";
import { type CheckShown, useGyroCheck, useHelicopterCheck } from "@/ui/answers/useRotorCheck";
import type { Headline } from "../../stage-face";

function headlineOf(check: CheckShown | null): Headline | undefined {
  if (!check) return undefined;
  if (check.fitting === 0) return { text: "no time: land", tone: "text-brick" };
  return { text: `${formatNumber(Math.floor(check.available_s))} s, ${check.fitting} of ${check.items.length} fit` };
}

/** What of a helicopter's cause check fits. */
export const useHelicopterCheckHeadline = (): Headline | undefined => headlineOf(useHelicopterCheck());

/** What of a gyroplane's cause check fits. */
export const useGyroCheckHeadline = (): Headline | undefined => headlineOf(useGyroCheck());
