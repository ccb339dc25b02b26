"use client";
import { OneEnginePlan } from "@/core/situation/one-engine-plan";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useSituation } from "./situation-store";

const heightCheck = checkBy(OneEnginePlan.shape.leastHeight_m);
const climbCheck = checkBy(OneEnginePlan.shape.leastClimb_mps);
const LEAST: readonly { value: OneEnginePlan["least"]; label: string }[] = [
  { value: "height", label: "a height: below it, gear down, commit to land" },
  { value: "climb", label: "a rate of climb" },
];
const TURNS: readonly { value: OneEnginePlan["turns"]; label: string }[] = [
  { value: "either", label: "shallow, to either side" },
  { value: "live", label: "only towards the live engine" },
];

/** What is asked for at least before going on or around on one engine, and the school of turning on it. */
export function OneEngineFields() {
  const plan = useSituation((state) => state.current.oneEngine);
  const change = useSituation((state) => state.change);
  const set = (patch: Partial<OneEnginePlan>) =>
    change((current) => ({ oneEngine: { ...current.oneEngine, ...patch } }));
  return (
    <div className="grid grid-cols-2 gap-3">
      <ChoiceField
        label="On one engine go, or go around, by"
        value={plan.least}
        choices={LEAST}
        onChange={(least) => set({ least })}
      />
      {plan.least === "height" ? (
        <QuantityField
          label="Least height"
          kind="height"
          value={plan.leastHeight_m}
          step={50}
          check={heightCheck}
          onChange={(leastHeight_m) => set({ leastHeight_m })}
        />
      ) : (
        <QuantityField
          label="Least climb"
          kind="verticalSpeed"
          value={plan.leastClimb_mps}
          step={50}
          check={climbCheck}
          onChange={(leastClimb_mps) => set({ leastClimb_mps })}
        />
      )}
      <ChoiceField
        label="Turns on one engine"
        value={plan.turns}
        choices={TURNS}
        onChange={(turns) => set({ turns })}
      />
    </div>
  );
}
