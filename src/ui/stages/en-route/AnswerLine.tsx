import type { Issue } from "@/core/outcome";

/** The answer of a view as a headline and what belongs to it; why there is none; or that it is being worked out. */
export function AnswerLine({
  issue,
  said,
}: {
  issue: Issue | null;
  said: { readonly headline: string; readonly text: string; readonly tone: string } | null;
}) {
  if (issue)
    return (
      <p role="alert" className="text-brick">
        {issue.message}
      </p>
    );
  return (
    <p aria-live="polite">
      {said ? (
        <>
          <strong className={said.tone}>{said.headline}</strong> {said.text}
        </>
      ) : (
        "Computing …"
      )}
    </p>
  );
}
