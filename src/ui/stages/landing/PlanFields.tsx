"use client";
import { ApproachPlan } from "@/core/situation/situation-document";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";

const reserveCheck = checkBy(ApproachPlan.shape.reserve_m);
const finalCheck = checkBy(ApproachPlan.shape.final_m);
const clearanceCheck = checkBy(ApproachPlan.shape.clearance_m);

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
        <QuantityField
          label="Reserve over the aim point"
          kind="height"
          value={plan.reserve_m}
          step={50}
          autoFocus
          check={reserveCheck}
          onChange={(reserve_m) => set({ reserve_m })}
        />
        <QuantityField
          label="Straight final"
          kind="length"
          value={plan.final_m}
          step={50}
          check={finalCheck}
          onChange={(final_m) => set({ final_m })}
        />
        <QuantityField
          label="Clearance over ground"
          kind="height"
          value={plan.clearance_m}
          step={50}
          check={clearanceCheck}
          onChange={(clearance_m) => set({ clearance_m })}
        />
      </div>
      <p className="text-sm text-ink2">
        The clearance tapers to nothing between {format("distance", 2500)} and {format("distance", 500)} from the
        landing place.
      </p>
      <ChoiceField label="Key position on the way" value={plan.key} choices={KEYS} onChange={(key) => set({ key })} />
      <ChoiceField
        label="Glide speed"
        value={plan.glideSpeed}
        choices={[
          { value: "book", label: "the book’s best glide" },
          { value: "wind", label: "corrected for the wind along the path" },
        ]}
        onChange={(glideSpeed) => set({ glideSpeed })}
        hint="Schools differ. The book’s speed is one to remember; the corrected one goes farther into a strong wind. Try both and compare what is left."
      />
    </>
  );
}
