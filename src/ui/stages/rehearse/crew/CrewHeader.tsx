"use client";
import { Pause, Play } from "lucide-react";
import Link from "next/link";
import { useHotkeys } from "react-hotkeys-hook";
import type { CrewRole } from "@/core/procedure/crew-run";
import { useCrew } from "./crew-store";
import { ROLE_WORDS } from "./crew-words";

interface Props {
  title: string;
  /** Before who one is. */
  what?: string;
  role: CrewRole;
  here: readonly CrewRole[];
  /** What is to be known of the line while it is there. */
  status?: string;
  /** Null where nothing can be stopped: it has not begun, or is over. */
  running: boolean | null;
  /** What begins it; by the key only once it has begun. */
  begin?: string;
}

/** Over what a crew does together: what it is, who is there, stop and go on. */
export function CrewHeader({ title, what = "", role, here, status = "", running, begin }: Props) {
  const link = useCrew((state) => state.link);
  const toggle = () => void useCrew.getState().act({ kind: running ? "stop" : "go" });
  useHotkeys("escape", toggle, { enabled: running !== null && begin === undefined });
  return (
    <header className="flex items-center gap-4 border-b border-rule px-4 py-2">
      <div className="min-w-0">
        <h1 className="text-[19px] leading-6 font-bold">{title}</h1>
        <p className="text-[14px] text-ink2">
          {what}You are <strong className="text-ink">{ROLE_WORDS[role]}</strong>
          {here.length > 0 && `; here: ${here.map((other) => ROLE_WORDS[other]).join(", ")}`}.
        </p>
      </div>
      <span className="ml-auto flex shrink-0 items-center gap-3">
        <span role="status" className="text-ochre">
          {link === "lost" ? "The line is lost: coming back …" : status}
        </span>
        {running !== null && (
          <button type="button" className="btn" onClick={toggle}>
            {running ? <Pause size={15} aria-hidden="true" /> : <Play size={15} aria-hidden="true" />}
            {running ? "Stop" : (begin ?? "Go on")}
          </button>
        )}
        <Link href="/rehearse" className="text-[14px] underline">
          Leave
        </Link>
      </span>
    </header>
  );
}
