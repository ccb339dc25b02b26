"use client";
import type { ReactNode } from "react";
import { type WorkingSource, useWorking } from "./working-store";

interface Props {
  title: string;
  figure: string;
  source: WorkingSource;
  children: ReactNode;
  className?: string;
}

/** A computed figure: pressing it opens its working. */
export function Figure({ title, figure, children, className = "", source }: Props) {
  const open = useWorking((state) => state.open);
  return (
    <button
      type="button"
      className={`num rounded decoration-ink2/60 decoration-dotted underline-offset-4 hover:underline focus-visible:underline ${className}`}
      onClick={(event) => {
        event.stopPropagation();
        open({ title, figure, source });
      }}
    >
      {children}
      <span className="sr-only"> (open the working)</span>
    </button>
  );
}
