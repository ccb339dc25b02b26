"use client";
import { formatNumber, fromSi, unitOf } from "@/core/quantities/units";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { ControlDrawing } from "./ControlDrawing";
import { VmcaByBank, VmcaByHeight } from "./VmcaCharts";
import { useEngineOut } from "@/ui/answers/engine-out-store";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { DataTable } from "@/ui/kit/tables/DataTable";

const CONTROL_NAMES = { rudder: "Rudder", aileron: "Aileron", fin: "Fin stall", pedal: "Pedal" } as const;

/** Forces and controls as it flies, minimum control speed over height and over bank, what each thing changes. */
export function ControlView() {
  const now = useEngineOut((state) => state.now);
  if (!now) return <p className="p-4 text-ink2">Computing …</p>;
  return (
    <div
      className="grid min-h-0 grid-rows-[minmax(0,46%)_auto_minmax(0,1fr)] max-[1150px]:block max-[1150px]:overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="Control"
    >
      <ControlDrawing />
      <ControlsUsed />
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_minmax(0,1fr)_252px] border-t border-rule max-[1150px]:grid-cols-1 max-[1150px]:grid-rows-[240px_240px_auto]">
        <VmcaByHeight />
        <VmcaByBank />
        <Factors />
      </div>
    </div>
  );
}

/** How much of each control is used, against its stop. */
function ControlsUsed() {
  const now = useEngineOut((state) => state.now);
  const bank = useEngineOut((state) => state.trial.bank);
  const question = useEngineOutQuestion();
  const format = useFormat();
  if (!now) return null;
  const source = {
    calculation: {
      name: "control",
      input: { ...question, eas_mps: now.eas_mps, bank_rad: bank.kind === "bank" ? bank.bank_rad : null },
    },
  };
  return (
    <dl className="grid grid-cols-4 gap-x-5 gap-y-0.5 border-t border-rule px-4 py-1.5 text-[13px] max-[1150px]:grid-cols-2">
      {(Object.keys(CONTROL_NAMES) as (keyof typeof CONTROL_NAMES)[]).map((control) => {
        const share = now.used[control];
        return (
          <div
            key={control}
            className="grid grid-cols-[auto_minmax(24px,1fr)_auto] items-center gap-2 whitespace-nowrap"
          >
            <dt>
              {control === "pedal"
                ? `Pedal ${format("force", Math.abs(now.ledger.state.pedal_N))}`
                : CONTROL_NAMES[control]}
            </dt>
            <dd aria-hidden="true" className="h-2.5 border border-ink2 bg-paper">
              <div
                className={`h-full ${share > 1 ? "bg-brick" : "bg-harbour"}`}
                style={{ width: `${Math.min(share, 1) * 100}%` }}
              />
            </dd>
            <dd>
              <Figure
                title={CONTROL_NAMES[control]}
                figure="control"
                source={source}
                className={share > 1 ? "font-semibold text-brick" : ""}
              >
                {Math.round(share * 100)} %
              </Figure>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}

/** What each thing does to the minimum control speed today, the most first. */
function Factors() {
  const tables = useEngineOut((state) => state.tables);
  const unit = useUnits((state) => state.units.speed);
  return (
    <div
      className="min-h-0 overflow-auto border-l border-rule px-3 py-2"
      tabIndex={0}
      role="region"
      aria-label="What changes it"
    >
      <h2 className="mb-1 font-bold">What changes V_MCA today</h2>
      <DataTable
        headClassName="sr-only"
        rows={tables?.factors ?? []}
        rowKey={(factor) => factor.name}
        columns={[
          { name: "factor", className: "leading-tight", cell: (factor) => factor.name },
          {
            name: "change of V_MCA",
            cell: ({ change_mps }) =>
              change_mps === null
                ? "no limit met"
                : `${change_mps >= 0 ? "+" : "−"}${formatNumber(Math.abs(fromSi("speed", unit, change_mps)), 1)} ${unitOf("speed", unit).label}`,
          },
        ]}
      />
      <p className="mt-2 text-[13px] text-ink2">
        Each alone, all else as it is set. Not modelled: gear as a keel, blanking by flap, the fin in the slipstream,
        power-on lift.
      </p>
    </div>
  );
}
