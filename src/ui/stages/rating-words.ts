import { formatNumber } from "@/core/quantities/units";

/** A rating's seconds and uses in words: "30 s, 3 uses". */
export function ratingWords({ duration_s, uses }: { duration_s: number | null; uses: number | null }): string {
  const time = duration_s === null ? "no limit" : `${formatNumber(duration_s)} s`;
  return uses === null ? time : `${time}, ${uses} ${uses === 1 ? "use" : "uses"}`;
}
