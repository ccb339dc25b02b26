"use client";
import { RoutePlan } from "@/core/situation/route-plan";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useRoute } from "@/ui/answers/route-store";
import { useSituation } from "@/ui/situation/situation-store";

const { shape } = RoutePlan.shape.oneEngine;
const clearanceCheck = checkBy(shape.clearance_m);
const besideCheck = checkBy(shape.beside_m);
const decrementCheck = checkBy(shape.decrement);
const MOST_ALTERNATES = 4;

/** What one engine must clear, and which runways it may be led to. */
export function OneEngineFields() {
  const plan = useSituation((state) => state.current.route.oneEngine);
  const change = useSituation((state) => state.change);
  const runways = useRoute((state) => state.route?.answer?.places)?.filter(({ kind }) => kind === "runway") ?? [];
  const now = useRoute((state) => state.drift?.answer?.places);
  const set = (patch: Partial<RoutePlan["oneEngine"]>) =>
    change(({ route }) => ({ route: { ...route, oneEngine: { ...route.oneEngine, ...patch } } }));
  const { alternates } = plan;
  return (
    <fieldset className="flex flex-col gap-3 border-t border-rule pt-3">
      <legend className="float-left font-semibold">On one engine</legend>
      <p className="clear-both text-sm text-ink2">
        2 000 ft over the highest ground within 5 statute miles, and a net gradient 1.1 % less, are examples of rules
        (14 CFR 121.191, 25.123). On a small island ground so far beside the way decides everything. Yours come first.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Height over the ground"
          kind="height"
          value={plan.clearance_m}
          step={100}
          check={clearanceCheck}
          onChange={(clearance_m) => set({ clearance_m })}
        />
        <QuantityField
          label="Ground counts to either side"
          kind="distance"
          value={plan.beside_m}
          step={0.2}
          check={besideCheck}
          onChange={(beside_m) => set({ beside_m })}
        />
        <NumberField
          label="Net gradient less by"
          unit="%"
          value={plan.decrement * 100}
          step={0.1}
          digits={1}
          check={(percent) => decrementCheck(percent / 100)}
          onChange={(percent) => set({ decrement: percent / 100 })}
        />
      </div>
      <fieldset className="flex flex-col gap-1">
        <legend className="text-sm text-ink2">
          Alternates, at most {MOST_ALTERNATES}; none chosen: those nearest to the route
          {alternates.length === 0 && now ? ` (${now.map(({ name }) => name).join(", ")})` : ""}
        </legend>
        {runways.map(({ id, name }) => (
          <CheckField
            key={id}
            label={name}
            checked={alternates.includes(id)}
            onChange={(checked) =>
              set({
                alternates: checked
                  ? [...alternates, id].slice(-MOST_ALTERNATES)
                  : alternates.filter((other) => other !== id),
              })
            }
          />
        ))}
      </fieldset>
    </fieldset>
  );
}
