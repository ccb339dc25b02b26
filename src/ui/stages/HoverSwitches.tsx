"use client";
import { M_PER_FT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { FIRST_HOVER, useHoverTrial } from "@/ui/answers/hover-store";
import { useHoverAsked } from "@/ui/answers/useHoverAnswer";
import { useFormat } from "@/ui/kit/units/units-store";

/** Heights of the skids that are offered, ft; out of ground effect without one. */
const SKIDS_FT = [3, 5, 10, 20, 40];
const [HIGHEST_M, DEVIATION_K, STRONGEST_MPS] = [4500, 40, 23.15];

/** What of a hover can be tried: mass, wind, air, height of the skids. */
export function HoverSwitches() {
  const asked = useHoverAsked();
  const trial = useHoverTrial();
  const format = useFormat();
  const { mass } = asked.aircraft;
  const tried = [trial.mass_kg, trial.wind_mps, trial.altitude_m, trial.deviation_K].some((value) => value !== null);
  return (
    <div className="grid grid-cols-[repeat(4,minmax(0,1fr))_150px] items-end gap-x-5 gap-y-1 border-b border-rule px-4 py-1.5 max-[1150px]:grid-cols-3">
      <SliderField
        label="Mass"
        value={asked.mass_kg}
        min={mass.minimum_kg}
        max={mass.maximum_kg}
        step={10}
        shown={format("mass", asked.mass_kg)}
        onChange={(mass_kg) => trial.try({ mass_kg })}
      />
      <SliderField
        label="Wind"
        value={asked.wind_mps}
        min={0}
        max={Math.max(STRONGEST_MPS, asked.wind_mps)}
        step={0.5}
        shown={format("speed", asked.wind_mps)}
        onChange={(wind_mps) => trial.try({ wind_mps })}
      />
      <SliderField
        label="Altitude"
        value={asked.altitude_m}
        min={0}
        max={Math.max(HIGHEST_M, asked.altitude_m)}
        step={30}
        shown={format("height", asked.altitude_m)}
        onChange={(altitude_m) => trial.try({ altitude_m })}
      />
      <SliderField
        label="ISA"
        value={asked.air.deviation_K}
        min={-DEVIATION_K}
        max={DEVIATION_K}
        step={1}
        shown={`${asked.air.deviation_K < 0 ? "−" : "+"}${formatNumber(Math.abs(asked.air.deviation_K))} °C`}
        onChange={(deviation_K) => trial.try({ deviation_K })}
      />
      <ChoiceField
        label="Skids"
        value={asked.skids_m === null ? "" : String(Math.round(asked.skids_m / M_PER_FT))}
        onChange={(feet) => trial.try({ skids_m: feet === "" ? null : Number(feet) * M_PER_FT })}
        choices={[
          { value: "", label: "no ground effect" },
          ...SKIDS_FT.map((feet) => ({ value: String(feet), label: format("height", feet * M_PER_FT) })),
        ]}
      />
      {tried && (
        <p className="col-span-full text-[13px] text-ink2">
          Tried here, not the situation’s.{" "}
          <button
            type="button"
            className="underline underline-offset-2"
            onClick={() =>
              trial.try({ ...FIRST_HOVER, needed_s: trial.needed_s, skids_m: trial.skids_m, rating: trial.rating })
            }
          >
            Situation again
          </button>
        </p>
      )}
    </div>
  );
}
