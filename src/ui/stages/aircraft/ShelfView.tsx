"use client";
import { clamp } from "@/core/numeric/clamp";
import { useMemo, useState } from "react";
import type { Configuration } from "@/core/aircraft/configuration";
import { cleanestConfiguration, dragShelf } from "@/core/glide/drag-shelf";
import { M_PER_FT, M_PER_NMI } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { fittingConfiguration } from "./fitting-configuration";
import { isOut, toggled } from "./shelf-configuration";
import { useEdited } from "./useEdited";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Nautical miles for each 1,000 ft of height at a glide ratio. */
const milesPerThousand = (ratio: number) => `${formatNumber((ratio * 1000 * M_PER_FT) / M_PER_NMI, 2)}\u00a0NM`;

/** What each thing that can be out costs, and what they cost together. */
export function ShelfView() {
  const { document } = useEdited();
  const situation = useSituation((state) => state.current);
  const change = useSituation((state) => state.change);
  const format = useFormat();
  const [tried, setTried] = useState<{ name: string; configuration: Configuration } | null>(null);
  const [speed, setSpeed] = useState<number | null>(null);
  const clean = useMemo(() => cleanestConfiguration(document), [document]);
  const configuration =
    tried?.name === document.name ? tried.configuration : fittingConfiguration(document, situation.configuration);
  const mass_kg = clamp(situation.mass_kg, document.mass.minimum_kg, document.mass.maximum_kg);
  const first = useMemo(() => dragShelf(document, mass_kg, 50, clean), [document, mass_kg, clean]);
  const best_mps = first.ok ? first.value.cleanest.bestEas_mps : 40;
  const eas_mps = speed ?? best_mps;
  const shelf = dragShelf(document, mass_kg, eas_mps, configuration);
  if (!shelf.ok)
    return (
      <p className="p-4">{document.polar ? shelf.issue.message : "Fill in the handbook and take over its fit."}</p>
    );
  const { cleanest, items, configured } = shelf.value;
  const setOut = (next: Configuration) => setTried({ name: document.name, configuration: next });
  const more = (sink: number | null) =>
    sink === null || cleanest.sinkAtSpeed_mps === null
      ? "stalls"
      : `+${format("verticalSpeed", sink - cleanest.sinkAtSpeed_mps)}`;
  const share = (ratio: number) => `${(100 * ratio) / cleanest.ratio}%`;
  const source = (opened: Configuration) => ({
    calculation: { name: "polar", input: { aircraft: document, mass_kg, configuration: opened } },
  });
  return (
    <div className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)_auto]">
      <div className="grid grid-cols-[1fr_auto] items-end gap-6 px-4 pt-3 pb-1">
        <p className="text-[14px] text-ink2">
          Each item alone against the cleanest glide:{" "}
          <span className="num text-ink">{formatNumber(cleanest.ratio, 1)}:1</span> at{" "}
          <span className="num text-ink">{format("speed", cleanest.bestEas_mps)}</span>, {format("mass", mass_kg)}. Tick
          what is out to see it together.
        </p>
        <div className="w-56">
          <SliderField
            label="Sink compared at"
            value={eas_mps}
            min={best_mps * 0.75}
            max={best_mps * 1.8}
            step={0.25}
            shown={format("speed", eas_mps)}
            onChange={setSpeed}
          />
        </div>
      </div>
      <div className="min-h-0 overflow-auto px-4" tabIndex={0} role="region" aria-label="Drag shelf">
        <DataTable
          headClassName="sticky top-0 bg-sheet"
          rows={items}
          rowKey={(item) => item.id}
          rowProps={(item) => ({ className: isOut(item, configuration) ? "bg-mark" : "" })}
          empty="This aircraft has nothing that can be out: add flaps, gear or drag items in its handbook."
          columns={[
            {
              name: "Out, open or turning",
              className: "py-1.5",
              tone: () => "!font-semibold",
              cell: (item) => (
                <label className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-harbour"
                    checked={isOut(item, configuration)}
                    onChange={() => setOut(toggled(item, configuration, clean))}
                  />
                  {item.name}
                </label>
              ),
            },
            {
              name: "glide ratio left",
              kind: "words",
              className: "w-[30%]",
              cell: ({ glide }) => (
                <svg width="100%" height="14" aria-hidden="true">
                  <rect width={share(glide.ratio)} height="14" fill="var(--sage)" />
                  <rect
                    x={share(glide.ratio)}
                    width={`${100 - (100 * glide.ratio) / cleanest.ratio}%`}
                    height="13"
                    y="0.5"
                    fill="none"
                    stroke="var(--brick)"
                    strokeDasharray="3 2"
                  />
                </svg>
              ),
            },
            { name: "ratio", cell: ({ glide }) => formatNumber(glide.ratio, 1) },
            {
              name: "costs",
              cell: ({ glide }) => `−${formatNumber(cleanest.ratio - glide.ratio, 1)}`,
              tone: () => "text-brick",
            },
            { name: "per 1 000 ft", cell: ({ glide }) => milesPerThousand(glide.ratio) },
            { name: `at ${format("speed", eas_mps)}`, cell: ({ glide }) => more(glide.sinkAtSpeed_mps) },
          ]}
        />
      </div>
      <div className="flex items-center gap-6 border-t border-rule px-4 py-2">
        <dl className="flex flex-1 flex-wrap items-baseline gap-x-2 text-[15px] whitespace-nowrap [&>dd]:mr-5 [&>dt]:text-ink2">
          <dt>Together</dt>
          <dd>
            <Figure
              title="Glide as ticked"
              figure="bestGlide"
              source={source(configuration)}
              className="text-[20px] font-semibold"
            >
              {formatNumber(configured.ratio, 1)}:1 at {format("speed", configured.bestEas_mps)}
            </Figure>
          </dd>
          <dt>per 1 000 ft</dt>
          <dd className="num">{milesPerThousand(configured.ratio)}</dd>
          <dt>sink at {format("speed", eas_mps)}</dt>
          <dd className="num">
            {configured.sinkAtSpeed_mps === null ? "stalls" : format("verticalSpeed", configured.sinkAtSpeed_mps)}
          </dd>
        </dl>
        <button type="button" className="btn btn-quiet whitespace-nowrap" onClick={() => change({ configuration })}>
          Use in the situation
        </button>
      </div>
    </div>
  );
}
