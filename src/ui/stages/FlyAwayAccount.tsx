"use client";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { type FlyAway, REACTION_S } from "@/core/rotor/fly-away";
import { useFlyAwayAsked } from "@/ui/answers/useHoverAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";

/** What flying away costs, in the order in which it is spent. */
export function FlyAwayAccount({ away }: { away: FlyAway }) {
  const { rating: index, ...asked } = useFlyAwayAsked();
  const format = useFormat();
  const rating = asked.aircraft.engines.ratings[index].name;
  const lines: readonly (readonly [string, string])[] = [
    [`Reaction, ${formatNumber(REACTION_S)} s`, format("height", away.reaction_m)],
    [`Gathering speed, ${formatNumber(degrees(away.tilt_rad))}° forward`, format("height", away.accelerating_m)],
    ["Levelling at V_TOSS", format("height", away.levelling_m)],
  ];
  const after: readonly (readonly [string, string])[] = [
    ["Least rotor speed", `${formatNumber(away.leastNr * 100)} %`],
    ["Of the rating’s time", `${formatNumber(away.time_s)} s`],
    ["Then climbs", format("verticalSpeed", away.climb_mps)],
  ];
  const line = ([name, value]: readonly [string, string]) => (
    <div key={name} className="contents [&>dd]:text-right [&>dt]:text-ink2">
      <dt>{name}</dt>
      <dd className="num">{value}</dd>
    </div>
  );
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-y-0.5 text-[15px]">
      {lines.map(line)}
      <dt className="font-semibold">Lost, on {rating}</dt>
      <dd className="text-right">
        <Figure
          title="Height lost flying away"
          figure="flyAway"
          source={{ calculation: { name: "fly-away", input: { ...asked, rating } } }}
          className="font-semibold"
        >
          {format("height", away.loss_m, "up")}
        </Figure>
      </dd>
      {after.map(line)}
    </dl>
  );
}
