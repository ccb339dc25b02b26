import type { Gap } from "@/core/route/gap";
import { minutes } from "@/ui/kit/units/minutes";
import type { Format } from "@/ui/kit/units/units-store";

/** How much is missing at worst. */
export function shortInWords({ short_m }: Pick<Gap, "short_m">, format: Format): string {
  return short_m === null ? "no altitude helps" : `${format("height", short_m, "up")} short`;
}

/** A gap beside the way: "8 min, 1 750 ft short". */
export function gapLabel(gap: Pick<Gap, "short_m" | "time_s">, format: Format): string {
  return `${minutes(gap.time_s)}, ${shortInWords(gap, format)}`;
}
