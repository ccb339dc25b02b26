"use client";
import type { ReactNode } from "react";
import type { Issue } from "@/core/outcome";
import { StageFrame } from "./StageFrame";
import { StageView } from "./StageTabs";

interface Props {
  /** What the middle is called when it is read out. */
  label: string;
  /** The question that the stage answers. */
  question: string;
  /** Name of its one view. */
  view: string;
  /** Why there is nothing to show. */
  issue?: Issue | null;
  /** What is done with it, beside the question. */
  actions?: ReactNode;
  /** What is tried, above the view. */
  controls?: ReactNode;
  /** The column on the right: an aside of its own. */
  aside: ReactNode;
  /** The view; null while it is computed. */
  children: ReactNode | null;
}

/** A stage of a single view: its question, what is tried, the view, and what follows from it on the right. */
export function OneViewStage(props: Props) {
  const { label, question, view, issue = null, actions, controls = null, aside, children } = props;
  return (
    <StageFrame
      label={label}
      question={question}
      actions={actions}
      view="only"
      onView={() => undefined}
      views={{ only: view }}
      viewsLabel={`Views of: ${label}`}
      refusal={issue && { title: "There is nothing to show.", text: issue.message }}
      aside={aside}
      narrow="middle"
      className={`${controls ? "grid-rows-[auto_auto_minmax(0,1fr)]" : "grid-rows-[auto_minmax(0,1fr)]"} bg-sheet`}
    >
      {controls && <div className="border-b border-rule px-4 py-1.5">{controls}</div>}
      <StageView value="only">{children ?? <p className="p-4 text-ink2">Computing …</p>}</StageView>
    </StageFrame>
  );
}
