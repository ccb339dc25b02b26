"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import { firstConfiguration } from "@/core/aircraft/configuration";
import { wrapTurn } from "@/core/quantities/angle";
import type { KeptLog } from "@/core/track/kept-log";
import { windColumn } from "@/core/track/wind/wind-column";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useSituation } from "@/ui/situation/situation-store";
import type { DebriefedLog } from "@/workers/track.worker";
import { useDebrief } from "./debrief-store";
import { trackValue } from "./track-values";

interface Props {
  readonly log: KeptLog;
  readonly found: DebriefedLog;
  /** Height of the ground of the flight; null where it is not known. */
  readonly ground: number | null;
}

/** From the moment that is pointed at: what if the engine stopped here? The situation becomes that moment's. */
export function StopsHere({ log, found, ground }: Props) {
  const router = useRouter();
  const library = useLibraryAircraft();
  const open = (address: string) => {
    const { cursor_s } = useDebrief.getState();
    const { drawn, wind } = found;
    const at = (name: Parameters<typeof trackValue>[1]) => trackValue(drawn, name, cursor_s);
    const aircraft = library.find(({ document }) => document.name === log.aircraft?.name);
    // One change: one undo brings the situation back as it was.
    useSituation.getState().change((current) => ({
      position: { latitude_deg: at("latitude_deg"), longitude_deg: at("longitude_deg") },
      altitude_m: Math.min(Math.max(at("altitude_m"), -500), 15_000),
      heading_rad: wrapTurn(at("course_rad")),
      ...(wind ? { wind: windColumn(wind, ground ?? 0), metar: null, aloftAt: null } : {}),
      ...(aircraft
        ? {
            aircraftId: aircraft.id,
            mass_kg: log.mass_kg,
            load: null,
            configuration:
              aircraft.id === current.aircraftId ? current.configuration : firstConfiguration(aircraft.document),
          }
        : {}),
      air: { ...current.air, deviation_K: log.deviation_K ?? current.air.deviation_K },
    }));
    toast("The situation is that of the log at this moment. Undo (Ctrl Z) brings back what it was.");
    router.push(address);
  };
  return (
    <span className="flex items-center gap-2 font-sans text-[13px]">
      <span className="text-ink2">If the engine stops here:</span>
      <button type="button" className="btn btn-quiet px-2 py-0" onClick={() => open("/landing")}>
        where to land
      </button>
      {(log.aircraft === null || isAeroplane(log.aircraft)) && (
        <button
          type="button"
          className="btn btn-quiet px-2 py-0"
          onClick={() => open("/rehearse?rehearse=fly&begins=air")}
        >
          fly it
        </button>
      )}
    </span>
  );
}
