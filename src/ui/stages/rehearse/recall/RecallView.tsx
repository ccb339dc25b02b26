"use client";
import { useCallback, useMemo, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import type { RecallCard } from "@/core/recall/recall-card";
import type { HeldCard, RecallDay } from "@/core/recall/recall-day";
import { formatNumber } from "@/core/quantities/units";
import { ChoiceQuestion } from "./ChoiceQuestion";
import { NumberQuestion } from "./NumberQuestion";
import { OrderQuestion } from "./OrderQuestion";
import { type Answered, answered, verdict, waitWords } from "./recall-words";
import { useReviews } from "./reviews-store";
import { timesWords } from "../times-words";

/** A card that is being asked, or just was. */
interface Asking {
  readonly held: HeldCard;
  readonly result: { readonly answer: Answered; readonly given: number | readonly number[] } | null;
}

/** One card after the other, those held worst first. */
export function RecallView({ day, onAsk }: { day: RecallDay | null; onAsk: (cardId: string) => void }) {
  const [asking, setAsking] = useState<Asking | null>(null);
  const [done, setDone] = useState(0);
  const since = useRef(0);
  const now = useCallback(() => performance.now(), []);
  const waiting = useMemo(
    () => (day ? day.due.filter(({ card }) => card.id !== asking?.held.card.id) : []),
    [day, asking],
  );
  const next = () => {
    // What was missed a moment ago waits its ten minutes while there is something else.
    const ready = waiting.filter(({ memory }) => memory === null || memory.due_ms <= Date.now());
    const held = ready.at(0) ?? null;
    since.current = now();
    setAsking(held && { held, result: null });
    if (held) onAsk(held.card.id);
  };
  const give = (right: boolean, given: number | readonly number[]) => {
    if (!asking || asking.result) return;
    const answer = answered(asking.held.card, right, Math.round(now() - since.current) / 1000);
    setAsking({ ...asking, result: { answer, given } });
    setDone((count) => count + 1);
    useReviews.getState().add({
      id: crypto.randomUUID(),
      card: asking.held.card.id,
      at_ms: Date.now(),
      grade: answer.grade,
      took_s: answer.took_s,
    });
  };
  useHotkeys("n", next, { enabled: asking === null || asking.result !== null });
  if (!day) return <p className="p-5 text-ink2">Looking what is due …</p>;
  if (!asking)
    return (
      <div className="p-5">
        <p className="text-[17px]">
          {day.due.length > 0
            ? done > 0 && waiting.every(({ memory }) => memory !== null && memory.due_ms > day.now_ms)
              ? "What was missed comes back in ten minutes. The rest is done for today."
              : `${formatNumber(day.due.length)} cards for today, of ${formatNumber(day.cards)}.`
            : "Nothing more today."}
        </p>
        <p className="mt-1 max-w-prose text-ink2">
          Each card rates itself by right or wrong and by seconds: missed, with effort, sure, at once. It comes back
          when the chance that you know it has fallen to 80 %.
        </p>
        <button type="button" className="btn btn-primary mt-3" disabled={waiting.length === 0} onClick={next}>
          {done > 0 ? "Go on" : "Begin"} <kbd className="ml-1 text-[12px]">n</kbd>
        </button>
      </div>
    );
  const { held, result } = asking;
  const after = [...day.due, ...day.later].find(({ card }) => card.id === held.card.id)?.memory ?? null;
  return (
    <div className="min-h-0 overflow-auto px-5 py-3" tabIndex={0} role="region" aria-label="Card">
      <p className="flex gap-3 text-[14px] text-ink2">
        <span>
          {formatNumber(done + (result ? 0 : 1))} of {formatNumber(done + waiting.length + (result ? 0 : 1))}
        </span>
        <strong className="text-ink">
          {held.card.kind === "number" ? `${held.card.aircraft}, numbers` : held.card.about}
        </strong>
        <span className="ml-auto">{askedWords(held, day.now_ms)}</span>
      </p>
      <h2 className="mt-1 mb-2 text-[22px] leading-7 font-bold">{held.card.question}</h2>
      <Question card={held.card} given={result?.given ?? null} onGive={give} />
      {result && (
        <div className="mt-4 max-w-2xl" role="status">
          <p className={`border-l-[3px] pl-3 ${result.answer.right ? "border-pine" : "border-brick"}`}>
            <strong>Why.</strong> {held.card.why}
          </p>
          <p className="mt-3 flex items-center gap-4">
            <strong className={result.answer.right ? "text-pine" : "text-brick"}>
              {verdict(result.answer, after)}
            </strong>
            <button type="button" className="btn" onClick={next} autoFocus>
              Next card <kbd className="ml-1 text-[12px] text-ink2">n</kbd>
            </button>
          </p>
        </div>
      )}
    </div>
  );
}

function askedWords({ memory }: HeldCard, now_ms: number): string {
  if (!memory) return "new";
  const ago = waitWords(now_ms - memory.last_ms)
    .replace(/^in (.*)$/, "$1 ago")
    .replace("tomorrow", "yesterday");
  return `asked ${timesWords(memory.asked)}, last ${ago}`;
}

interface QuestionProps {
  card: RecallCard;
  given: number | readonly number[] | null;
  onGive: (right: boolean, given: number | readonly number[]) => void;
}

function Question({ card, given, onGive }: QuestionProps) {
  switch (card.kind) {
    case "order":
      return (
        <OrderQuestion
          key={card.id}
          card={card}
          given={given as readonly number[] | null}
          onGive={(order) =>
            onGive(
              order.every((strip, i) => card.order[i] === strip),
              order,
            )
          }
        />
      );
    case "number":
      return (
        <NumberQuestion
          key={card.id}
          card={card}
          given={given as number | null}
          onGive={(speed_mps) => onGive(Math.abs(speed_mps - card.speed_mps) <= card.within_mps + 1e-6, speed_mps)}
        />
      );
    default:
      return (
        <ChoiceQuestion
          key={card.id}
          card={card}
          given={given as number | null}
          onGive={(answer) => onGive(answer === card.right, answer)}
        />
      );
  }
}
