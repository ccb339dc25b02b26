"use client";
import { useEffect, useMemo, useState } from "react";
import { M_PER_FT } from "@/core/quantities/constants";
import { type AnsweredRoute, type AskedRoute, type MapShows, useRoute } from "@/ui/answers/route-store";
import { askCore } from "@/ui/kit/lanes/lanes";
import type { ReachImage } from "@/ui/kit/map/reach-source";
import { useUnits } from "@/ui/kit/units/units-store";

/** Heights between the bands that are drawn, m: round ones in the user's unit. */
export function useHeightLevels(): readonly number[] {
  const unit = useUnits((state) => state.units.height);
  return useMemo(
    () => (unit === "ft" ? [500, 1000, 2000, 4000].map((height_ft) => height_ft * M_PER_FT) : [150, 300, 600, 1200]),
    [unit],
  );
}

/** A cursor that has stood still for so long is glided from, ms: while it moves the ledger wants the core. */
const STILL_MS = 150;

/** A value once it has stood still. */
function useStill<T>(value: T): T {
  const [still, setStill] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setStill(value), STILL_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return still;
}

/** What is in reach from the altitude of a flight: asked together with its answer, not after it. */
export const reachOf =
  (asked: AskedRoute): ReachImage =>
  (view, { pine }) =>
    askCore("cover", async (core) => {
      const { question, origin } = asked;
      // Of an older question it is looked at no more, when its turn comes.
      if (useRoute.getState().asked !== asked) return null;
      return core.coverImage(question, origin, question.route.altitude_m, view, pine);
    });

/**
 * The image of what is in reach from the route's altitude, or of heights over the ground; what was there stays until
 * the newest has come, but not over a refusal.
 */
export function useCoverImage(answered: AnsweredRoute | null, shown: MapShows): ReachImage | null | undefined {
  const asked = useRoute((state) => state.asked);
  const levels_m = useHeightLevels();
  const cursor_m = useStill(useRoute((state) => state.cursor_m));
  const from_m = shown === "left" ? cursor_m : null;
  const refused = answered === null;
  const reach = useMemo(() => (refused || !asked ? null : reachOf(asked)), [refused, asked]);
  const heights = useMemo((): ReachImage | null | undefined => {
    if (!answered) return null;
    if (answered.stale) return undefined;
    const { question, origin } = answered;
    return (view, inks) =>
      askCore("cover", (core) => core.heightImage(question, origin, { from_m }, levels_m, view, inks));
  }, [answered, from_m, levels_m]);
  return shown === "reach" ? reach : heights;
}
