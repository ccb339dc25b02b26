"use client";
import { useHotkeys } from "react-hotkeys-hook";
import type { ChoiceCard } from "@/core/recall/recall-card";

interface Props {
  card: ChoiceCard;
  /** What was chosen; null before it is answered. */
  given: number | null;
  onGive: (answer: number) => void;
}

const LETTERS = ["a", "b", "c", "d", "e", "f", "g", "h"];

/** One of a few; all look the same until one is chosen. */
export function ChoiceQuestion({ card, given, onGive }: Props) {
  useHotkeys(LETTERS.slice(0, card.answers.length).join(","), (event) => onGive(LETTERS.indexOf(event.key)), {
    enabled: given === null,
    useKey: true,
  });
  return (
    <div className="grid max-w-2xl gap-1.5">
      {card.answers.map((answer, i) => {
        const right = given !== null && i === card.right;
        const wrong = given === i && i !== card.right;
        return (
          <button
            key={answer}
            type="button"
            disabled={given !== null}
            onClick={() => onGive(i)}
            className={`flex items-center gap-3 rounded border-2 px-3 py-1.5 text-left text-[16px] disabled:opacity-100 ${right ? "border-pine bg-mark" : wrong ? "border-brick" : "border-rule enabled:hover:border-ink2"}`}
          >
            <kbd className="key">{LETTERS[i]}</kbd>
            <span className="flex-1 font-semibold">{answer}</span>
            {wrong && <span className="text-[14px] font-semibold text-brick">your answer</span>}
            {right && <span className="text-[14px] font-semibold text-pine">this one</span>}
          </button>
        );
      })}
    </div>
  );
}
