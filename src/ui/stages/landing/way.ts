import { type Word, turnSigns } from "@/core/glide/dubins";
import type { WayToEnd } from "@/core/landing/way-to-end";

/** A turn smaller than this is not announced, rad (5°). */
const NO_TURN = 0.0873;

/** "right, straight, left", key included; turns too small to fly as such are left out. */
export function wayInWords({ path }: Pick<WayToEnd, "path">): string {
  if (!path) return "";
  return path.legs
    .map((leg) => {
      const [first, second] = sidesOf(leg.word);
      const parts = [
        leg.turn1_rad > NO_TURN && first,
        leg.straight_m > 30 && "straight",
        leg.turn2_rad > NO_TURN && second,
      ].filter(Boolean);
      return parts.length > 0 ? parts.join(", ") : "straight in";
    })
    .join("; key; ");
}

/** What to do with the controls first. */
export function firstMove({ path }: Pick<WayToEnd, "path">): string {
  const leg = path?.legs[0];
  if (!leg || leg.turn1_rad <= NO_TURN) return "straight on";
  return `${sidesOf(leg.word)[0]} turn now`;
}

/** "LSR" as "left, straight, right". */
export function wordsInWords(words: readonly Word[]): string {
  return words.map((word) => sidesOf(word).join(", straight, ")).join("; key; ");
}

function sidesOf(word: Word): ("left" | "right")[] {
  return turnSigns(word).map((sign) => (sign > 0 ? "right" : "left"));
}
