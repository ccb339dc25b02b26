"use client";
import { Plus, Trash2 } from "lucide-react";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { FieldRow } from "./FieldRow";
import { Group } from "./Group";
import type { Edited } from "./useEdited";

const anyPositive = (value: number) => (value > 0 ? null : "More than 0.");

/** Rows of the airspeed calibration. */
export function CalibrationFields({ edited }: { edited: Edited }) {
  const { document, change } = edited;
  const rows = document.airspeedCalibration;
  const set = (airspeedCalibration: NonNullable<typeof rows> | null) =>
    change((now) => ({ ...now, airspeedCalibration }));
  const fault = edited.faults.find(({ path }) => path.startsWith("airspeedCalibration"))?.message;
  return (
    <Group title="Airspeed calibration, flap up">
      <p className="col-span-full max-w-prose text-[14px] text-ink2">
        A book that prints indicated speeds has this table: give it first. The speeds of this form are then typed as the
        book has them, and briefs, cards and the speeds to fly are said as the indicator shows them.
      </p>
      {rows?.map((row, i) => {
        const put = (patch: Partial<typeof row>) =>
          set(rows.map((entry, at) => (at === i ? { ...entry, ...patch } : entry)));
        return (
          <FieldRow
            key={i}
            name={`calibration ${i + 1}`}
            onRemove={rows.length > 2 ? () => set(rows.filter((_, at) => at !== i)) : undefined}
          >
            <QuantityField
              label={`Indicated ${i + 1}`}
              kind="speed"
              digits={1}
              step={1}
              value={row.indicated_mps}
              check={anyPositive}
              onChange={(indicated_mps) => put({ indicated_mps })}
            />
            <QuantityField
              label="is calibrated"
              kind="speed"
              digits={1}
              step={1}
              value={row.calibrated_mps}
              check={anyPositive}
              onChange={(calibrated_mps) => put({ calibrated_mps })}
            />
            <span />
          </FieldRow>
        );
      })}
      {fault && (
        <p role="alert" className="col-span-full text-brick">
          {fault}
        </p>
      )}
      <span className="col-span-full flex gap-2">
        <button
          type="button"
          className="btn btn-quiet"
          disabled={(rows?.length ?? 0) >= 30}
          onClick={() => {
            const stall_mps = document.handbook.vs1_mps ?? 25;
            if (!rows)
              return set([
                { indicated_mps: stall_mps, calibrated_mps: stall_mps },
                { indicated_mps: 2 * stall_mps, calibrated_mps: 2 * stall_mps },
              ]);
            const last = rows[rows.length - 1];
            set([...rows, { indicated_mps: last.indicated_mps + 5, calibrated_mps: last.calibrated_mps + 5 }]);
          }}
        >
          <Plus size={15} aria-hidden="true" /> {rows ? "Row" : "The book’s table"}
        </button>
        {rows && (
          <button type="button" className="btn btn-quiet" onClick={() => set(null)}>
            <Trash2 size={15} aria-hidden="true" /> Without a table
          </button>
        )}
      </span>
    </Group>
  );
}
