"use client";
import { useDeferredValue, useMemo } from "react";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { fitSingle } from "@/core/fitting/single-fit";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { FitDoubts, FitFrame, offBy } from "./FitFrame";
import { Group } from "./Group";
import { QuantityNote } from "./QuantityNote";
import type { Edited } from "./useEdited";

type Book = Aeroplane["handbook"];
type Distance = "takeOffRun_m" | "takeOff15_m" | "landingRun_m" | "landing15_m";

const DISTANCES: readonly { field: Distance; label: string; hint: string }[] = [
  { field: "takeOffRun_m", label: "Take-off run", hint: "from standstill to lift-off" },
  { field: "takeOff15_m", label: "Take-off over 50 ft", hint: "from standstill to 50 ft" },
  { field: "landingRun_m", label: "Landing run", hint: "from touchdown to standstill" },
  { field: "landing15_m", label: "Landing over 50 ft", hint: "from 50 ft to standstill" },
];

/** What a single's book says of take-off, climb and landing, and the thrust that it asks for. */
export function SingleFields({ edited }: { edited: Edited }) {
  const { handbook } = edited.document;
  const set = (patch: Partial<Book>) => edited.change((now) => ({ ...now, handbook: { ...now.handbook, ...patch } }));
  return (
    <>
      <Group title="Take-off, climb, landing: standard air at sea level, no wind, hard and dry">
        {DISTANCES.map(({ field, label, hint }) => (
          <QuantityNote
            key={field}
            edited={edited}
            label={label}
            path={`handbook.${field}`}
            kind="length"
            value={handbook[field]}
            hint={hint}
            onChange={(value) => set({ [field]: value })}
            onClear={() => set({ [field]: null })}
          />
        ))}
        <QuantityNote
          edited={edited}
          label="Climb at V_Y"
          path="handbook.climb_mps"
          kind="verticalSpeed"
          value={handbook.climb_mps}
          hint="full power, flap and gear up"
          onChange={(climb_mps) => set({ climb_mps })}
          onClear={() => set({ climb_mps: null })}
        />
      </Group>
      <SingleFitPanel edited={edited} />
    </>
  );
}

/** The book of take-off and landing beside the model, and taking the thrust over. */
function SingleFitPanel({ edited }: { edited: Edited }) {
  const format = useFormat();
  // What is typed comes first; the fit follows when the hand rests.
  const document = useDeferredValue(edited.document);
  const fit = useMemo(() => fitSingle(document), [document]);
  const line = fit.ok ? fit.value.line : null;
  return (
    <FitFrame
      title="Fit to take-off and climb"
      from="The thrust line from the run and the climb, as the departure flies them."
      onUse={
        line &&
        (() =>
          edited.change((now) =>
            now.engines.kind === "propeller" ? { ...now, engines: { ...now.engines, thrustLine: line } } : now,
          ))
      }
    >
      {fit.ok ? (
        <>
          <DataTable
            rows={fit.value.residuals}
            rowKey={({ name }) => name}
            label="Take-off and landing, the book beside the model"
            className="mt-2 max-w-xl w-full text-[14px]"
            columns={[
              { name: "figure", cell: ({ name }) => name },
              { name: "book", cell: ({ kind, book }) => format(kind, book) },
              { name: "fitted model", cell: ({ kind, model }) => format(kind, model) },
              {
                name: "off by",
                cell: offBy,
                tone: ({ book, model }) => (Math.abs(model / book - 1) > 0.12 ? "text-brick" : ""),
              },
            ]}
          />
          {line && (
            <p className="mt-1 text-[14px]">
              Thrust at standstill {format("force", line.static_N)}, at V_Y{" "}
              {format("force", line.static_N - line.slope_Nspm * (document.handbook.vy_mps ?? 0))}.
            </p>
          )}
          {fit.value.braking !== null && (
            <p className="mt-1 text-[14px]">
              The landing run asks for {fit.value.braking.toFixed(2)} g of braking;{" "}
              {fit.value.brakingPlanned.toFixed(2)} g is planned with on a hard dry runway.
            </p>
          )}
          <FitDoubts doubts={fit.value.doubts} />
        </>
      ) : (
        <p role="status" className="mt-2 text-brick">
          {fit.issue.message}
        </p>
      )}
    </FitFrame>
  );
}
