"use client";
import { ApproachPlan } from "@/core/situation/situation-document";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { ClearanceField, GlideSpeedField, ReserveField } from "@/ui/situation/ApproachFields";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";

const finalCheck = checkBy(ApproachPlan.shape.final_m);

const KEYS: readonly { value: ApproachPlan["key"]; label: string }[] = [
  { value: "none", label: "none: the shortest way" },
  { value: "overhead-left", label: "overhead, then left circuit" },
  { value: "overhead-right", label: "overhead, then right circuit" },
  { value: "abeam-left", label: "abeam, left circuit" },
  { value: "abeam-right", label: "abeam, right circuit" },
];

/** How the approach is to be flown: reserve, final, key position, glide speed, clearance. */
export function PlanFields() {
  const plan = useSituation((state) => state.current.plan);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const set = (patch: Partial<ApproachPlan>) => change((current) => ({ plan: { ...current.plan, ...patch } }));
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <ReserveField label="Reserve over the aim point" autoFocus />
        <QuantityField
          label="Straight final"
          kind="length"
          value={plan.final_m}
          step={50}
          check={finalCheck}
          onChange={(final_m) => set({ final_m })}
        />
        <ClearanceField />
      </div>
      <p className="text-sm text-ink2">
        The clearance tapers to nothing between {format("distance", 2500)} and {format("distance", 500)} from the
        landing place.
      </p>
      <ChoiceField label="Key position on the way" value={plan.key} choices={KEYS} onChange={(key) => set({ key })} />
      <GlideSpeedField />
    </>
  );
}
