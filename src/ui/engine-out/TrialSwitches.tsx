"use client";
import { radians } from "@/core/quantities/angle";
import { CheckField } from "@/ui/forms/CheckField";
import { ChoiceField } from "@/ui/forms/ChoiceField";
import { SliderField } from "@/ui/forms/SliderField";
import { useAircraft } from "@/ui/shell/library";
import { useFormat } from "@/ui/units/units-store";
import { useEngineOut } from "./engine-out-store";

/** Banks that are offered: the schools', and wings level. */
const BANKS = [
  { value: "zero", label: "no sideslip (computed)" },
  { value: "0", label: "wings level" },
  { value: "3", label: "3° into the live engine" },
  { value: "5", label: "5° into the live engine" },
] as const;

/** Everything that can be mended after the failure, each a switch, in the order of the drill. */
export function TrialSwitches() {
  const { document } = useAircraft();
  const trial = useEngineOut((state) => state.trial);
  const now = useEngineOut((state) => state.now);
  const change = useEngineOut((state) => state.try);
  const format = useFormat();
  const { polar, engines, asymmetric } = document;
  const dead = polar?.deadPropeller;
  const states = (["windmilling", "stopped", "coarse", "feathered"] as const).filter((state) => dead && dead[state] !== null);
  const slow = now ? now.vmca.stall_mps : 30;
  const bank = trial.bank.kind === "zero-sideslip" ? "zero" : String(Math.round((trial.bank.bank_rad * 180) / Math.PI));
  if (!polar || !asymmetric) return null;
  return (
    <div className="grid grid-cols-4 items-end gap-x-4 gap-y-2 border-b border-rule px-4 py-2 max-[1150px]:grid-cols-3">
      <ChoiceField label="Failed" value={trial.failed} onChange={(failed) => change({ failed })} choices={[{ value: "left", label: "left engine" }, { value: "right", label: "right engine" }]} />
      {engines.kind === "piston" && <ChoiceField label="Its propeller" value={trial.deadPropeller ?? "windmilling"} onChange={(deadPropeller) => change({ deadPropeller })} choices={states.map((value) => ({ value, label: value }))} />}
      <ChoiceField label="Flap" value={String(Math.min(trial.flap, polar.flaps.length - 1))} onChange={(flap) => change({ flap: Number(flap) })} choices={polar.flaps.map((flap, i) => ({ value: String(i), label: flap.name }))} />
      <ChoiceField label="Bank" value={bank} onChange={(value) => change({ bank: value === "zero" ? { kind: "zero-sideslip" } : { kind: "bank", bank_rad: radians(Number(value)) } })} choices={BANKS} />
      {now && <SliderField label={trial.eas_mps === null ? "Speed: V_YSE" : "Speed"} value={now.eas_mps} min={Math.round(slow * 0.9 * 4) / 4} max={Math.round(slow * 2.2 * 4) / 4} step={0.25} shown={format("speed", now.eas_mps)} onChange={(eas_mps) => change({ eas_mps })} />}
      <SliderField label="Live engine" value={trial.setting} min={0.3} max={1} step={0.05} shown={`${Math.round(trial.setting * 100)} %`} onChange={(setting) => change({ setting })} />
      <div className="flex flex-wrap gap-x-4">
        {polar.gear.retractable && <CheckField label="Gear down" checked={trial.gearDown} onChange={(gearDown) => change({ gearDown })} />}
        {polar.items.map((item) => (
          <CheckField key={item.id} label={item.name} checked={trial.items.includes(item.id)} onChange={(open) => change({ items: open ? [...trial.items, item.id] : trial.items.filter((id) => id !== item.id) })} />
        ))}
      </div>
      <div className="flex gap-2 [&_.btn]:px-2 [&_.btn]:py-0.5 [&_.btn]:text-[13px]">
        <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => change({ deadPropeller: states.at(-1) ?? null, gearDown: false, flap: 0, items: [], bank: { kind: "zero-sideslip" }, eas_mps: null })}>
          All mended
        </button>
        {trial.eas_mps !== null && (
          <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => change({ eas_mps: null })}>
            V_YSE
          </button>
        )}
      </div>
    </div>
  );
}
