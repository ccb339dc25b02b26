"use client";
import { RestartPlan } from "@/core/situation/restart-plan";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useSituation } from "@/ui/situation/situation-store";
import { useChanged } from "@/ui/situation/useChanged";
import { useCommit } from "@/ui/answers/useRestartQuestion";

const commitCheck = checkBy(RestartPlan.shape.commit_m.unwrap());

const STOPPED: readonly { value: RestartPlan["stopped"]; label: string }[] = [
  { value: "left", label: "the left one, the right one runs" },
  { value: "right", label: "the right one, the left one runs" },
  { value: "both", label: "both" },
];

/** Which engine has stopped, and the commit height: from the planned landing, or set. */
export function RestartEditor() {
  const set_m = useSituation((state) => state.current.restart.commit_m);
  const change = useSituation((state) => state.change);
  const stopped = useSituation((state) => state.current.restart.stopped);
  const twin = useAeroplane().document.asymmetric !== null;
  const commit = useCommit();
  const changed = useChanged("restart");
  const set = (patch: Partial<RestartPlan>) => change((current) => ({ restart: { ...current.restart, ...patch } }));
  return (
    <PlanPopover label="Restart plan" changed={changed} width={340}>
      {twin && (
        <ChoiceField
          label="Which engine has stopped"
          value={stopped}
          choices={STOPPED}
          onChange={(value) => set({ stopped: value })}
        />
      )}
      <h2 className="font-bold">Commit height</h2>
      <CheckField
        label="From the planned landing"
        checked={set_m === null}
        onChange={(planned) => set({ commit_m: planned ? null : commit.altitude_m })}
      />
      <QuantityField
        label="Checking ends at, above the sea"
        kind="height"
        value={set_m ?? commit.altitude_m}
        step={100}
        check={commitCheck}
        onChange={(commit_m) => set({ commit_m })}
      />
      <p className="text-[13px] text-ink2">
        Below it the landing has all the attention. From the Landing stage it is the height that the landing shown there
        needs from here, with its reserve.
      </p>
    </PlanPopover>
  );
}
