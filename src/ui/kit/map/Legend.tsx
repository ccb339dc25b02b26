import type { ReactNode } from "react";

/** What a hatch on the map says. */
export function Legend({ tone, children }: { tone: "pine" | "brick"; children: ReactNode }) {
  const colour = `var(--${tone})`;
  return (
    <p className="flex w-fit items-center gap-2 rounded bg-sheet/85 px-2">
      <svg width="26" height="14" aria-hidden="true">
        <rect x="1" y="1" width="24" height="12" fill="none" stroke={colour} strokeWidth="2" />
        <path d="M4 12 10 2M11 12 17 2M18 12 24 2" stroke={colour} strokeWidth="1" />
      </svg>
      <span>{children}</span>
    </p>
  );
}
