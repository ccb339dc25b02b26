"use client";
import { useState } from "react";
import type { SeriesRow } from "@/core/series/series-result";
import type { TestCard } from "@/core/series/test-card";
import { TextField } from "@/ui/kit/forms/TextField";
import { useFormat } from "@/ui/kit/units/units-store";
import { openKept, useDebrief } from "../debrief-store";
import { changeRun, removeRun } from "./cards-store";
import { doubtWords, lessonOfRun, shownDifference } from "./series-words";

/** One run: what explains its difference, and whether it counts. */
export function RunPanel({ card, row }: { card: TestCard; row: SeriesRow }) {
  const format = useFormat();
  const { run, doubts, predicted } = row;
  const suggested = doubts.map((doubt) => doubtWords(doubt, row, format)).join(", ");
  const [reason, setReason] = useState(suggested);
  const lesson = lessonOfRun(row, card.kind, format);
  const look = async () => {
    if (useDebrief.getState().open?.id !== run.logId) await openKept(run.logId);
    useDebrief.setState({ cursor_s: run.from_s });
  };
  return (
    <section className="border-t border-rule px-4 py-2 text-[15px]" aria-label={`Run ${run.number}`}>
      <h2 className="font-bold">
        Run {run.number}
        {predicted === null ? "" : `: ${shownDifference(card.kind, format, run.flown, predicted)}`}
      </h2>
      {lesson && <p>{lesson}</p>}
      {doubts.length > 0 && <p className="text-ochre">{suggested}.</p>}
      {run.leftOut === null ? (
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim() !== "") changeRun(run.id, { leftOut: reason.trim().slice(0, 160) });
          }}
        >
          <div className="min-w-0 flex-1">
            <TextField
              label="Left out, because"
              value={reason}
              fault={null}
              onChange={(text) => setReason(text.slice(0, 160))}
            />
          </div>
          <button type="submit" className="btn" disabled={reason.trim() === ""}>
            Leave it out
          </button>
        </form>
      ) : (
        <p className="mt-1">
          Left out: {run.leftOut}.{" "}
          <button type="button" className="btn btn-quiet py-0" onClick={() => changeRun(run.id, { leftOut: null })}>
            Count it again
          </button>
        </p>
      )}
      <p className="mt-1 flex gap-2">
        <button type="button" className="btn btn-quiet py-0.5" onClick={() => void look()}>
          Its moment in the log
        </button>
        <button type="button" className="btn btn-quiet py-0.5" onClick={() => removeRun(run.id)}>
          Take it off
        </button>
      </p>
    </section>
  );
}
