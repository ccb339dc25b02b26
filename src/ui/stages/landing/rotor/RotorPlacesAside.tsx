"use client";
import { formatClock } from "@/core/quantities/clock";
import { shownOf, useRotorLooked, useRotorPlaces, workingOfRotorEnd } from "@/ui/answers/useRotorReach";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { KEY_WORDS, placesDecision } from "./places-words";

const CAUTIONS = [
  "Estimate for planning and training. The flight manual and your instructor come first.",
  "Room, flare and slide are a sketch: half as much again is asked for. Wires and trees that nobody entered are not in it.",
  "The reaction is counted at the steady sink; collective down or nose down at once.",
];

/** The decision, what the way spends, and its keys. */
export function RotorPlacesAside() {
  const { value, asked } = useRotorPlaces();
  const { pinnedId, pointedEntry, point } = useRotorLooked();
  const format = useFormat();
  const [ledger, height] = useHeight();
  const shown = shownOf(value, pinnedId);
  if (!value || !shown) return <DecisionAside said={null} good cautions={[]} />;
  const said = placesDecision(shown, value[0], asked.question.plan, format);
  const { end, way, keys } = shown;
  return (
    <DecisionAside said={said} good={said.works} cautions={CAUTIONS}>
      <div ref={ledger} className="min-h-[260px] flex-1 border-t border-rule px-2 py-1">
        {way.path && (
          <HeightLedger
            name={end.name}
            have_m={way.path.have_m}
            over="the aim point"
            ledger={way.path.ledger}
            margin_m={way.path.margin_m}
            ground={`aim point, ${end.name}`}
            source={workingOfRotorEnd(asked, end.id)}
            pointed={pointedEntry}
            onPoint={point}
            height={Math.max(height, 250)}
          />
        )}
      </div>
      {keys.length > 0 && (
        <section className="border-t border-rule px-4 py-2">
          <DataTable
            caption="Keys"
            className="w-full text-[14px]"
            rows={keys}
            rowKey={({ name }) => name}
            columns={[
              {
                name: "key",
                cell: ({ name }) => (
                  <abbr className="no-underline" title={KEY_WORDS[name]}>
                    {name}
                  </abbr>
                ),
              },
              { name: "height", kind: "figure", cell: ({ height_m }) => format("height", height_m) },
              { name: "speed", kind: "figure", cell: ({ tas_mps }) => format("speed", tas_mps) },
              { name: "after", kind: "figure", cell: ({ time_s }) => formatClock(time_s) },
            ]}
          />
        </section>
      )}
    </DecisionAside>
  );
}
