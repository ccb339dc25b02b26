import type { HoverAnswer } from "@/core/rotor/hover-answer";
import { HOIST_RESERVE_S } from "@/core/rotor/hoist-case";
import { formatNumber } from "@/core/quantities/units";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

/** What to do in a hover when one engine fails. */
export interface HoverSaid {
  readonly holds: boolean;
  readonly lead: string;
  readonly rest: string;
}

/** The decision of a hover, its lead first. */
export function hoverDecision({ hover, hoist }: HoverAnswer, format: Format): HoverSaid {
  const { ratings, holdsOn, stalled } = hover;
  if (stalled)
    return {
      holds: false,
      lead: "The blades stall: it does not hover here.",
      rest: `The blade loading is above what the rotor carries. Lighter or lower it may; power does not help.`,
    };
  if (holdsOn === null) {
    const [strongest] = ratings;
    const slowest = strongest.level?.slowest_mps;
    return {
      holds: false,
      lead: "Fly away: no rating holds this hover.",
      rest: `Short by ${format("power", -strongest.margin_W, "up")} on ${strongest.rating.name}. ${
        slowest === undefined
          ? "It does not fly level at any speed."
          : `It flies level from ${format("speed", slowest)} of airspeed.`
      }`,
    };
  }
  const held = ratings[holdsOn];
  if (held.rating.duration_s === null)
    return {
      holds: true,
      lead: "It holds for as long as there is fuel.",
      rest: `The ${held.rating.name} rating has ${format("power", held.margin_W, "down")} in hand; the ${held.available.binds} binds.`,
    };
  return hoist.holds
    ? {
        holds: true,
        lead: `Hold it for the ${formatNumber(hoist.needed_s)} s that are needed.`,
        rest: `The ${held.rating.name} rating gives the power, with ${format("power", held.margin_W, "down")} in hand and ${formatNumber((hoist.spare_s ?? 0) + HOIST_RESERVE_S)} s over. Then fly away before the time is out.`,
      }
    : {
        holds: false,
        lead: `It cannot be held for ${formatNumber(hoist.needed_s)} s.`,
        rest: `Only the ${held.rating.name} rating gives the power, ${HOIST_RESERVE_S} s of it are kept for flying away, and nothing that lasts long enough does.${
          hoist.lighterBy_kg === null ? "" : ` ${format("mass", hoist.lighterBy_kg, "up")} lighter, it could.`
        }`,
      };
}

/** What the spine says of it. */
export function hoverHeadline({ hover }: HoverAnswer, format: Format): { text: string; tone?: string } {
  if (hover.stalled) return { text: "blades stall", tone: "text-brick" };
  if (hover.holdsOn === null) return { text: "no hover on one", tone: "text-brick" };
  const { rating, margin_W } = hover.ratings[hover.holdsOn];
  return {
    text: `${rating.name} · ${format("power", margin_W, "down")}`,
    tone: rating.duration_s === null ? "text-pine" : "text-ochre",
  };
}
