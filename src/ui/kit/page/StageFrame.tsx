"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";
import { StageTabList } from "./StageTabs";

interface Props {
  /** What the middle is called when it is read out. */
  label: string;
  /** The question that the view answers. */
  question: string;
  /** What it is about, beside the question. */
  subject?: string;
  /** Buttons at the right of the question. */
  actions?: ReactNode;
  view: string;
  onView: (view: string) => void;
  /** Names of the views in the order of their tabs. */
  views: Readonly<Record<string, string>>;
  /** What the row of tabs is called when it is read out. */
  viewsLabel: string;
  /** Why there is nothing to show; takes the place of tabs and views. */
  refusal?: { readonly title: string; readonly text: string; readonly tone?: string } | null;
  /** The column on the right: an aside of its own. */
  aside: ReactNode;
  /** Width of that column on a narrow page. */
  narrow?: "wide" | "middle" | "slim";
  /** Of the middle. */
  className?: string;
  children: ReactNode;
}

// Whole class names, so that they are found when the styles are made.
const COLUMNS = {
  wide: "max-[1150px]:grid-cols-[minmax(0,1fr)_296px]",
  middle: "max-[1150px]:grid-cols-[minmax(0,1fr)_276px]",
  slim: "max-[1150px]:grid-cols-[minmax(0,1fr)_264px]",
};

/** The frame of every stage: its question and views in the middle, what follows from them on the right. */
export function StageFrame(props: Props) {
  const { question, subject, actions, refusal, narrow = "wide", className = "grid-rows-[auto_minmax(0,1fr)]" } = props;
  return (
    <Tabs.Root
      value={props.view}
      onValueChange={props.onView}
      className={`grid h-full grid-cols-[minmax(0,1fr)_324px] ${COLUMNS[narrow]}`}
    >
      <section className={`grid min-h-0 min-w-0 grid-cols-[minmax(0,1fr)] ${className}`} aria-label={props.label}>
        <header className="border-b border-rule bg-sheet px-4 pt-1.5">
          <div className={`flex gap-4 ${actions ? "items-center" : "items-baseline pb-1"}`}>
            <h1
              className={`text-[19px] font-bold max-[1150px]:text-[16px] ${subject ? "whitespace-nowrap" : "min-w-0 truncate"}`}
            >
              {question}
            </h1>
            {subject && <span className="min-w-0 truncate text-ink2">{subject}</span>}
            {actions && <span className="ml-auto flex shrink-0 gap-2">{actions}</span>}
          </div>
          {!refusal && <StageTabList label={props.viewsLabel} views={props.views} />}
        </header>
        {refusal ? (
          <div role="alert" className="p-6">
            <h2 className={`mb-1 text-[17px] font-bold ${refusal.tone ?? "text-brick"}`}>{refusal.title}</h2>
            <p className="max-w-prose">{refusal.text}</p>
          </div>
        ) : (
          props.children
        )}
      </section>
      {props.aside}
    </Tabs.Root>
  );
}
