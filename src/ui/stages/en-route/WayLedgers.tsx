"use client";
import type { DriftHere } from "@/core/drift/drift-here";
import { workingOfOneEngine } from "@/ui/answers/workings";
import { ACCOUNT_FILL } from "@/ui/kit/ledger/accounts";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { LedgerColumns, WANTED } from "./LedgerColumns";
import { minutes } from "@/ui/kit/units/minutes";

const BY = { straight: "direct", round: "round", route: "by route" };

/** The account of each way on one engine: from the altitude down to the ground where it is nearest to it. */
export function WayLedgers({ here: { ways, point } }: { here: DriftHere }) {
  const format = useFormat();
  return (
    <LedgerColumns
      label="Height ledgers of the ways on one engine"
      altitude_m={point.altitude_m}
      columns={ways.map(({ place, by, time_s, margin_m, feathering_m, drift_m, net_m, clearance_m, ground_m }, i) => {
        return {
          id: `${place.id}-${by}`,
          name: place.name,
          notes: [BY[by], minutes(time_s)],
          blocks: [
            { name: "Feathering", height_m: feathering_m, fill: ACCOUNT_FILL.reaction },
            { name: "Drift-down", height_m: drift_m, fill: ACCOUNT_FILL.straight },
            { name: "Net", height_m: net_m, fill: ACCOUNT_FILL.attempt },
            { name: "Clearance", height_m: clearance_m, fill: WANTED },
          ],
          margin_m,
          ground_m,
          figure: (
            <Figure
              title={`In hand, ${place.name}`}
              figure="margin"
              source={workingOfOneEngine(point.distance_m, i)}
              className={`text-[12.5px] font-bold ${margin_m >= 0 ? "text-pine" : "text-brick"}`}
            >
              {formatMargin(margin_m, format).split("\u00a0")[0]}
            </Figure>
          ),
        };
      })}
    />
  );
}
