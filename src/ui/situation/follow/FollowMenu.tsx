"use client";
import { Radio } from "lucide-react";
import dynamic from "next/dynamic";
import { Popover } from "radix-ui";
import { useState } from "react";
import { EditorSheet } from "../EditorSheet";
import { useFollow } from "./follow-store";

/** What follows comes when it is asked for. */
const FollowSources = dynamic(() => import("./FollowSources").then((module) => module.FollowSources), {
  // Of its own: without it the whole stage would wait.
  loading: () => <p className="text-ink2">…</p>,
});

/** Chooses what is followed. */
export function FollowMenu() {
  const source = useFollow((state) => state.source);
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="btn btn-quiet whitespace-nowrap" disabled={source !== null}>
        <Radio size={15} aria-hidden="true" /> Follow
      </Popover.Trigger>
      <EditorSheet label="Follow" width={330} align="end">
        <FollowSources onChosen={() => setOpen(false)} />
      </EditorSheet>
    </Popover.Root>
  );
}
