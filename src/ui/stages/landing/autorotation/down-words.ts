import type { Helicopter } from "@/core/aircraft/helicopter";
import { formatNumber } from "@/core/quantities/units";
import type { Down } from "@/core/rotor/autorotation-answer";
import type { DownKey } from "@/core/rotor/way-down";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

/** What to do when the engines stop, its lead first. */
export function downDecision({ landing, way }: Down, format: Format): { lead: string; rest: string } {
  if (!way.settled)
    return {
      lead: "Too low for a steady autorotation.",
      rest: "Between entry and flare nothing is left to settle in: use what speed there is to cushion the touchdown.",
    };
  const speed = format("speed", landing.steady.tas_mps);
  const ground =
    way.toFlare_m > 0
      ? `${format("distance", way.toFlare_m)} of ground`
      : `${format("distance", -way.toFlare_m)} carried back`;
  return {
    lead: `Collective down, ${speed}, into the wind.`,
    rest: `About ${formatNumber(way.steady_s)} s and ${ground} until the flare.`,
  };
}

/** What is done at a key. */
export function keyWords(
  name: DownKey["name"],
  { mayWait_s, leastNr, steady, entry_m, entry_s, flare_m, gentle_mps }: Down["landing"],
  { rotor }: Pick<Helicopter, "rotor">,
  format: Format,
): string {
  const percent = (share: number) => `${formatNumber(share * 100)} %`;
  switch (name) {
    case "engines stop":
      return `Collective down at once: after ${formatNumber(mayWait_s, 1)} s the rotor is at ${percent(rotor.nrMinFlight)}, after 1 s at ${percent(leastNr)}.`;
    case "steady":
      return `Sinks ${format("verticalSpeed", steady.sink_mps)}; entry cost ${format("height", entry_m, "up")} and ${formatNumber(entry_s, 1)} s.`;
    case "flare":
      return flare_m === null
        ? "Speed and rotor hold too little for this mass: more speed before the flare."
        : "Sketch: speed, sink and rotor give what slowing down takes from here.";
    case "touchdown":
      return `Level, with ${format("verticalSpeed", gentle_mps)} or less, the rotor not below ${percent(rotor.nrMinTouchdown)}.`;
  }
}
