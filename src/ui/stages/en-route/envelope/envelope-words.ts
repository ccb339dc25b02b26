import type { OneEngineEnvelope } from "@/core/rotor/one-engine-envelope";
import type { useFormat } from "@/ui/kit/units/units-store";

type Format = ReturnType<typeof useFormat>;

/** Whether it stays up here on one engine, its lead first. */
export function envelopeDecision(
  { absolute_m, service_m, rating, top_m }: OneEngineEnvelope,
  altitude_m: number,
  format: Format,
): { holds: boolean; lead: string; rest: string } {
  if (absolute_m === null)
    return {
      holds: false,
      lead: "It does not stay up on one engine.",
      rest: `On ${rating.name} it sinks at every speed and altitude: lighter, or a place to land within the way down.`,
    };
  const climbs =
    service_m === null
      ? "It climbs 50 ft/min nowhere."
      : service_m >= top_m
        ? ""
        : `It still climbs 50 ft/min up to ${format("height", service_m, "down")}.`;
  const limit = rating.duration_s === null ? "" : ` The ${rating.name} rating ends; plan with the one that does not.`;
  if (altitude_m > absolute_m)
    return {
      holds: false,
      lead: `It drifts down to ${format("height", absolute_m, "down")}.`,
      rest: `Here it does not hold the altitude on one engine. ${climbs}${limit}`,
    };
  if (service_m !== null && altitude_m <= service_m)
    return { holds: true, lead: "It holds this altitude on one engine.", rest: `${climbs}${limit}`.trim() };
  return { holds: true, lead: "It just holds this altitude on one engine.", rest: `${climbs}${limit}`.trim() };
}
