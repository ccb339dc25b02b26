"use client";
import { Copy, FileText } from "lucide-react";
import { toast } from "sonner";
import { BRIEF_CAUTION } from "@/core/departure/brief";
import { useFormat } from "@/ui/kit/units/units-store";
import { PracticeTable } from "./PracticeTable";
import { currentChance, useDeparture } from "@/ui/answers/departure-store";
import { useDepartureBrief } from "@/ui/answers/useDepartureBrief";

/** The brief to read aloud, the card, and the practice at height. */
export function BriefView({ onCard }: { onCard: (() => void) | null }) {
  const brief = useDepartureBrief();
  const height_m = useDeparture((state) => state.height_m);
  const gates = useDeparture((state) => currentChance(state)?.gates);
  const format = useFormat();
  const copy = () => {
    const text = [...(brief ?? []).map((sentence) => sentence.text), BRIEF_CAUTION].join("\n");
    void navigator.clipboard.writeText(text).then(
      () => toast("The brief is on the clipboard."),
      () => toast("The browser does not let the page use the clipboard."),
    );
  };
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Brief">
      <div className="mb-2 flex items-baseline gap-3">
        <h2 className="text-[17px] font-bold">Brief</h2>
        {brief && gates && (
          <span className="num text-[17px] font-semibold">
            {gates.gate_m === null ? "no turning back" : `gate ${format("height", gates.gate_m, "up")}`}
          </span>
        )}
        <span className="ml-auto flex gap-2">
          <button type="button" className="btn btn-quiet" disabled={!brief} onClick={copy}>
            <Copy size={15} aria-hidden="true" /> Copy
          </button>
          <button type="button" className="btn" disabled={!onCard} onClick={() => onCard?.()}>
            <FileText size={15} aria-hidden="true" /> Card (PDF)
          </button>
        </span>
      </div>
      {brief ? (
        <ol className="flex max-w-prose flex-col gap-2 text-[17px] leading-snug">
          {brief.map((sentence) => {
            const now =
              (sentence.from_m !== null || sentence.to_m !== null) &&
              height_m >= (sentence.from_m ?? -Infinity) &&
              height_m < (sentence.to_m ?? Infinity);
            return (
              <li key={sentence.text} className={`border-l-4 pl-3 ${now ? "border-harbour" : "border-transparent"}`}>
                {sentence.text}
              </li>
            );
          })}
        </ol>
      ) : (
        <p className="text-ink2">The brief follows when the chance is computed.</p>
      )}
      <p className="mt-3 max-w-prose text-[14px] text-ink2">{BRIEF_CAUTION}</p>
      <h2 className="mt-5 mb-1 text-[17px] font-bold">Practice at height</h2>
      <div className="max-w-prose">
        <PracticeTable />
      </div>
    </div>
  );
}
