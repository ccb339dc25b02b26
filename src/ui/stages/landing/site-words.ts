// What speaks for and against a place, in words.
import type { SiteVerdict } from "@/core/landing/site-verdict";
import type { Hazard } from "@/core/places/place";
import type { SiteReason } from "@/core/landing/sites";
import { formatNumber } from "@/core/quantities/units";
import type { LengthRule } from "@/core/situation/landing-plan";
import { HAZARD_WORDS } from "@/ui/library/hazard-words";
import type { Format } from "@/ui/kit/units/units-store";

/** How good a place is, in a word or two. */
export const VERDICT_WORDS: Record<SiteVerdict, { text: string; tone: string }> = {
  fits: { text: "fits", tone: "text-pine" },
  tight: { text: "tight", tone: "text-ochre" },
  reserve: { text: "spends the reserve", tone: "text-ochre" },
  wind: { text: "too much wind", tone: "text-brick" },
  "too-short": { text: "too short", tone: "text-brick" },
  blocked: { text: "ground in the way", tone: "text-brick" },
  short: { text: "out of reach", tone: "text-brick" },
};

/** Schools of judging a length. */
export const RULES: readonly { value: LengthRule; label: string }[] = [
  { value: "factor", label: "computed × 1.43, half the headwind" },
  { value: "leaflet", label: "leaflet’s factors (UK, from memory)" },
  { value: "own", label: "computed × a factor of your own" },
  { value: "computed", label: "computed, no factor" },
];

function isHazard(code: SiteReason["code"]): code is Hazard {
  return code in HAZARD_WORDS;
}

/** A reason as it is said. */
export function reasonInWords({ code, value }: SiteReason, format: Format): string {
  if (isHazard(code)) return HAZARD_WORDS[code];
  switch (code) {
    case "runway":
      return "runway";
    case "unprepared":
      return "not prepared";
    case "spare":
      return `${format("length", value, "down")} to spare`;
    case "tight":
      return `${format("length", value, "down")} to spare, no factor`;
    case "too-short":
      return `${format("length", value, "up")} too short`;
    case "does-not-stop":
      return "does not stop downhill";
    case "tailwind":
      return `tail ${format("speed", value)}`;
    case "tailwind-limit":
      return `tail ${format("speed", value)}, over the limit`;
    case "headwind":
      return `head ${format("speed", value)}`;
    case "crosswind":
      return `across ${format("speed", value)}`;
    case "crosswind-limit":
      return `across ${format("speed", value)}, over the limit`;
    case "obstacle":
      return `obstacle ${format("height", value)}`;
    case "sun":
      return "sun in the eyes";
    case "uphill":
      return `uphill ${formatNumber(value * 100, 1)} %`;
    case "downhill":
      return `downhill ${formatNumber(-value * 100, 1)} %`;
    case "low-arrival":
      return `only ${format("height", value, "down")} in hand`;
    case "long-ago":
      return `last looked at ${formatNumber(value / 30.44)} months ago`;
    case "reserve":
      return `${format("height", value, "up")} of the reserve`;
    case "short":
      return `${format("height", value, "up")} short`;
    case "blocked":
      return `${format("height", value, "up")} under the clearance`;
    default:
      return code satisfies never;
  }
}
