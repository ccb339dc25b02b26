// What a flight was exposed to, in words.
import type { Exposure, ExposureGap, ExposurePoint, JudgedPhase } from "@/core/debrief/exposure";
import type { Issue } from "@/core/outcome";
import { type Stretch, stretchesOf } from "@/core/route/gap";
import { formatClock } from "@/core/quantities/clock";
import { shortInWords } from "@/ui/kit/charts/gap-words";
import type { Format } from "@/ui/kit/units/units-store";

/** Names of the phases. */
export const PHASE_WORDS: Record<JudgedPhase, string> = { climb: "Climb", level: "Level", descent: "Descent" };

/** Under this a flight counts as without exposure, s: a fix or two at the edge. */
const NOTHING_S = 5;

/** A flight of which nothing is judged is none with a fault. */
export const isNoFault = ({ code }: Issue) => code === "nothing_judged";

/** The sentence of a flight: how long, and what would have changed most. */
export function exposureSaid(found: Exposure, format: Format): { lead: string; rest: string; good: boolean } {
  const { exposed_s, judged_s, closing_m } = found;
  if (exposed_s < NOTHING_S)
    return { lead: "A place in reach all the way.", rest: `Of ${formatClock(judged_s)} that are judged.`, good: true };
  const lead = `${formatClock(exposed_s)} without a place in reach.`;
  return {
    lead,
    rest: `Of ${formatClock(judged_s)} that are judged. ${changes(found, closing_m, format)}`,
    good: false,
  };
}

/** What height or another way would have changed. */
function changes(found: Exposure, closing_m: number | null, format: Format): string {
  const { byPhase, exposed_s, higher, gaps } = found;
  const level_s = byPhase.find(({ phase }) => phase === "level")?.exposed_s ?? 0;
  const rounds = gaps.flatMap(({ round }) => (round ? [round] : []));
  const parts: string[] = [];
  if (level_s >= NOTHING_S && closing_m !== null) {
    parts.push(`Level flight ${format("height", closing_m, "up")} higher has none`);
  } else if (level_s >= NOTHING_S) {
    const [least] = higher;
    const saved_s = exposed_s - least.exposed_s;
    if (saved_s >= NOTHING_S) parts.push(`${format("height", least.lift_m)} more is ${formatClock(saved_s)} less`);
  }
  if (rounds.length > 0) parts.push(`${rounds.length === 1 ? "a way round is" : "ways round are"} drawn`);
  if (parts.length === 0)
    return level_s < NOTHING_S
      ? "It is in climb and descent: climb nearer to a place, come down later."
      : "No height and no way that was tried changes it much.";
  const left_s = exposed_s - level_s;
  const rest = closing_m !== null && left_s >= NOTHING_S ? ` ${formatClock(left_s)} of climb and descent stay.` : "";
  return `${capital(parts.join("; "))}.${rest}`;
}

/** A gap: when it began, how long, how short. */
export function gapSaid(gap: ExposureGap, format: Format): string {
  const why = gap.groundDecides && gap.short_m !== null ? ", ground in the way" : "";
  return `${formatClock(gap.exposed_s)}, ${shortInWords(gap, format)}${why}`;
}

/** Another way: what it costs, and how high it is flown. */
export function roundSaid({ round }: Pick<ExposureGap, "round">, format: Format): string | null {
  if (!round) return null;
  const { extra_s, altitude_m } = round;
  const time = extra_s < 1 ? "no longer" : `${formatClock(extra_s)} longer`;
  return `the way round: ${time}, at ${format("height", altitude_m, "down")}`;
}

/** What was needed at a moment, and what was left over it. */
export function hereSaid(
  point: ExposurePoint,
  places: Exposure["places"],
  format: Format,
): { lead: string; rest: string; good: boolean } {
  if (!point.judged) return { lead: `Here: ${apartWords(point)}.`, rest: "", good: true };
  const { cover_m, altitude_m, place } = point;
  if (cover_m === null) return { lead: "Here: no place in reach from any altitude.", rest: "", good: false };
  const over_m = altitude_m - cover_m;
  return over_m < 0
    ? {
        lead: "Here: no place in reach.",
        rest: `${places[place].name} is nearest to it: ${format("height", -over_m, "up")} short.`,
        good: false,
      }
    : { lead: `Here: ${places[place].name}.`, rest: `${format("height", over_m, "down")} in hand.`, good: true };
}

function apartWords({ phase, beyond }: ExposurePoint): string {
  if (phase === "ground") return "on the ground";
  if (phase === "low") return "low about the field, not judged here";
  if (phase === "stopped") return "the engine has stopped";
  return beyond ? "beyond the known ground" : "a hole in the log";
}

/** What is not judged, in words with its time; nothing for none. */
export function apartRows({ apart }: Exposure): { name: string; time_s: number }[] {
  return [
    { name: "Low about the field", time_s: apart.low },
    { name: "Engine stopped", time_s: apart.stopped },
    { name: "Beyond the known ground", time_s: apart.beyond },
    { name: "Holes in the log", time_s: apart.hole },
  ].filter(({ time_s }) => time_s >= 1);
}

/** Which place holds which part, with what is not judged as a part of its own, after the places. */
export function exposureStretches({ points, places }: Exposure): {
  stretches: Stretch[];
  places: { readonly name: string }[];
} {
  const apart = places.length;
  const stretches = stretchesOf(
    points.map((point) => (point.judged ? point : { ...point, cover_m: -Infinity, place: apart })),
  );
  return { stretches, places: [...places, { name: "not judged" }] };
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
