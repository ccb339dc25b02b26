"use client";
import { useState } from "react";
import type { NumberCard } from "@/core/recall/recall-card";
import { fromSi, toSi } from "@/core/quantities/units";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";

interface Props {
  card: NumberCard;
  /** What was set, m/s; null before. */
  given: number | null;
  onGive: (speed_mps: number) => void;
}

/** A slide rule with a cursor: a speed is set, not chosen. */
export function NumberQuestion({ card, given, onGive }: Props) {
  const unit = useUnits((state) => state.units.speed);
  const format = useFormat();
  const [low, high] = [
    Math.floor(fromSi("speed", unit, card.low_mps)),
    Math.ceil(fromSi("speed", unit, card.high_mps)),
  ];
  const [set, setSet] = useState(() => low);
  const shown = given === null ? set : Math.round(fromSi("speed", unit, given));
  const share = (value: number) => `${((value - low) / (high - low)) * 100}%`;
  const step = high - low > 120 ? 20 : 10;
  const marks = Array.from(
    { length: Math.floor(high / step) - Math.ceil(low / step) + 1 },
    (_, i) => (Math.ceil(low / step) + i) * step,
  );
  const truth = fromSi("speed", unit, card.speed_mps);
  return (
    <div className="max-w-2xl">
      <div className="relative mx-3 mt-8 h-8 border-2 border-ink2 bg-[repeating-linear-gradient(90deg,var(--rule)_0_1px,transparent_1px_2%)]">
        {marks.map((mark) => (
          <span
            key={mark}
            className="num absolute bottom-0 -translate-x-1/2 text-[12px] text-ink2"
            style={{ left: share(mark) }}
          >
            {mark}
          </span>
        ))}
        <span
          className="absolute -top-1 -bottom-1 w-4 -translate-x-1/2 border-2 border-harbour bg-harbour/20"
          style={{ left: share(shown) }}
        />
        <span
          className="num absolute -top-7 -translate-x-1/2 font-bold whitespace-nowrap"
          style={{ left: share(shown) }}
        >
          {shown === low && given === null ? "?" : shown}
        </span>
        {given !== null && (
          <span
            className="absolute -bottom-6 -translate-x-1/2 font-bold whitespace-nowrap text-pine"
            style={{ left: share(truth) }}
          >
            ▲ {format("speed", card.speed_mps)}
          </span>
        )}
      </div>
      <label className="mt-8 block">
        <span className="sr-only">{card.question}</span>
        <input
          type="range"
          className="w-full accent-harbour"
          min={low}
          max={high}
          step={1}
          value={shown}
          disabled={given !== null}
          aria-valuetext={`${shown} ${unit}`}
          onChange={(event) => setSet(Number(event.currentTarget.value))}
        />
      </label>
      {given === null && (
        <button
          type="button"
          className="btn mt-1"
          disabled={set === low}
          onClick={() => onGive(toSi("speed", unit, set))}
        >
          Here
        </button>
      )}
    </div>
  );
}
