// What came of flights by hand, in words and as a file.
import Papa from "papaparse";
import { type PilotHand, pilotHand } from "@/core/exercise/pilot-hand";
import { formatNumber } from "@/core/quantities/units";
import type { ListedFlight } from "@/server/flights";
import type { Format } from "@/ui/kit/units/units-store";

type Result = ListedFlight["result"];

const ENDED: Readonly<Record<Exclude<Result["ended"], "air" | "down" | "crash" | "water">, string>> = {
  departed: "departed",
  "too-fast": "beyond the never-exceed speed",
  overload: "beyond its load",
  "rotor-slow": "rotor too slow",
  unloaded: "rotor unloaded",
};

/** Harder than this is no landing, m/s. */
const HARD_MPS = 3;
/** Out of the bands for less than this it was held, s. */
const HELD_S = 5;

/** Less height than this is none, m. */
const WORTH_M = 3;

/** Seconds out of all bands together. */
export const out_s = ({ out_s: { speed, bank, ball, stall } }: Result): number => speed + bank + ball + stall;

/** How it ended, short. */
export function endedWords({ ended, touch }: Result, format: Format): string {
  const sinking = touch ? `, sinking ${format("verticalSpeed", Math.max(touch.sink_mps, 0), "up")}` : "";
  switch (ended) {
    case "air":
      return "ended in the air";
    case "down":
      return `${touch && touch.sink_mps > HARD_MPS ? "down, hard" : "down"}${sinking}`;
    case "crash":
      return "broke at the ground";
    case "water":
      return "in the water";
    default:
      return ENDED[ended];
  }
}

/** Held in its bands, nothing broken, its exercise not failed. */
export function isHeld(result: Result): boolean {
  const whole = result.ended === "air" || (result.ended === "down" && (result.touch?.sink_mps ?? 0) <= HARD_MPS);
  return whole && out_s(result) < HELD_S && result.verdict !== "failed";
}

/** How it was flown, short. */
export function flownHow(result: Result, format: Format): string {
  const out = out_s(result);
  const bands = out < 1 ? "held" : `${formatNumber(out)} s out`;
  const exercise = result.verdict === "failed" ? ", exercise not passed" : "";
  return `${endedWords(result, format)}; ${bands}${exercise}`;
}

/** What the flights say together, the latest first. */
export function flownTrend(flights: readonly ListedFlight[], format: Format): { lead: string; rest: string } {
  if (flights.length === 0) return { lead: "None flown yet.", rest: "A flight by hand that is over is kept here." };
  const held = flights.filter(({ result }) => isHeld(result)).length;
  const lead = `${formatNumber(held)} of ${formatNumber(flights.length)} held.`;
  const [last, before] = flights.flatMap(({ result: { glide } }) => (glide ? [glide.beyond_m] : []));
  if (last === undefined) return { lead, rest: "Height is accounted for in glides." };
  const more = last < WORTH_M ? "no more" : `${format("height", last, "up")} more`;
  const took = `The last glide took ${more} than its way needed`;
  if (before === undefined) return { lead, rest: `${took}.` };
  const change = last - before;
  const than = `${format("height", Math.abs(change))} ${change < 0 ? "less" : "more"} than the one before`;
  return { lead, rest: `${took}, ${than}.` };
}

const DEG = 180 / Math.PI;

/** The hand over flights, as figures with their names. */
export function handFigures(flights: readonly ListedFlight[], format: Format): readonly (readonly [string, string])[] {
  const hand: PilotHand | null = pilotHand(flights.map(({ result }) => result));
  if (!hand) return [];
  const { reaction_s, bank_rad, speedOff_mps } = hand;
  const off = speedOff_mps.mean;
  return [
    ["Flights", formatNumber(hand.flights)],
    ["Acts after", `${formatNumber(reaction_s.mean, 1)} ± ${formatNumber(reaction_s.spread, 1)} s`],
    ...(bank_rad
      ? [["Bank in turns", `${formatNumber(bank_rad.mean * DEG)} ± ${formatNumber(bank_rad.spread * DEG)}°`] as const]
      : []),
    [
      `Speed ${off < 0 ? "under" : "over"} what is held`,
      `${format("speed", Math.abs(off))} ± ${format("speed", speedOff_mps.spread)}`,
    ],
  ];
}

/** Flights as a table in a file. */
export const flownCsv = (flights: readonly ListedFlight[]): string =>
  Papa.unparse(
    flights.map(({ flownAt, words, aircraft, helped, backs, result }) => ({
      flown: flownAt,
      what: words,
      aircraft,
      took_s: Number(result.took_s.toFixed(1)),
      ended: result.ended,
      touch_mps: result.touch ? Number(result.touch.ias_mps.toFixed(1)) : "",
      sink_mps: result.touch ? Number(result.touch.sink_mps.toFixed(1)) : "",
      speed_out_s: result.out_s.speed,
      bank_out_s: result.out_s.bank,
      ball_out_s: result.out_s.ball,
      stall_out_s: result.out_s.stall,
      lost_m: result.glide ? Math.round(result.glide.lost_m) : "",
      beyond_least_m: result.glide ? Math.round(result.glide.beyond_m) : "",
      reaction_s: result.hand ? Number(result.hand.reaction_s.toFixed(1)) : "",
      exercise: result.verdict ?? "",
      helped,
      gone_back: backs,
    })),
    { escapeFormulae: true },
  );
