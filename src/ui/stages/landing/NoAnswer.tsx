"use client";
import { useReach } from "@/ui/answers/reach-store";

/** Why there is nothing to show: the paths' own reason, or that they are being computed. */
export function NoAnswer() {
  const issue = useReach((state) => state.answer?.issue ?? null);
  return issue ? (
    <p role="alert" className="bg-sheet p-4 text-brick">
      {issue.message}
    </p>
  ) : (
    <p className="bg-sheet p-4 text-ink2">Computing …</p>
  );
}
