"use client";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

/** The views of a stage, each named by what it answers; the first place in a row of tabs. */
export function StageTabList({ label, views }: { label: string; views: Readonly<Record<string, string>> }) {
  return (
    <Tabs.List className="flex gap-5" aria-label={label}>
      {Object.entries(views).map(([value, name]) => (
        <Tabs.Trigger
          key={value}
          value={value}
          className="border-b-[3px] border-transparent pb-1 whitespace-nowrap text-ink2 data-[state=active]:border-harbour data-[state=active]:font-semibold data-[state=active]:text-ink"
        >
          {name}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  );
}

/** What one view shows. */
export function StageView({
  value,
  className = "",
  children,
}: {
  value: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Tabs.Content value={value} className={`grid min-h-0 data-[state=inactive]:hidden ${className}`}>
      {children}
    </Tabs.Content>
  );
}
