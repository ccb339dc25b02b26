"use client";
import { useMissingTerrain } from "@/ui/situation/useMissingTerrain";
import { radians } from "@/core/quantities/angle";
import { useSituation } from "@/ui/situation/situation-store";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import type { LandingViewName } from "./landing-views";
import { Cautions } from "@/ui/kit/page/Cautions";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat } from "@/ui/kit/units/units-store";

/** Steeper than this, a low turn is named as what it is. */
const STEEP_RAD = radians(44.5);

/** What must be said where this can hurt somebody: always the first, the others where they apply. */
export function LandingCautions({ view }: { view: LandingViewName }) {
  const bank_rad = useSituation((state) => state.current.pilot.bank_rad);
  const missing = useMissingTerrain();
  const end = useReach(shownEnd);
  const format = useFormat();
  const jet = useAeroplane().document.engines.kind === "jet";
  const strip = useLandingEnds().find((candidate) => candidate.id === end?.endId);
  const cautions = [
    "Estimate for planning and practice. The flight manual, local rules and your instructor come first.",
    bank_rad > STEEP_RAD &&
      "Low steep turns kill by stall and spin. Look at the margin over the stall, not only at the height saved.",
    strip?.unprepared && "Surveyed, not prepared: surface, stock, people and lines change. Look before you commit.",
    view === "choose" &&
      "Lengths are computed for a landing without power. The handbook’s distance and your authority’s factors come first.",
    view === "keys" &&
      "Heights are without reserve: add yours. In gusts, or when the wind aloft is another, keep nearer.",
    view === "lose" &&
      "Some flight manuals forbid slips with flap: look. No S-turns low down, no steep turns to lose height.",
    view === "one-engine" &&
      `Flown without error, no turbulence, ${jet ? "the dead engine turning" : "propeller feathered"}. Decide early: a go-around on one engine is the harder half.`,
    view === "ditching" &&
      "Rules from the books and a score of ours: what you see of the water comes first. The operator’s checklist before this one.",
    view === "call" && "Fly first. A call helps those who look for you; it does not fly the aeroplane.",
    end &&
      end.tailwind_mps > 2.6 &&
      `Tailwind of ${format("speed", end.tailwind_mps)} on landing: ground speed and stopping distance grow. Another end may be better with less height left.`,
    missing && `${missing}: paths are not checked against the ground.`,
    end?.clearance && end.clearance.unknown > 0 && "Part of the path lies outside the terrain that is known.",
  ].filter((text): text is string => Boolean(text));
  return <Cautions texts={cautions} />;
}
