"use client";
import { useMemo } from "react";
import { restartBudget } from "@/core/restart/restart-budget";
import { useRestartQuestion } from "@/ui/answers/useRestartQuestion";
import type { Headline } from "../stage-face";
import { budgetHeadline } from "./restart-words";

/** Seconds for a cause check, or that there are none. */
export function useRestartHeadline(): Headline | undefined {
  const question = useRestartQuestion();
  const outcome = useMemo(() => restartBudget(question), [question]);
  if (!outcome.ok) return { text: "no answer", tone: "text-brick" };
  return budgetHeadline(outcome.value, question);
}
