// What a turn back teaches beside its plan, in words.
import type { Explained, TurnBackBeside } from "@/core/debrief/turn-back-beside";
import type { BesidePart } from "@/core/debrief/turn-back-flown";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";

/** Names of the parts. */
export const PART_WORDS: Record<BesidePart, string> = {
  reaction: "Reaction",
  straight: "Straight on",
  turn: "Turn",
  line: "To the line",
  final: "Final",
};

/** Names of what explains. */
export const EXPLAINED_WORDS: Record<Explained | "rest", string> = {
  delay: "delay",
  straight: "straight on",
  bank: "bank",
  speed: "speed",
  wind: "wind",
  rest: "line, polar, air",
};

/** Less than this is nothing to speak of, m. */
const SPOKEN_M = 6;

/** How a part was flown and planned: `4.9 s, not 4.0`. */
export function partWords(part: BesidePart, { predicted, flown }: TurnBackBeside, format: Format): string {
  const [own, plan] = [flown.parts, predicted.parts].map(
    (parts) => parts.find((one) => one.part === part)?.time_s ?? 0,
  );
  const seconds = `${formatNumber(own, 1)} s, plan ${formatNumber(plan, 1)}`;
  switch (part) {
    case "turn":
      return `${formatNumber(degrees(flown.bank_rad))}°, plan ${formatNumber(degrees(predicted.technique.bank_rad))}°; ${format("speed", flown.turnEas_mps)}, plan ${format("speed", predicted.turnEas_mps)}`;
    case "line":
    case "final":
      return part === "final"
        ? `${format("speed", flown.finalEas_mps)}, plan ${format("speed", predicted.finalEas_mps)}`
        : seconds;
    default:
      return seconds;
  }
}

/** What the pilot can change about each. */
function advice(what: Explained, beside: TurnBackBeside, format: Format): string {
  const { predicted } = beside;
  switch (what) {
    case "delay":
      return `Act within ${formatNumber(predicted.reaction_s, 1)} s`;
    case "straight":
      return "Turn at once";
    case "bank":
      return `Bank ${formatNumber(degrees(predicted.technique.bank_rad))}°`;
    case "speed":
      return `Hold ${format("speed", predicted.turnEas_mps)} in the turn and ${format("speed", predicted.finalEas_mps)} after it`;
    case "wind":
      return "Plan with the wind that blows";
  }
}

/** The lesson: what cost most of what the pilot can change; what was left over; whether the runway was enough. */
export function lesson(
  beside: TurnBackBeside,
  touchedBeyond_m: number | null,
  format: Format,
): { lead: string; rest: string; good: boolean } {
  const { flown, predicted, explained } = beside;
  if (flown.left_m === null)
    return {
      lead: "Never lined up.",
      rest: "The way back never met the runway’s line: there is no height over its end to compare.",
      good: false,
    };
  const difference = flown.left_m - predicted.left_m;
  const height = (m: number) => format("height", Math.abs(m));
  const worst = explained
    ? (["delay", "straight", "bank", "speed"] as const).reduce((most, what) =>
        explained[what] < explained[most] ? what : most,
      )
    : null;
  const parts: string[] = [];
  if (touchedBeyond_m !== null && touchedBeyond_m > 0)
    parts.push(
      `Height was there, runway was not: it touched ${format("length", touchedBeyond_m, "up")} beyond the far end. With so much in hand, fly on before turning, or lose it on final.`,
    );
  if (flown.left_m < 0) parts.push(`It came down short of the runway, ${height(flown.left_m)} too low for its end.`);
  if (explained && explained.wind < -SPOKEN_M)
    parts.push(`The wind cost ${height(explained.wind)}: the plan must carry it.`);
  const costly = worst !== null && explained !== null && explained[worst] < -SPOKEN_M;
  const lead =
    costly && explained
      ? `${advice(worst, beside, format)}.`
      : touchedBeyond_m !== null && touchedBeyond_m > 0
        ? "Too high for this runway."
        : "Flown as planned.";
  if (costly && explained) parts.unshift(`Otherwise it cost ${height(explained[worst])}.`);
  if (parts.length === 0)
    parts.push(
      difference >= 0
        ? `${height(difference)} more left than predicted.`
        : `${height(difference)} less left than predicted, within what nobody holds.`,
    );
  return {
    lead,
    rest: parts.join(" "),
    good: !costly && flown.left_m >= 0 && !(touchedBeyond_m !== null && touchedBeyond_m > 0),
  };
}
