"use client";
import { Download } from "lucide-react";
import type { UnreadableRow } from "@/server/readable-rows";
import { download, fileName } from "@/ui/kit/download";
import { useUnreadable } from "./useUnreadableNotice";

const KINDS: Record<UnreadableRow["kind"], string> = {
  aircraft: "Aircraft",
  place: "Place",
  situation: "Situation",
  procedure: "Procedure",
  "flight test": "Flight test",
  run: "Run of a drill",
  flight: "Flight by hand",
  "flight log": "Flight log",
  "test card": "Test card",
  "logbook entry": "Logbook entry",
  "currency rule": "Rule of currency",
  "hand-in": "Handed in",
};

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
