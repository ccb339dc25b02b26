"use client";
import { Slider } from "radix-ui";

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** The value with its unit, as it is read out. */
  shown: string;
  onChange: (value: number) => void;
}

/** A value that is tried out rather than typed. */
export function SliderField({ label, value, min, max, step, shown, onChange }: Props) {
  return (
    <div>
      <div className="flex justify-between gap-2 text-sm whitespace-nowrap">
        <span className="text-ink2">{label}</span>
        <output className="num">{shown}</output>
      </div>
      <Slider.Root
        className="relative flex h-6 touch-none items-center select-none"
        min={min}
        max={max}
        step={step}
        value={[value]}
        onValueChange={([next]) => onChange(next)}
      >
        <Slider.Track className="relative h-1.5 grow border border-ink2 bg-paper" />
        <Slider.Thumb
          className="block h-5 w-2.5 rounded border border-sheet bg-harbour"
          aria-label={label}
          aria-valuetext={shown}
        />
      </Slider.Root>
    </div>
  );
}
