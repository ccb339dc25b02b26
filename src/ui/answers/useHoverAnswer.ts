"use client";
import { useMemo } from "react";
import type { FlyAwayAnswer, FlyAwayAsked } from "@/core/rotor/fly-away-answer";
import type { HoverAnswer, HoverAsked } from "@/core/rotor/hover-answer";
import type { SafeHeights } from "@/core/rotor/hover-heights";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useHoverTrial } from "./hover-store";

/** What the situation and the trial ask about a hover on one engine. */
export function useHoverAsked(): HoverAsked {
  const { document } = useHelicopter();
  const situation = useSituation((state) => state.current);
  const trial = useHoverTrial();
  const mass_kg = trial.mass_kg ?? situation.mass_kg;
  const wind_mps = trial.wind_mps ?? situation.wind.surface?.speed_mps ?? 0;
  const altitude_m = trial.altitude_m ?? situation.altitude_m;
  const { qnh_Pa } = situation.air;
  const deviation_K = trial.deviation_K ?? situation.air.deviation_K;
  const { skids_m, needed_s } = trial;
  return useMemo(
    () => ({
      aircraft: document,
      mass_kg,
      altitude_m,
      air: { qnh_Pa, deviation_K },
      wind_mps,
      skids_m,
      needed_s,
    }),
    [document, mass_kg, altitude_m, qnh_Pa, deviation_K, wind_mps, skids_m, needed_s],
  );
}

const aircraftOf = ({ aircraft }: { aircraft: object }) => JSON.stringify(aircraft);
const hover = asking("pointed", (core, asked: HoverAsked) => core.hoverAnswer(asked), aircraftOf);
const away = asking("long", (core, asked: FlyAwayAsked) => core.flyAwayAnswer(asked), aircraftOf);
const heights = asking("long", (core, asked: FlyAwayAsked) => core.hoverHeightsAnswer(asked), aircraftOf);

/** The hover on one engine as it is set. */
export function useHover(): Answer<HoverAsked, HoverAnswer> {
  return useKept(hover, useHoverAsked());
}

/** A fly-away takes about so long, s: less than that of a rating is as good as spent. */
const FLY_AWAY_S = 15;

/** The rating that is left when the hover has been held: the shortest, or the next where its time is spent holding. */
function ratingLeft(answer: HoverAnswer | null): number {
  if (!answer) return 0;
  const { holdsOn, ratings } = answer.hover;
  const spare_s = answer.hoist.spare_s;
  if (holdsOn === null || spare_s === null || !answer.hoist.holds) return 0;
  return holdsOn === 0 && spare_s < FLY_AWAY_S ? Math.min(1, ratings.length - 1) : 0;
}

/** What a fly-away from it is asked with. */
export function useFlyAwayAsked(): FlyAwayAsked {
  const { skids_m: _skids, needed_s: _needed, ...asked } = useHoverAsked();
  const chosen = useHoverTrial((state) => state.rating);
  const { value } = useHover();
  const rating = chosen ?? ratingLeft(value);
  const { aircraft, mass_kg, altitude_m, air, wind_mps } = asked;
  return useMemo(
    () => ({ aircraft, mass_kg, altitude_m, air, wind_mps, rating }),
    [aircraft, mass_kg, altitude_m, air, wind_mps, rating],
  );
}

/** What flying away from it costs. */
export function useFlyAway(): Answer<FlyAwayAsked, FlyAwayAnswer> {
  return useKept(away, useFlyAwayAsked());
}

/** Safe hover heights over the winds; the wind of the day does not change them. */
export function useHoverHeights(): Answer<FlyAwayAsked, readonly SafeHeights[]> {
  const asked = useFlyAwayAsked();
  return useKept(
    heights,
    useMemo(() => ({ ...asked, wind_mps: 0 }), [asked]),
  );
}
