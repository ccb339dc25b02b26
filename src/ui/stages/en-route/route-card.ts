// What the card of a flight says.
import type { DriftAnswer } from "@/core/drift/drift-answer";
import type { Ceiling } from "@/core/drift/one-engine-path";
import type { Detour } from "@/core/route/detour";
import type { Gap, Stretch } from "@/core/route/gap";
import type { RouteAnswer } from "@/core/route/route-answer";
import type { RoutePlan } from "@/core/situation/route-plan";
import type { Format } from "@/ui/kit/units/units-store";
import type { RouteCardContent } from "./RouteCardPdf";
import { minutes } from "@/ui/kit/units/minutes";
import { withoutPlace } from "./route-headline";
import { shortInWords } from "@/ui/kit/charts/gap-words";
import { flightInWords, gapInWords } from "./route-words";

/** Every so many points of the flight one is drawn on paper. */
const EVERY = 4;

function profileOf({ points, length_m }: RouteAnswer): RouteCardContent["profile"] {
  const drawn = points.filter((_, i) => i % EVERY === 0 || i === points.length - 1);
  const top_m = Math.max(...drawn.map(({ altitude_m, cover_m }) => Math.max(altitude_m, cover_m ?? 0)));
  const spot = (distance_m: number, altitude_m: number): [number, number] => [
    distance_m / length_m,
    Math.max(0, altitude_m) / top_m,
  ];
  return {
    ground: drawn.map(({ distance_m, ground_m }) => spot(distance_m, ground_m ?? 0)),
    planned: drawn.map(({ distance_m, altitude_m }) => spot(distance_m, altitude_m)),
    cover: drawn.flatMap(({ distance_m, cover_m }) => (cover_m === null ? [] : [spot(distance_m, cover_m)])),
  };
}

/** One page holds so many; that there are more is said on it. */
const [MOST_GAPS, MOST_STRETCHES] = [4, 8];

const more = (count: number, noun: string) => (count > 0 ? [`${count} more ${noun}: see the screen`] : []);

/** What one engine does, for the aeroplane that has two. */
function oneEngineRows(drift: DriftAnswer, format: Format): RouteCardContent["rows"] {
  const { gaps, service, absolute, equalTime, places } = drift;
  const height = (ceiling: Ceiling) =>
    ceiling === "none" ? "none" : ceiling === "above" ? "above this flight" : format("height", ceiling, "down");
  const worst = gaps.reduce<Gap | null>((most, gap) => ((gap.short_m ?? 0) > (most?.short_m ?? -1) ? gap : most), null);
  return [
    { name: "One engine: service and absolute ceiling", value: `${height(service)}, ${height(absolute)}` },
    {
      name: `One engine: no way to ${places.map(({ name }) => name).join(", ")}`,
      value: worst ? `${withoutPlace(drift)}; ${shortInWords(worst, format)}` : "never",
    },
    ...(equalTime
      ? [
          {
            name: `Equal time on one engine, ${equalTime.first.name} and ${equalTime.second.name}`,
            value: `at ${format("distance", equalTime.distance_m)}: ${minutes(equalTime.time_s)}`,
          },
        ]
      : []),
  ];
}

/** The card's text in the user's units. @param drift - on one engine; null for an aircraft without two */
export function routeCardContent(
  answer: RouteAnswer,
  drift: DriftAnswer | null,
  detours: readonly Detour[],
  route: RoutePlan,
  aircraft: string,
  format: Format,
): RouteCardContent {
  const [first, last] = [route.points[0], route.points[route.points.length - 1]];
  // What a way round leaves out is told on the screen, where it is taken; here is no room for it.
  const round = detours.map((detour) => ({ ...detour, without: [] }));
  const gapLine = (gap: Gap, i: number) => {
    const at = { distance_m: gap.from_m, time_s: gap.fromTime_s };
    const said = gapInWords(answer, round, at, route.altitude_m, format);
    const span = `${format("distance", gap.from_m)} to ${format("distance", gap.to_m)}`;
    return `${i + 1}. ${span}: ${said?.headline.replace(/^[^:]*: /, "") ?? ""} ${said?.text ?? ""}`;
  };
  const stretchRow = ({ place, from_m, to_m }: Stretch) => {
    // Its last point is the next one's first, but at the end of the flight.
    const within = answer.points.filter(
      ({ distance_m }) => distance_m >= from_m && (distance_m < to_m || to_m === answer.length_m),
    );
    const most_m = Math.max(...within.map(({ cover_m }) => cover_m ?? Infinity));
    return [
      place < 0 ? "no place" : answer.places[place].name,
      format("distance", from_m),
      format("distance", to_m),
      Number.isFinite(most_m) ? format("height", most_m, "up") : "none helps",
    ];
  };
  return {
    title: `${first.name} – ${last.name}`,
    sub: `${aircraft}; ${flightInWords(answer, format)}`,
    large: [{ name: "Altitude", value: format("height", route.altitude_m) }],
    rows: [
      {
        name: "Without a place in reach",
        value: answer.gaps.length === 0 ? "never" : withoutPlace(answer),
      },
      { name: "Wanted overhead a place", value: format("height", route.overhead_m) },
      ...(drift ? oneEngineRows(drift, format) : []),
    ],
    profile: profileOf(answer),
    gaps: [...answer.gaps.slice(0, MOST_GAPS).map(gapLine), ...more(answer.gaps.length - MOST_GAPS, "gaps")],
    stretches: [
      ...answer.stretches.slice(0, MOST_STRETCHES).map(stretchRow),
      ...more(answer.stretches.length - MOST_STRETCHES, "stretches").map((text) => [text, "", "", ""]),
    ],
  };
}
