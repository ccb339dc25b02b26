"use client";
import { RestartPlan } from "@/core/situation/restart-plan";
import { CheckField } from "@/ui/forms/CheckField";
import { QuantityField } from "@/ui/forms/QuantityField";
import { checkBy } from "@/ui/forms/fault";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useSituation } from "@/ui/situation/situation-store";
import { useChanged } from "@/ui/situation/useChanged";
import { useCommit } from "./useRestartQuestion";

const commitCheck = checkBy(RestartPlan.shape.commit_m.unwrap());

/** The commit height: from the planned landing, or set. */
export function RestartEditor() {
  const set_m = useSituation((state) => state.current.restart.commit_m);
  const change = useSituation((state) => state.change);
  const commit = useCommit();
  const changed = useChanged("restart");
  const set = (patch: Partial<RestartPlan>) => change((current) => ({ restart: { ...current.restart, ...patch } }));
  return (
    <PlanPopover label="Restart plan" changed={changed} width={340}>
      <h2 className="font-bold">Commit height</h2>
      <CheckField label="From the planned landing" checked={set_m === null} onChange={(planned) => set({ commit_m: planned ? null : commit.altitude_m })} />
      <QuantityField label="Checking ends at, above the sea" kind="height" value={set_m ?? commit.altitude_m} step={100} check={commitCheck} onChange={(commit_m) => set({ commit_m })} />
      <p className="text-[13px] text-ink2">Below it the landing has all the attention. From the Landing stage it is the height that the landing shown there needs from here, with its reserve.</p>
    </PlanPopover>
  );
}
