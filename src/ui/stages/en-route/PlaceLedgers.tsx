"use client";
import { oClock } from "@/core/quantities/angle";
import type { RouteHere } from "@/core/route/route-here";
import { workingOfRoute } from "@/ui/answers/workings";
import { ACCOUNT_FILL } from "@/ui/kit/ledger/accounts";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { LedgerColumns, WANTED } from "./LedgerColumns";

/** The account of each of the best places: from the altitude down to the place's ground. */
export function PlaceLedgers({ here: { places, point } }: { here: RouteHere }) {
  const format = useFormat();
  return (
    <LedgerColumns
      label="Height ledgers of the best places"
      altitude_m={point.altitude_m}
      columns={places.map(
        ({ place, bearingTrue_rad, distance_m, margin_m, reaction_m, turn_m, straight_m, overhead_m, reserve_m }) => ({
          id: place.id,
          name: place.name,
          notes: [`${oClock(bearingTrue_rad, point.track_rad)} h`, format("distance", distance_m)],
          blocks: [
            { name: "Reaction", height_m: reaction_m, fill: ACCOUNT_FILL.reaction },
            { name: "Turn", height_m: turn_m, fill: ACCOUNT_FILL.turn },
            { name: "Straight", height_m: straight_m, fill: ACCOUNT_FILL.straight },
            { name: "Approach", height_m: overhead_m, fill: ACCOUNT_FILL.approach },
            { name: "Reserve", height_m: reserve_m, fill: WANTED },
          ],
          margin_m,
          ground_m: place.elevation_m,
          figure: (
            <Figure
              title={`In hand, ${place.name}`}
              figure="margin"
              source={workingOfRoute(point.distance_m)}
              className={`text-[12.5px] font-bold ${margin_m >= 0 ? "text-pine" : "text-brick"}`}
            >
              {formatMargin(margin_m, format).split("\u00a0")[0]}
            </Figure>
          ),
        }),
      )}
    />
  );
}
