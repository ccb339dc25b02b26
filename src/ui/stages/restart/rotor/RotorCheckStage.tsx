"use client";
import { ROTOR_LEAVE_M } from "@/core/restart/rotor-check";
import { formatNumber } from "@/core/quantities/units";
import { type CheckAnswer, type CheckShown, useGyroCheck, useHelicopterCheck } from "@/ui/answers/useRotorCheck";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { OneViewStage } from "@/ui/kit/page/OneViewStage";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlowEditor } from "../FlowEditor";
import { SYMPTOM_CHOICES } from "../symptom-choices";

const CAUTIONS = [
  "Estimate for planning and training. The manual’s drill, and whether an engine may be lit again in the air, come first.",
  "Flying it comes before looking for causes: speed, rotor, a place into the wind.",
];

/** Is there time to look for the cause before landing? Of a helicopter. */
export function HelicopterCheckStage() {
  return <CheckStage answer={useHelicopterCheck()} first="Collective down" />;
}

/** The same of a gyroplane. */
export function GyroCheckStage() {
  return <CheckStage answer={useGyroCheck()} first="Nose down for speed" />;
}

function CheckStage({ answer: { check, issue }, first }: { answer: CheckAnswer; first: string }) {
  const symptom = useSituation((state) => state.current.restart.symptom);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  return (
    <OneViewStage
      label="Restart"
      question="Is there time to look for the cause?"
      view="Cause check"
      issue={issue}

      controls={
        <div className="flex items-end justify-between gap-4 [&>:first-child]:w-80">
          <ChoiceField
            label="How did it stop?"
            value={symptom ?? ""}
            onChange={(value) =>
              change(({ restart }) => ({ restart: { ...restart, symptom: value === "" ? null : value } }))
            }
            choices={SYMPTOM_CHOICES}
          />
          <FlowEditor />
        </div>
      }
      aside={<CheckAside check={check} first={first} />}
    >
      {check && (
        <div className="min-h-0 overflow-auto px-4 py-2" tabIndex={0} role="region" aria-label="Cause check">
          <DataTable
            label="The flow against the seconds that there are"
            className="w-full text-[15px]"
            rows={check.items}
            rowKey={({ item }) => item.id}
            rowProps={({ fits }) => ({ className: fits ? "" : "text-ink2" })}
            columns={[
              { name: "item", cell: ({ item }) => <strong>{item.name}</strong> },
              { name: "do", kind: "words", cell: ({ item }) => item.action },
              { name: "takes", cell: ({ item }) => `${formatNumber(item.time_s)} s` },
              { name: "done after", cell: ({ done_s }) => `${formatNumber(done_s)} s` },
              { name: "at", cell: ({ height_m }) => format("height", height_m, "down") },
              {
                name: "fits",
                kind: "words",
                tone: ({ fits }) => (fits ? "text-pine" : "text-brick"),
                cell: ({ fits }) => (fits ? "fits" : "no more: land"),
              },
            ]}
          />
        </div>
      )}
    </OneViewStage>
  );
}

function CheckAside({ check, first }: { check: CheckShown | null; first: string }) {
  const format = useFormat();
  if (!check) return <DecisionAside said={null} good cautions={[]} />;
  const { available_s, fitting, items, sink_mps, tas_mps, height_m } = check;
  const said =
    fitting === 0
      ? {
          lead: "No time: land.",
          rest: `Below ${format("height", ROTOR_LEAVE_M)} above the place, and within the reaction of it, nothing is looked for.`,
        }
      : {
          lead: `${first}, then ${formatNumber(fitting)} of ${formatNumber(items.length)} items fit.`,
          rest: `${formatNumber(Math.floor(available_s))} s at ${format("speed", tas_mps)}; leave it at ${format("height", ROTOR_LEAVE_M)} above the place, whatever has been found.`,
        };
  return (
    <DecisionAside said={said} good={fitting > 0} cautions={CAUTIONS}>
      <AsideFigures>
        <dt>Above the ground</dt>
        <dd className="num">{format("height", height_m, "down")}</dd>
        <dt>Least sink</dt>
        <dd className="num">{format("verticalSpeed", sink_mps)}</dd>
        <dt>Seconds to the height it is left at</dt>
        <dd className="num">{formatNumber(Math.floor(available_s))} s</dd>
      </AsideFigures>
    </DecisionAside>
  );
}
