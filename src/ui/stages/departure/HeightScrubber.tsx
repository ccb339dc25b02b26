"use client";
import { clamp } from "@/core/numeric/clamp";
import { Slider } from "radix-ui";
import { useHotkeys } from "react-hotkeys-hook";
import { TOP_M } from "@/core/departure/departure-day";
import { M_PER_FT } from "@/core/quantities/constants";
import { useFormat } from "@/ui/kit/units/units-store";
import { currentChance, useDeparture } from "@/ui/answers/departure-store";

/** One step of the scrubber: 10 ft, with Shift 100 ft. */
const STEP_M = 10 * M_PER_FT;
const LEAST_M = 2 * STEP_M;

/** The failure height: slider, arrow keys anywhere on the stage, and the bands in which turning back works under it. */
export function HeightScrubber() {
  const height_m = useDeparture((state) => state.height_m);
  const bands = useDeparture((state) => state.scan?.bands);
  const gate_m = useDeparture((state) => currentChance(state)?.gates.gate_m ?? null);
  const set = useDeparture((state) => state.set);
  const format = useFormat();
  const move = (steps: number) =>
    set({
      height_m: clamp(useDeparture.getState().height_m + steps * STEP_M, LEAST_M, TOP_M),
      pointedEntry: null,
    });
  // Tabs and the slider itself use the arrows too: what they have taken is theirs.
  const options = { preventDefault: true, ignoreEventWhen: (event: KeyboardEvent) => event.defaultPrevented };
  useHotkeys("left", () => move(-1), options);
  useHotkeys("right", () => move(1), options);
  useHotkeys("shift+left", () => move(-10), options);
  useHotkeys("shift+right", () => move(10), options);
  const share = (value_m: number) => `${(100 * (value_m - LEAST_M)) / (TOP_M - LEAST_M)}%`;
  return (
    <div className="grid grid-cols-[auto_1fr_auto] items-center gap-4 border-t border-rule bg-sheet px-4 py-1.5">
      <span className="flex flex-col">
        <span className="text-[13px] text-ink2">Engine stops at</span>
        <output className="num text-[20px] leading-6 font-semibold">{format("height", height_m)}</output>
      </span>
      <div className="relative pt-1 pb-4">
        <Slider.Root
          className="relative flex h-6 touch-none items-center select-none"
          min={LEAST_M}
          max={TOP_M}
          step={STEP_M}
          value={[height_m]}
          onValueChange={([value]) => set({ height_m: value, pointedEntry: null })}
        >
          <Slider.Track className="relative h-2.5 grow border border-ink2 bg-paper">
            {bands?.map((band) => (
              <span
                key={band.from_m}
                aria-hidden="true"
                className="absolute inset-y-0 bg-pine/45"
                style={{ left: share(band.from_m), right: band.to_m === null ? 0 : `calc(100% - ${share(band.to_m)})` }}
              />
            ))}
          </Slider.Track>
          <Slider.Thumb
            className="block h-6 w-3 rounded border border-sheet bg-harbour"
            aria-label="Failure height"
            aria-valuetext={format("height", height_m)}
          />
        </Slider.Root>
        {gate_m !== null && gate_m <= TOP_M && (
          <span
            aria-hidden="true"
            className="num pointer-events-none absolute bottom-0 -translate-x-1/2 text-[12px] whitespace-nowrap"
            style={{ left: share(gate_m) }}
          >
            ▲ gate {format("height", gate_m, "up")}
          </span>
        )}
      </div>
      <span className="text-[13px] text-ink2 max-[1150px]:hidden">
        <kbd className="key">←</kbd> <kbd className="key">→</kbd>
      </span>
    </div>
  );
}
