// Where names and labels of a profile stand, so that none writes over another.
import type { Gap } from "@/core/route/gap";

/** Width of a letter of a name, px. */
const LETTER_PX = 7;

/** Names with where they stand; those that would write over the one before are left out: the table has them all. */
export function namesWithRoom(
  names: readonly { readonly name: string; readonly distance_m: number }[],
  x: (distance_m: number) => number,
  left: number,
  right: number,
): { name: string; distance_m: number; left: number }[] {
  let taken = -Infinity;
  return names.flatMap(({ name, distance_m }) => {
    const wide = name.length * LETTER_PX;
    const begins = Math.min(Math.max(x(distance_m) - wide / 2, left), right - wide);
    if (begins < taken) return [];
    taken = begins + wide + 8;
    return [{ name, distance_m, left: begins }];
  });
}

/** What is said of the gaps, the worst first; what would write over another is left out. */
export function gapLabels<G extends Pick<Gap, "short_m" | "worstAt_m">>(
  gaps: readonly G[],
  x: (distance_m: number) => number,
  label: (gap: G) => string,
): { gap: G; label: string; middle: number }[] {
  const kept: { gap: G; label: string; middle: number }[] = [];
  for (const gap of [...gaps].sort((a, b) => (b.short_m ?? Infinity) - (a.short_m ?? Infinity))) {
    const text = label(gap);
    const middle = x(gap.worstAt_m);
    const clear = (other: { label: string; middle: number }) =>
      Math.abs(other.middle - middle) > ((other.label.length + text.length) / 2) * LETTER_PX + 8;
    if (kept.every(clear)) kept.push({ gap, label: text, middle });
  }
  return kept;
}
