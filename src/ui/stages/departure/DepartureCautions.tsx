"use client";
import { useMissingTerrain } from "@/ui/situation/useMissingTerrain";
import { formatNumber } from "@/core/quantities/units";
import { IN_PRACTICE_DAYS, practiceFactor } from "@/core/situation/pilot-practice";
import { radians } from "@/core/quantities/angle";
import { Cautions } from "@/ui/kit/page/Cautions";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { turnsBack, useDeparture } from "@/ui/answers/departure-store";

/** Steeper than this, a low turn is named as what it is. */
const STEEP_RAD = radians(44);
/** A touchdown this much faster over the ground than into still air is named, m/s. */
const TAILWIND_MPS = 2.6;

/** What must be said before anybody turns back low. */
export function DepartureCautions() {
  const lookedAt = useDeparture((state) => state.at);
  const choice = useDeparture((state) => state.choice);
  const water = useDeparture((state) => state.at?.ahead?.sector.water ?? null);
  const days = useSituation((state) => state.current.pilot.daysSincePractised);
  const practised = useSituation((state) => state.current.departure.practisedBank_rad);
  const chosen = useSituation((state) => state.current.departure.bank_rad);
  const missing = useMissingTerrain();
  const format = useFormat();
  const technique = turnsBack(choice) ? lookedAt?.account?.technique : undefined;
  const tailwind = lookedAt?.account?.result.roll.tailwind_mps ?? 0;
  const texts = [
    "Estimate for briefing and practice. The flight manual, local rules and your instructor come first.",
    technique &&
      technique.bank_rad > STEEP_RAD &&
      "Low steep turns kill by stall and spin. Look at the margin over the stall, not only at the height saved.",
    chosen !== null && chosen > practised + 0.01 && "This bank is steeper than what has been practised.",
    turnsBack(choice) && "Practise turning back at height with an instructor, never low.",
    turnsBack(choice) &&
      tailwind > TAILWIND_MPS &&
      `${format("speed", tailwind)} from behind on landing back: the ground rushes by, do not slow down for it.`,
    days > IN_PRACTICE_DAYS &&
      `Not practised for ${days} days: reaction and scatter are taken ${formatNumber(practiceFactor(days), 2)} times as great. Practise before you count on it.`,
    missing && `${missing}: hills and water ahead are not looked at.`,
    choice === "ahead" && water !== null && water > 0.5 && "Most of what lies ahead is water.",
  ].filter((text): text is string => Boolean(text));
  return <Cautions texts={texts} />;
}
