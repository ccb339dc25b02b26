"use client";
import { Download } from "lucide-react";
import { useEffect } from "react";
import { toast } from "sonner";
import { create } from "zustand";
import type { UnreadableRow } from "@/server/readable-rows";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { download, fileName } from "@/ui/kit/download";
import { send } from "@/ui/kit/request";

const KINDS: Record<UnreadableRow["kind"], string> = {
  aircraft: "Aircraft",
  place: "Place",
  situation: "Situation",
};

const LOOK_MS = 1500;

const useUnreadable = create<{ readonly rows: readonly UnreadableRow[] }>(() => ({ rows: [] }));

async function look(): Promise<void> {
  const answer = await send<{ unreadable: UnreadableRow[] }>("GET", "/api/account/unreadable");
  if (answer.ok) useUnreadable.setState({ rows: answer.value.unreadable });
}

/** Says once that something of the account could not be read, and where it is listed. */
export function useUnreadableNotice(): void {
  const length = useUnreadable(({ rows }) => rows.length);
  const show = useDialogs((state) => state.show);
  useEffect(() => {
    // Everything of the account is read for it: not while the page is coming up.
    const timer = setTimeout(() => void look(), LOOK_MS);
    return () => clearTimeout(timer);
  }, []);
  useEffect(() => {
    if (length === 0) return;
    toast(`${length} ${length === 1 ? "entry" : "entries"} of your account cannot be read. Everything else works.`, {
      id: "unreadable",
      duration: 30_000,
      action: { label: "Look", onClick: () => show("account") },
    });
  }, [length, show]);
}

/** What of the account could not be read: why, and how to take it out as it is. */
export function UnreadableRows() {
  const unreadable = useUnreadable(({ rows }) => rows);
  if (unreadable.length === 0) return null;
  return (
    <section className="mt-5 border-t border-rule pt-4" aria-label="What cannot be read">
      <h3 className="font-bold">What cannot be read</h3>
      <p className="text-[13px] text-ink2">
        Nothing of it is lost: it stays stored as it is, and can be taken out as a file. “Export everything” holds it
        too.
      </p>
      <ul>
        {unreadable.map((row) => (
          <li key={`${row.kind} ${row.id}`} className="flex items-center gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1">
              {KINDS[row.kind]} “{row.name}”<span className="block text-[13px] text-ochre">{row.reason}</span>
            </span>
            <button
              type="button"
              className="btn btn-quiet shrink-0"
              aria-label={`Export ${row.name} as it is`}
              onClick={() =>
                download(`${fileName(row.name)}-as-stored.json`, "application/json", JSON.stringify(row, null, 1))
              }
            >
              <Download size={15} aria-hidden="true" /> As it is
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
