"use client";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { useDeparture } from "@/ui/answers/departure-store";
import { STANDING_TONE, nearestAhead, optionsAt, standingOf } from "./options";

/** Options far out of reach are left out below this many metres short. */
const LISTED_M = -120;

/** What can be done at the height that is looked at; choosing one draws it. */
export function OptionList() {
  const scan = useDeparture((state) => state.scan);
  const height_m = useDeparture((state) => state.height_m);
  const choice = useDeparture((state) => state.choice);
  const set = useDeparture((state) => state.set);
  const format = useFormat();
  const ahead = scan && nearestAhead(scan, height_m);
  if (!scan || !ahead) return <p className="p-3 text-ink2">Computing …</p>;
  const options = optionsAt(scan, ahead).filter((option) =>
    option.kind !== "field" && option.kind !== "runway" ? true : (option.score_m ?? -Infinity) > LISTED_M,
  );
  return (
    <ul className="text-[13px]" aria-label={`Options at ${format("height", ahead.height_m)}`}>
      {options.map((option) => {
        const standing = standingOf(option.score_m);
        const shown = choice === option.id;
        return (
          <li key={option.id} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={shown}
              className={`grid w-full grid-cols-[1fr_auto] gap-x-2 border-l-4 px-2 py-1 text-left hover:bg-mark ${shown ? "border-harbour bg-mark" : "border-transparent"}`}
              onClick={() => set({ choice: shown ? "best" : option.id, pointedEntry: null })}
            >
              <span className="font-semibold">{option.name}</span>
              <span className={`num ${STANDING_TONE[standing]}`}>
                {option.score_m === null || (option.margin_m === null && option.spare_m === null)
                  ? standing
                  : `${standing}, ${formatMargin(option.score_m, format)}`}
              </span>
              <span className="col-span-2 text-ink2">
                {[
                  option.margin_m !== null && `height ${formatMargin(option.margin_m, format)}`,
                  option.spare_m !== null &&
                    (option.spare_m >= 0
                      ? `${format("length", option.spare_m)} left after stopping`
                      : `${format("length", -option.spare_m)} too short to stop`),
                  option.note,
                ]
                  .filter(Boolean)
                  .join(" · ")}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
