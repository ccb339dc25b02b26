import type { Word } from "@/core/glide/dubins";
import type { EndReach } from "@/core/landing/reach";

const SIDE = { L: "left", R: "right" } as const;

/** A turn smaller than this is not announced, rad (5°). */
const NO_TURN = 0.0873;

/** "right, straight, left", key included; turns too small to fly as such are left out. */
export function wayInWords({ path }: Pick<EndReach, "path">): string {
  if (!path) return "";
  return path.legs
    .map((leg) => {
      const parts = [
        leg.turn1_rad > NO_TURN && SIDE[leg.word[0] as "L" | "R"],
        leg.straight_m > 30 && "straight",
        leg.turn2_rad > NO_TURN && SIDE[leg.word[2] as "L" | "R"],
      ].filter(Boolean);
      return parts.length > 0 ? parts.join(", ") : "straight in";
    })
    .join("; key; ");
}

/** What to do with the controls first. */
export function firstMove({ path }: Pick<EndReach, "path">): string {
  const leg = path?.legs[0];
  if (!leg || leg.turn1_rad <= NO_TURN) return "straight on";
  return `${SIDE[leg.word[0] as "L" | "R"]} turn now`;
}

/** "LSR" as "left, straight, right". */
export function wordInWords(words: string): string {
  return words
    .split(" ")
    .map((word) => [SIDE[(word as Word)[0] as "L" | "R"], "straight", SIDE[(word as Word)[2] as "L" | "R"]].join(", "))
    .join("; key; ");
}
