// Options as the stage lists them: turning back left and right joined to what lies ahead.
import type { DepartureOption } from "@/core/departure/option";
import type { AheadAtHeight } from "@/core/departure/scan";
import { bestOf, allowedBanks } from "@/core/departure/best-bank";
import type { Turnback } from "@/core/departure/turnback-search";
import type { DepartureScan } from "@/ui/answers/departure-store";

/** Turning back to a side as an option. */
function turnbackOption(side: 1 | -1, turnback: Turnback | null): DepartureOption {
  const stalls = "the reaction ends in a stall";
  return {
    id: side === -1 ? "left" : "right",
    kind: "turnback",
    name: `Turn back ${side === -1 ? "left" : "right"}`,
    score_m: turnback?.score_m ?? null,
    margin_m: turnback?.result.margin_m ?? null,
    spare_m: turnback?.result.spare_m ?? null,
    note: turnback ? null : stalls,
  };
}

/** Every option at a scanned height. */
export function optionsAt(scan: DepartureScan, ahead: AheadAtHeight): DepartureOption[] {
  const scans = allowedBanks(scan.question.plan).flatMap(
    (bank) => scan.byBank.get(bank)?.find((candidate) => candidate.height_m === ahead.height_m) ?? [],
  );
  return [
    ...ahead.options.filter((option) => option.kind === "stop" || option.kind === "ahead"),
    turnbackOption(-1, bestOf(scans, -1)),
    turnbackOption(1, bestOf(scans, 1)),
    ...ahead.options.filter((option) => option.kind === "field" || option.kind === "runway"),
  ];
}

/** The scanned height nearest to one. */
export function nearestAhead(scan: DepartureScan, height_m: number): AheadAtHeight | null {
  return scan.ahead.reduce<AheadAtHeight | null>(
    (best, candidate) =>
      best === null || Math.abs(candidate.height_m - height_m) < Math.abs(best.height_m - height_m) ? candidate : best,
    null,
  );
}

/** Less left over than this is not a margin, m (50 ft). Common practice. */
const LITTLE_M = 15.24;

/** What is said of an option by what it leaves; a margin of a few feet does not work. */
export function standingOf(score_m: number | null): "not known" | "works" | "just" | "no" {
  if (score_m === null) return "not known";
  return score_m < 0 ? "no" : score_m < LITTLE_M ? "just" : "works";
}

/** Colours that say the same. */
export const STANDING_TONE = {
  "not known": "text-ink2",
  works: "text-pine",
  just: "text-ochre",
  no: "text-brick",
} as const;
