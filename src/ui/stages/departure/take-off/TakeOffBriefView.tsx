"use client";
import { Copy, FileText } from "lucide-react";
import { toast } from "sonner";
import { TAKE_OFF_CAUTION } from "@/core/take-off/take-off-brief";
import { useFormat } from "@/ui/kit/units/units-store";
import type { PathEventKind } from "@/core/take-off/take-off-path";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { useTakeOffBrief } from "@/ui/answers/useTakeOffBrief";
import { useTakeOffCard } from "./useTakeOffCard";
import { DataTable } from "@/ui/kit/tables/DataTable";

const EVENTS: Record<PathEventKind, string> = {
  "lift-off": "Lift-off",
  failure: "Engine stops",
  screen: "Screen height",
  "gear-up": "Gear up",
  feathered: "Feathered",
  "acceleration-height": "Level, accelerate",
  "flap-up": "Flap up",
  continuous: "Maximum continuous",
  top: "1 500 ft",
};

/** The brief to read aloud, the card, and the schedule after a failure on the runway. */
export function TakeOffBriefView({ answer }: { answer: TakeOffAnswer }) {
  const brief = useTakeOffBrief(answer);
  const card = useTakeOffCard(answer, brief);
  const format = useFormat();
  const events = answer.accelerate.path?.events ?? [];
  const copy = () =>
    void navigator.clipboard.writeText([...brief, TAKE_OFF_CAUTION].join("\n")).then(
      () => toast("The brief is on the clipboard."),
      () => toast("The browser does not let the page use the clipboard."),
    );
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Brief">
      <div className="mb-2 flex items-baseline gap-3">
        <h2 className="text-[17px] font-bold">Brief</h2>
        <span className="ml-auto flex gap-2">
          <button type="button" className="btn btn-quiet" onClick={copy}>
            <Copy size={15} aria-hidden="true" /> Copy
          </button>
          <button type="button" className="btn" onClick={card}>
            <FileText size={15} aria-hidden="true" /> Card (PDF)
          </button>
        </span>
      </div>
      <ol className="flex max-w-prose flex-col gap-2 text-[17px] leading-snug">
        {brief.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ol>
      <p className="mt-3 max-w-prose text-[14px] text-ink2">{TAKE_OFF_CAUTION}</p>
      <h2 className="mt-5 mb-1 text-[17px] font-bold">
        After a failure at {format("speed", answer.accelerate.failure_mps)} on the runway
      </h2>
      {events.length === 0 ? (
        <p className="text-ink2">It does not come to rotation on one engine.</p>
      ) : (
        <DataTable
          className="max-w-prose text-[14px]"
          rows={events}
          rowKey={({ kind }) => kind}
          columns={[
            { name: "moment", cell: ({ kind }) => EVENTS[kind] },
            { name: "after brake release", cell: ({ point }) => `${Math.round(point.time_s)} s` },
            { name: "distance", cell: ({ point }) => format("length", point.x_m) },
            { name: "height", cell: ({ point }) => format("height", point.height_m) },
            { name: "speed", cell: ({ point }) => format("speed", point.eas_mps) },
          ]}
        />
      )}
    </div>
  );
}
