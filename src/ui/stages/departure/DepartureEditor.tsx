"use client";
import { RunwayFields } from "@/ui/situation/RunwayFields";
import { degrees, radians } from "@/core/quantities/angle";
import { M_PER_FT } from "@/core/quantities/constants";
import { DeparturePlan } from "@/core/situation/departure-plan";
import { AngleField } from "@/ui/kit/forms/AngleField";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useSituation } from "@/ui/situation/situation-store";
import { useChanged } from "@/ui/situation/useChanged";
import { useDeparture } from "@/ui/answers/departure-store";

const { shape } = DeparturePlan;
const climbCheck = checkBy(shape.climb_mps);
const practisedCheck = checkBy(shape.practisedBank_rad);
const marginCheck = checkBy(shape.stallMargin);
const chanceCheck = checkBy(shape.requiredChance);
const aheadCheck = checkBy(shape.fixedAhead_m);
const considerCheck = checkBy(shape.fixedConsider_m);
const deckCheck = checkBy(shape.hardDeck_m);
const crosswindCheck = checkBy(shape.crosswind.unwrap().shape.height_m);

const SCHOOLS: readonly { value: DeparturePlan["school"]; label: string; says: string }[] = [
  {
    value: "higher",
    label: "the higher of fixed and computed",
    says: "Never below the fixed height, and higher when today’s numbers ask for it.",
  },
  {
    value: "fixed",
    label: "fixed heights",
    says: "Ahead below the first height, near the nose below the second, then consider. Easy to remember; knows nothing of the day.",
  },
  {
    value: "computed",
    label: "computed gate",
    says: "From this aeroplane, this wind, this pilot: the height from which enough turns succeed. May be lower than the fixed height.",
  },
  {
    value: "spot-ahead",
    label: "always a spot ahead",
    says: "Turn early so that a landable place stays in front; no turning back.",
  },
];

const BANKS: readonly { value: string; label: string }[] = [
  { value: "best", label: "the best that is practised" },
  ...[20, 30, 45, 60].map((angle) => ({ value: String(angle), label: `${angle}°` })),
];

/** How the departure is to be flown and judged. */
export function DepartureEditor() {
  const plan = useSituation((state) => state.current.departure);
  const change = useSituation((state) => state.change);
  const changed = useChanged("departure");
  const facts = useDeparture((state) => state.scan?.facts ?? null);
  const { document } = useAeroplane();
  const set = (patch: Partial<DeparturePlan>) =>
    change((current) => ({ departure: { ...current.departure, ...patch } }));
  const flaps = document.polar?.flaps ?? [];
  const bank = plan.bank_rad === null ? "best" : String(Math.round(degrees(plan.bank_rad)));
  return (
    <PlanPopover label="Departure plan" changed={changed} width={460}>
      <h2 className="font-bold">Take-off</h2>
      <div className="grid grid-cols-2 gap-3">
        <RunwayFields autoFocus />
        <div>
          <QuantityField
            label="Climb speed"
            kind="speed"
            value={plan.climb_mps ?? facts?.climbEas_mps ?? null}
            step={1}
            check={climbCheck}
            onChange={(climb_mps) => set({ climb_mps })}
            hint={plan.climb_mps === null ? (document.climb ? "V_Y at this mass" : "the handbook’s V_Y") : undefined}
          />
          {plan.climb_mps !== null && (
            <button type="button" className="text-sm text-harbour underline" onClick={() => set({ climb_mps: null })}>
              Back to V_Y
            </button>
          )}
        </div>
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <CheckField
          label="Turn crosswind early"
          checked={plan.crosswind !== null}
          onChange={(early) => set({ crosswind: early ? { height_m: 300 * M_PER_FT, side: "left" } : null })}
        />
        {plan.crosswind && (
          <>
            <QuantityField
              label="Crosswind turn at"
              kind="height"
              value={plan.crosswind.height_m}
              step={50}
              check={crosswindCheck}
              onChange={(height_m) => plan.crosswind && set({ crosswind: { ...plan.crosswind, height_m } })}
            />
            <ChoiceField
              label="to the"
              value={plan.crosswind.side}
              onChange={(side) => plan.crosswind && set({ crosswind: { ...plan.crosswind, side } })}
              choices={[
                { value: "left", label: "left" },
                { value: "right", label: "right" },
              ]}
            />
          </>
        )}
      </div>
      <h2 className="font-bold">After the failure</h2>
      <div className="grid grid-cols-2 gap-3">
        <ChoiceField
          label="Reaction"
          value={plan.reaction}
          onChange={(reaction) => set({ reaction })}
          choices={[
            { value: "hands-off", label: "hands off" },
            { value: "attitude", label: "attitude held" },
          ]}
          hint={
            plan.reaction === "attitude"
              ? "The nose stays up and speed falls away: at light weight that ends in a stall."
              : "The aeroplane lowers its nose itself, keeping its trimmed speed."
          }
        />
        <ChoiceField
          label="Bank"
          value={bank}
          onChange={(value) => set({ bank_rad: value === "best" ? null : radians(Number(value)) })}
          choices={BANKS}
        />
        <AngleField
          label="Greatest practised bank"
          value={plan.practisedBank_rad}
          check={practisedCheck}
          onChange={(practisedBank_rad) => set({ practisedBank_rad })}
        />
        <ChoiceField
          label="Flap for the landing back"
          value={plan.landingFlap === null ? "" : String(plan.landingFlap)}
          onChange={(flap) => set({ landingFlap: flap === "" ? null : Number(flap) })}
          choices={[
            { value: "", label: "its landing flap" },
            ...flaps.map((flap, i) => ({ value: String(i), label: flap.name })),
          ]}
        />
        <NumberField
          label="Stall margin in the turn"
          value={plan.stallMargin}
          unit="× V_S"
          digits={2}
          step={0.05}
          check={marginCheck}
          onChange={(stallMargin) => set({ stallMargin })}
        />
      </div>
      <h2 className="font-bold">The gate</h2>
      <ChoiceField
        label="School"
        value={plan.school}
        onChange={(school) => set({ school })}
        choices={SCHOOLS}
        hint={SCHOOLS.find((school) => school.value === plan.school)?.says}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Turns that have to succeed"
          value={plan.requiredChance * 100}
          unit="in 100"
          digits={0}
          step={5}
          check={(shown) => chanceCheck(shown / 100)}
          onChange={(shown) => set({ requiredChance: shown / 100 })}
        />
        <QuantityField
          label="Hard deck for practice"
          kind="height"
          value={plan.hardDeck_m}
          step={500}
          check={deckCheck}
          onChange={(hardDeck_m) => set({ hardDeck_m })}
        />
        <QuantityField
          label="Fixed: ahead below"
          kind="height"
          value={plan.fixedAhead_m}
          step={50}
          check={aheadCheck}
          onChange={(fixedAhead_m) => set({ fixedAhead_m })}
        />
        <QuantityField
          label="Fixed: consider from"
          kind="height"
          value={plan.fixedConsider_m}
          step={50}
          check={considerCheck}
          onChange={(fixedConsider_m) => set({ fixedConsider_m })}
        />
      </div>
    </PlanPopover>
  );
}
