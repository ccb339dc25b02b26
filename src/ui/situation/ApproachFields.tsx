"use client";
import { ApproachPlan } from "@/core/situation/situation-document";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useSituation } from "./situation-store";

const reserveCheck = checkBy(ApproachPlan.shape.reserve_m);
const clearanceCheck = checkBy(ApproachPlan.shape.clearance_m);

function usePlan() {
  const plan = useSituation((state) => state.current.plan);
  const change = useSituation((state) => state.change);
  return { plan, set: (patch: Partial<ApproachPlan>) => change(({ plan }) => ({ plan: { ...plan, ...patch } })) };
}

/** Height kept in hand; it has its own name where it stands. */
export function ReserveField({ label, autoFocus }: { label: string; autoFocus?: boolean }) {
  const { plan, set } = usePlan();
  return (
    <QuantityField
      label={label}
      kind="height"
      value={plan.reserve_m}
      step={50}
      autoFocus={autoFocus}
      check={reserveCheck}
      onChange={(reserve_m) => set({ reserve_m })}
    />
  );
}

/** Height over ground that a way keeps. */
export function ClearanceField() {
  const { plan, set } = usePlan();
  return (
    <QuantityField
      label="Clearance over ground"
      kind="height"
      value={plan.clearance_m}
      step={50}
      check={clearanceCheck}
      onChange={(clearance_m) => set({ clearance_m })}
    />
  );
}

/** The two schools of glide speed. */
export function GlideSpeedField() {
  const { plan, set } = usePlan();
  return (
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
  );
}
