// What speaks for and against a place, in words.
import type { SiteReason, SiteVerdict } from "@/core/landing/sites";
import type { QuantityKind } from "@/core/quantities/units";
import { formatNumber } from "@/core/quantities/units";
import type { LengthRule } from "@/core/situation/landing-plan";

type Format = (kind: QuantityKind, si: number) => string;

/** How good a place is, in a word or two. */
export const VERDICT_WORDS: Record<SiteVerdict, { text: string; tone: string }> = {
  fits: { text: "fits", tone: "text-pine" },
  tight: { text: "tight", tone: "text-ochre" },
  "too-short": { text: "too short", tone: "text-brick" },
  reserve: { text: "spends the reserve", tone: "text-ochre" },
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

/** A reason as it is said. */
export function reasonInWords({ code, value }: SiteReason, format: Format): string {
  switch (code) {
    case "runway":
      return "runway";
    case "unprepared":
      return "not prepared";
    case "spare":
      return `${format("length", value)} to spare`;
    case "tight":
      return `${format("length", value)} to spare, no factor`;
    case "too-short":
      return `${format("length", value)} too short`;
    case "does-not-stop":
      return "does not stop downhill";
    case "tailwind":
      return `tail ${format("speed", value)}`;
    case "headwind":
      return `head ${format("speed", value)}`;
    case "crosswind":
      return `across ${format("speed", value)}`;
    case "crosswind-limit":
      return `across ${format("speed", value)}, over 0.2 V_S0`;
    case "obstacle":
      return `obstacle ${format("height", value)}`;
    case "sun":
      return "sun in the eyes";
    case "uphill":
      return `uphill ${formatNumber(value * 100, 1)} %`;
    case "downhill":
      return `downhill ${formatNumber(-value * 100, 1)} %`;
    case "low-arrival":
      return `only ${format("height", value)} in hand`;
    case "reserve":
      return `${format("height", value)} of the reserve`;
    case "short":
      return `${format("height", value)} short`;
    case "blocked":
      return `${format("height", value)} under the clearance`;
    case "people":
      return "people about";
    case "power-lines":
      return "power lines";
    case "stock":
      return "stock grazing";
    case "trees":
      return "trees";
    case "soft":
      return "soft";
    case "rough":
      return "rough, stones";
    case "wall":
      return "a wall across";
    default:
      return code satisfies never;
  }
}
