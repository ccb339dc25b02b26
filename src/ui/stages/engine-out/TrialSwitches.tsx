"use client";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat } from "@/ui/kit/units/units-store";
import { flownBank_rad, useEngineOut } from "@/ui/answers/engine-out-store";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";

/** Banks that are offered: the schools', and wings level. */
const BANKS: readonly { value: string; label: string }[] = [
  { value: "zero", label: "no sideslip (computed)" },
  { value: "0", label: "wings level" },
  { value: "3", label: "3° into the live engine" },
  { value: "5", label: "5° into the live engine" },
];

/** Heights and temperatures that can be tried. */
const HIGHEST_M = 6000;
const DEVIATION_K = 40;

/**
 * Everything that can be mended after the failure, each a switch, in the order of the drill.
 *
 * @param day - mass, centre of gravity, height and temperature can be tried too
 */
export function TrialSwitches({ day = false }: { day?: boolean }) {
  const { document } = useAeroplane();
  const trial = useEngineOut((state) => state.trial);
  const now = useEngineOut((state) => state.now);
  const change = useEngineOut((state) => state.try);
  const format = useFormat();
  const { mass_kg, centreOfGravity, altitude_m, air } = useEngineOutQuestion();
  const { polar, engines, asymmetric } = document;
  const dead = polar?.deadPropeller;
  const states = (["windmilling", "stopped", "coarse", "feathered"] as const).filter(
    (state) => dead && dead[state] !== null,
  );
  const best = engines.kind === "jet" ? "best rate" : "V_YSE";
  const tried = [trial.mass_kg, trial.centreOfGravity, trial.altitude_m, trial.deviation_K].some(
    (value) => value !== null,
  );
  const slow = now ? now.vmca.stall_mps : 30;
  const flown_deg = Math.round(degrees(flownBank_rad(trial, now)) * 2) / 2;
  const bank = trial.bank.kind === "zero-sideslip" ? "zero" : String(flown_deg);
  const banks = BANKS.some(({ value }) => value === bank)
    ? BANKS
    : [...BANKS, { value: bank, label: `${formatNumber(flown_deg, 1)}° into the live engine` }];
  if (!polar || !asymmetric) return null;
  return (
    <div
      className={`grid ${day ? "grid-cols-5" : "grid-cols-4"} items-end gap-x-4 gap-y-1 border-b border-rule px-4 py-1.5 max-[1150px]:grid-cols-3`}
    >
      <ChoiceField
        label="Failed"
        value={trial.failed}
        onChange={(failed) => change({ failed })}
        choices={[
          { value: "left", label: "left engine" },
          { value: "right", label: "right engine" },
        ]}
      />
      {engines.kind === "propeller" && (
        <ChoiceField
          label="Its propeller"
          value={trial.deadPropeller ?? "windmilling"}
          onChange={(deadPropeller) => change({ deadPropeller })}
          choices={states.map((value) => ({ value, label: value }))}
        />
      )}
      <ChoiceField
        label="Flap"
        value={String(Math.min(trial.flap, polar.flaps.length - 1))}
        onChange={(flap) => change({ flap: Number(flap) })}
        choices={polar.flaps.map((flap, i) => ({ value: String(i), label: flap.name }))}
      />
      <ChoiceField
        label="Bank"
        value={bank}
        onChange={(value) =>
          change({
            bank: value === "zero" ? { kind: "zero-sideslip" } : { kind: "bank", bank_rad: radians(Number(value)) },
          })
        }
        choices={banks}
      />
      {now && (
        <SliderField
          label={trial.eas_mps === null ? `Speed: ${best}` : "Speed"}
          value={now.eas_mps}
          min={Math.round(slow * 0.9 * 4) / 4}
          max={Math.round(slow * 2.2 * 4) / 4}
          step={0.25}
          shown={format("speed", now.eas_mps)}
          onChange={(eas_mps) => change({ eas_mps })}
        />
      )}
      <SliderField
        label="Live engine"
        value={trial.setting}
        min={0.3}
        max={1}
        step={0.05}
        shown={`${Math.round(trial.setting * 100)} %`}
        onChange={(setting) => change({ setting })}
      />
      {day && (
        <>
          <SliderField
            label="Bank angle"
            value={flown_deg}
            min={-3}
            max={10}
            step={0.5}
            shown={`${formatNumber(flown_deg, 1)}°`}
            onChange={(value) => change({ bank: { kind: "bank", bank_rad: radians(value) } })}
          />
          <SliderField
            label="Mass"
            value={mass_kg}
            min={document.mass.minimum_kg}
            max={document.mass.maximum_kg}
            step={5}
            shown={format("mass", mass_kg)}
            onChange={(value) => change({ mass_kg: value })}
          />
          <SliderField
            label="CG"
            value={centreOfGravity}
            min={0}
            max={1}
            step={0.05}
            shown={
              centreOfGravity === 1 ? "aft" : centreOfGravity === 0 ? "fwd" : `${Math.round(centreOfGravity * 100)} %`
            }
            onChange={(value) => change({ centreOfGravity: value })}
          />
          <SliderField
            label="Altitude"
            value={altitude_m}
            min={0}
            max={HIGHEST_M}
            step={30.48}
            shown={format("height", altitude_m)}
            onChange={(value) => change({ altitude_m: value })}
          />
          <SliderField
            label="Temperature"
            value={air.deviation_K}
            min={-DEVIATION_K}
            max={DEVIATION_K}
            step={1}
            shown={`ISA ${air.deviation_K < 0 ? "−" : "+"}${Math.abs(Math.round(air.deviation_K))}`}
            onChange={(value) => change({ deviation_K: value })}
          />
        </>
      )}
      <div
        className={`${day ? "col-span-4 max-[1150px]:col-span-3" : "col-span-2"} flex flex-wrap items-center gap-x-4 gap-y-0.5 text-[14px] [&_.btn]:px-2 [&_.btn]:py-0.5 [&_.btn]:text-[13px]`}
      >
        {polar.gear.retractable && (
          <CheckField label="Gear down" checked={trial.gearDown} onChange={(gearDown) => change({ gearDown })} />
        )}
        {polar.items.map((item) => (
          <CheckField
            key={item.id}
            label={item.name}
            checked={trial.items.includes(item.id)}
            onChange={(open) =>
              change({ items: open ? [...trial.items, item.id] : trial.items.filter((id) => id !== item.id) })
            }
          />
        ))}
        <button
          type="button"
          className="btn btn-quiet whitespace-nowrap"
          onClick={() =>
            change({
              deadPropeller: states.at(-1) ?? null,
              gearDown: false,
              flap: 0,
              items: [],
              bank: { kind: "zero-sideslip" },
              eas_mps: null,
            })
          }
        >
          All mended
        </button>
        {trial.eas_mps !== null && (
          <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => change({ eas_mps: null })}>
            To {best}
          </button>
        )}
        {tried && (
          <button
            type="button"
            className="btn btn-quiet whitespace-nowrap"
            onClick={() => change({ mass_kg: null, centreOfGravity: null, altitude_m: null, deviation_K: null })}
          >
            As the situation
          </button>
        )}
      </div>
    </div>
  );
}
