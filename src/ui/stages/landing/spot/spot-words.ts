import type { Account, LedgerEntry } from "@/core/glide/glide-path";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { FLARE_M, type SpotItem, type SpotWay } from "@/core/rotor/gyro-spot";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

const ITEM: Record<SpotItem["name"], { readonly name: string; readonly account: Account }> = {
  glide: { name: "Best glide", account: "straight" },
  "s-turns": { name: "S-turns", account: "turn" },
  slow: { name: "Slow descent", account: "attempt" },
  push: { name: "Push for speed", account: "reaction" },
  final: { name: "Final", account: "approach" },
  flare: { name: "Flare", account: "reserve" },
};

/** What a way is called. */
export function wayName({ kind, turns, turnHeading_rad, slow_mps }: SpotWay, format: Format): string {
  if (kind === "straight") return "straight in";
  if (kind === "s-turns")
    return `${formatNumber(turns)} S-turn${turns === 1 ? "" : "s"} of ${formatNumber(degrees(turnHeading_rad))}°, then straight in`;
  return slow_mps === 0 ? "straight down, then push" : `slow at ${format("speed", slow_mps ?? 0)}, then push`;
}

/** The way as a ledger in height. */
export function spotLedger({ items }: SpotWay): LedgerEntry[] {
  return items.map(({ name, height_m, time_s }) => ({ ...ITEM[name], height_m, time_s }));
}

/** How a way comes out, in a few words. */
export function verdictWords({ verdict, margin_m }: SpotWay, format: Format): string {
  switch (verdict) {
    case "works":
      return `works, ${format("height", margin_m, "down")} over`;
    case "under-floor":
      return "slow below 500 ft";
    case "too-high":
      return `overshoots by ${format("height", margin_m, "up")} of height`;
    case "too-low":
      return `short by ${format("height", Math.max(-margin_m, 0), "up")}`;
  }
}

/** What to do to reach the spot, its lead first. */
export function spotDecision(ways: readonly SpotWay[], format: Format): { works: boolean; lead: string; rest: string } {
  const works = ways.find(({ verdict }) => verdict === "works");
  if (!works) {
    const high = ways.some(({ verdict }) => verdict === "too-high");
    const floor = ways.find(({ verdict }) => verdict === "under-floor");
    if (floor)
      return {
        works: false,
        lead: "Only by staying slow below 500 ft.",
        rest: `${wayName(floor, format)}: the push would begin at ${format("height", floor.pushAt_m ?? 0)}. Common practice keeps 35 to 40 kt below about 500 ft: choose a spot farther on.`,
      };
    return high
      ? {
          works: false,
          lead: "Too high for this spot.",
          rest: "No number of S-turns or slow descent ends at it: choose one farther away, or behind.",
        }
      : {
          works: false,
          lead: "The spot is not in reach.",
          rest: "Choose one that is nearer, into the wind, while there is height.",
        };
  }
  const name = wayName(works, format);
  const lead = `${name.charAt(0).toUpperCase()}${name.slice(1)}.`;
  if (works.kind === "slow")
    return {
      works: true,
      lead,
      rest: `Push at ${format("height", works.pushAt_m ?? 0, "up")}, no lower: the speed for the flare is back at ${format("height", FLARE_M + (works.items.find((item) => item.name === "final")?.height_m ?? 0))}.`,
    };
  return {
    works: true,
    lead,
    rest: `${format("height", works.margin_m, "down")} over at the spot: lose it on the way, not in the flare.`,
  };
}
