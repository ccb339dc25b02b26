// Part of the situation in an address, so that it can be sent: aircraft of the library, mass, place, wind at the
// surface, air.
import { createLoader, createSerializer, parseAsFloat, parseAsString } from "nuqs";
import { SituationDocument } from "@/core/situation/situation-document";

const PARTS = {
  aircraft: parseAsString,
  mass_kg: parseAsFloat,
  lat_deg: parseAsFloat,
  lon_deg: parseAsFloat,
  alt_m: parseAsFloat,
  hdg_rad: parseAsFloat,
  from_rad: parseAsFloat,
  wind_mps: parseAsFloat,
  qnh_Pa: parseAsFloat,
  dev_K: parseAsFloat,
};

const load = createLoader(PARTS);
const serialize = createSerializer(PARTS);

/** Digits that a place deserves: five decimals of a degree are a metre. */
const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals));

/** An address that carries the situation. */
export function situationLink(
  href: string,
  { aircraftId, mass_kg, position, altitude_m, heading_rad, wind, air }: SituationDocument,
): string {
  const url = new URL(href);
  return serialize(`${url.origin}${url.pathname}`, {
    aircraft: aircraftId,
    mass_kg: rounded(mass_kg, 1),
    lat_deg: rounded(position.latitude_deg, 5),
    lon_deg: rounded(position.longitude_deg, 5),
    alt_m: rounded(altitude_m, 1),
    hdg_rad: rounded(heading_rad, 4),
    from_rad: wind.surface ? rounded(wind.surface.from_rad, 4) : null,
    wind_mps: wind.surface ? rounded(wind.surface.speed_mps, 2) : null,
    qnh_Pa: rounded(air.qnh_Pa, 0),
    dev_K: rounded(air.deviation_K, 1),
  });
}

/** What an address changes in a situation; null when it carries nothing, a fault when it is damaged. */
export function situationOfLink(
  search: string,
  current: SituationDocument,
): { change: Partial<SituationDocument> } | { fault: string } | null {
  const parts = load(new URLSearchParams(search));
  if (Object.values(parts).every((part) => part === null)) return null;
  const change: Partial<SituationDocument> = {
    aircraftId: parts.aircraft ?? current.aircraftId,
    mass_kg: parts.mass_kg ?? current.mass_kg,
    load: parts.mass_kg === null && parts.aircraft === null ? current.load : null,
    position: {
      latitude_deg: parts.lat_deg ?? current.position.latitude_deg,
      longitude_deg: parts.lon_deg ?? current.position.longitude_deg,
    },
    altitude_m: parts.alt_m ?? current.altitude_m,
    heading_rad: parts.hdg_rad ?? current.heading_rad,
    wind: {
      ...current.wind,
      surface:
        parts.from_rad !== null && parts.wind_mps !== null
          ? { from_rad: parts.from_rad, speed_mps: parts.wind_mps }
          : current.wind.surface,
    },
    air: { qnh_Pa: parts.qnh_Pa ?? current.air.qnh_Pa, deviation_K: parts.dev_K ?? current.air.deviation_K },
  };
  const parsed = SituationDocument.safeParse({ ...current, ...change });
  return parsed.success
    ? { change }
    : { fault: `The link is damaged and was not used: ${parsed.error.issues[0].message}` };
}
