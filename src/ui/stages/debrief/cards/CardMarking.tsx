"use client";
import { Undo2 } from "lucide-react";
import { useEffect, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { type CardMark, MOST_RUNS, type TestCard } from "@/core/series/test-card";
import { useFormat } from "@/ui/kit/units/units-store";
import { putMark, syncMarks, useMarks } from "./marks-store";
import { valueWords } from "./series-words";

/** Other devices are asked so often, ms. */
const SYNC_MS = 8000;
const NONE: readonly CardMark[] = [];
const clock = (at_ms: number) => new Date(at_ms).toISOString().slice(11, 19);

interface Props {
  card: TestCard;
  /** The server has the card: marks can be sent. */
  stored: boolean;
  onSave: () => void;
}

/** Large buttons for the seat: each press is a moment of a run. Works without a network; others' marks come in. */
export function CardMarking({ card, stored, onSave }: Props) {
  const marks = useMarks((state) => state.of[card.id] ?? NONE);
  const waiting = useMarks((state) => state.waiting);
  const fault = useMarks((state) => state.fault);
  const format = useFormat();
  const [run, setRun] = useState<number | null>(null);
  useEffect(() => {
    if (!stored) return;
    void syncMarks(card.id);
    const timer = setInterval(() => void syncMarks(card.id), SYNC_MS);
    return () => clearInterval(timer);
  }, [card.id, stored]);

  const shown = marks.filter(({ removed }) => !removed);
  const last = shown.at(-1);
  // After the last mark of a run the next run is up.
  const up = last ? (last.mark === card.marks.length - 1 ? Math.min(last.run + 1, MOST_RUNS) : last.run) : 1;
  const now = run ?? up;
  const point = card.points.at(now - 1);
  const mark = (which: number) => {
    if (which >= card.marks.length) return;
    putMark(card.id, { id: crypto.randomUUID(), run: now, mark: which, at_ms: Date.now(), removed: false });
    setRun(null);
  };
  const undo = () => {
    if (last) putMark(card.id, { ...last, removed: true });
    setRun(null);
  };
  const step = (by: number) => setRun(Math.min(Math.max(now + by, 1), MOST_RUNS));
  useHotkeys(["q", "w", "e", "r"], (event) => mark(["q", "w", "e", "r"].indexOf(event.key)), { enabled: stored }, [
    now,
    card,
  ]);
  useHotkeys("backspace", undo, { enabled: stored }, [last, card]);
  return (
    <div
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-auto p-4"
      tabIndex={0}
      role="region"
      aria-label="Marking in flight"
    >
      {!stored && (
        <p className="flex items-center gap-3">
          Save the card first: then it can be marked on every device that is signed in.
          <button type="button" className="btn" onClick={onSave}>
            Save
          </button>
        </p>
      )}
      <div className="flex items-center gap-3">
        <button
          type="button"
          className="btn min-h-14 px-6 text-xl"
          aria-label="The run before"
          disabled={!stored}
          onClick={() => step(-1)}
        >
          −
        </button>
        <p className="min-w-52 text-center" aria-live="polite">
          <strong className="block text-[28px] leading-8">Run {now}</strong>
          <span className="text-ink2">
            {point === undefined ? "not planned" : valueWords(card.kind, format, point)}
          </span>
        </p>
        <button
          type="button"
          className="btn min-h-14 px-6 text-xl"
          aria-label="The next run"
          disabled={!stored}
          onClick={() => step(1)}
        >
          +
        </button>
        <button type="button" className="btn ml-auto min-h-14 px-5" disabled={!stored || !last} onClick={undo}>
          <Undo2 size={18} aria-hidden="true" /> Take the last back
        </button>
      </div>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
        {card.marks.map((name, i) => (
          <button
            key={name}
            type="button"
            className={`btn min-h-32 justify-center text-[26px] font-bold ${last && last.run === now && last.mark === i ? "bg-mark" : ""}`}
            disabled={!stored}
            onClick={() => mark(i)}
          >
            {name} <kbd className="num text-[14px] font-normal text-ink2">{["q", "w", "e", "r"][i]}</kbd>
          </button>
        ))}
      </div>
      <p className="text-[14px] text-ink2" role="status">
        {shown.length} {shown.length === 1 ? "mark" : "marks"}
        {waiting > 0 ? `, ${waiting} kept here until the server is reached` : ""}. Times are this device’s clock, UTC:
        set it by the recorder’s.
      </p>
      {fault !== null && <p className="text-brick">{fault}</p>}
      <ol className="flex flex-wrap gap-x-6 gap-y-1 text-[15px]" reversed aria-label="Marks, the last first">
        {shown.toReversed().map(({ id, run: of, mark: which, at_ms }) => (
          <li key={id}>
            <span className="num">
              {of} {clock(at_ms)}
            </span>{" "}
            {card.marks[which] ?? `mark ${which + 1}`}
          </li>
        ))}
      </ol>
    </div>
  );
}
