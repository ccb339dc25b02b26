"use client";
import type { PlaceHere, RouteHere } from "@/core/route/route-here";
import { oClock } from "@/core/quantities/angle";
import { fromSi, toSi } from "@/core/quantities/units";
import { workingOfRoute } from "@/ui/answers/workings";
import { ACCOUNT_FILL } from "@/ui/kit/ledger/accounts";
import { markLabel, marksBetween } from "@/ui/kit/ledger/ledger-layout";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { formatMargin } from "@/ui/kit/units/margin";
import { Figure } from "@/ui/kit/working/Figure";
import { ReserveHatch, ShortHatch } from "@/ui/kit/ledger/Hatch";

const WIDE = 58;
const GAP = 7;
const LEFT = 44;
const TOP = 8;

/** The account of each of the best places, side by side to one scale: from the altitude down to the place's ground. */
export function PlaceLedgers({ here, height }: { here: RouteHere; height: number }) {
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const { places, point } = here;
  const bottom = height - 78;
  const low_m = Math.min(0, ...places.map(({ place, margin_m }) => place.elevation_m + Math.min(margin_m, 0)));
  const top_m = Math.max(point.altitude_m, 100);
  const y = (altitude_m: number) => TOP + ((top_m - altitude_m) / (top_m - low_m)) * (bottom - TOP);
  const marks = marksBetween(fromSi("height", unit, low_m), fromSi("height", unit, top_m));
  return (
    <figure className="relative" style={{ height }} aria-label="Height ledgers of the best places">
      <svg width="100%" height={bottom + 6} aria-hidden="true">
        <defs>
          <ReserveHatch id="hatch-reserve-route" />
          <ShortHatch id="hatch-short-route" />
        </defs>
        {marks.map((mark) => (
          <g key={mark}>
            <line
              x1={LEFT - 8}
              x2={LEFT}
              y1={y(toSi("height", unit, mark))}
              y2={y(toSi("height", unit, mark))}
              stroke="var(--ink2)"
            />
            <text
              x={LEFT - 11}
              y={y(toSi("height", unit, mark)) + 4}
              textAnchor="end"
              fontSize="12"
              className="num"
              fill="var(--ink2)"
            >
              {markLabel(mark)}
            </text>
          </g>
        ))}
        {places.map((entry, i) => (
          <Column key={entry.place.id} entry={entry} left={LEFT + i * (WIDE + GAP)} y={y} ground={y(low_m)} />
        ))}
      </svg>
      <ul className="absolute bottom-0 flex text-[13px]" style={{ left: LEFT, gap: GAP }}>
        {places.map((entry) => (
          <li key={entry.place.id} className="text-center leading-tight" style={{ width: WIDE }}>
            <span className="block truncate font-semibold" title={entry.place.name}>
              {entry.place.name.split(" ")[0]}
            </span>
            <span className="num block text-[12px] text-ink2">{oClock(entry.bearingTrue_rad, point.track_rad)} h</span>
            <span className="num block text-[12px] whitespace-nowrap text-ink2">
              {format("distance", entry.distance_m)}
            </span>
            <Figure
              title={`In hand, ${entry.place.name}`}
              figure="margin"
              source={workingOfRoute(point.distance_m)}
              className={`text-[12.5px] font-bold ${entry.margin_m >= 0 ? "text-pine" : "text-brick"}`}
            >
              {formatMargin(entry.margin_m, format).split("\u00a0")[0]}
            </Figure>
          </li>
        ))}
      </ul>
      <Accounts left={LEFT + places.length * (WIDE + GAP)} here={here} y={y} />
    </figure>
  );
}

/** From the top: what it costs; then what is left, above the ground of the place. */
function Column({
  entry,
  left,
  y,
  ground,
}: {
  entry: PlaceHere;
  left: number;
  y: (altitude_m: number) => number;
  ground: number;
}) {
  const { reaction_m, turn_m, straight_m, overhead_m, reserve_m, margin_m, altitude_m, place } = entry;
  const blocks = [
    { height_m: reaction_m, fill: ACCOUNT_FILL.reaction },
    { height_m: turn_m, fill: ACCOUNT_FILL.turn },
    { height_m: straight_m, fill: ACCOUNT_FILL.straight },
    { height_m: overhead_m, fill: ACCOUNT_FILL.approach },
    { height_m: reserve_m, fill: "url(#hatch-reserve-route)" },
  ];
  let now_m = altitude_m;
  const floor_m = place.elevation_m;
  return (
    <g>
      {blocks.map(({ height_m, fill }, i) => {
        const top = y(now_m);
        now_m -= height_m;
        return (
          <rect
            key={i}
            x={left}
            width={WIDE}
            y={top}
            height={Math.max(1, y(now_m) - top)}
            fill={fill}
            stroke="var(--ink)"
          />
        );
      })}
      {margin_m >= 0 ? (
        <rect
          x={left}
          width={WIDE}
          y={y(floor_m + margin_m)}
          height={Math.max(2, y(floor_m) - y(floor_m + margin_m))}
          fill="var(--sheet)"
          stroke="var(--pine)"
          strokeWidth="2.5"
        />
      ) : (
        <rect
          x={left}
          width={WIDE}
          y={y(floor_m)}
          height={Math.max(2, y(floor_m + margin_m) - y(floor_m))}
          fill="url(#hatch-short-route)"
          stroke="var(--brick)"
          strokeWidth="2"
        />
      )}
      <rect
        x={left}
        width={WIDE}
        y={y(floor_m)}
        height={Math.max(0, ground - y(floor_m))}
        fill="var(--wheat)"
        fillOpacity={margin_m >= 0 ? 0.45 : 0}
      />
      <line x1={left - 4} x2={left + WIDE + 4} y1={y(floor_m)} y2={y(floor_m)} stroke="var(--ink)" strokeWidth="2" />
    </g>
  );
}

/** Names beside the last column, spread so that none writes over another. */
function Accounts({ left, here, y }: { left: number; here: RouteHere; y: (altitude_m: number) => number }) {
  const last = here.places[here.places.length - 1];
  if (!last) return null;
  const parts = [
    ["Reaction", last.reaction_m],
    ["Turn", last.turn_m],
    ["Straight", last.straight_m],
    ["Approach", last.overhead_m],
    ["Reserve", last.reserve_m],
  ] as const;
  let now_m = last.altitude_m;
  let before = -Infinity;
  return (
    <ul className="text-[12px] font-semibold" aria-hidden="true">
      {parts.map(([name, height_m]) => {
        const middle = y(now_m - height_m / 2);
        now_m -= height_m;
        before = Math.max(middle - 9, before + 16);
        return (
          <li key={name} className="absolute" style={{ left: left + 2, top: before }}>
            {name}
          </li>
        );
      })}
    </ul>
  );
}
