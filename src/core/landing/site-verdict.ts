/**
 * `fits` by the rule chosen; `tight` by computation only; `reserve` fits, but the height reserve is spent on the way;
 * `wind` has more wind from behind or across than is planned with; `too-short` by computation; `blocked` by ground on
 * the way; `short` out of reach.
 */
export type SiteVerdict = "fits" | "tight" | "reserve" | "wind" | "too-short" | "blocked" | "short";

/** Whether a verdict is one to land by; all others are the least bad of what there is. */
export function isUsable(verdict: SiteVerdict): boolean {
  return verdict === "fits" || verdict === "tight" || verdict === "reserve";
}
