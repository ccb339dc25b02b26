"use client";
import { useId, useState } from "react";
import { deviationAtStation_K } from "@/core/air/altimetry";
import type { WindColumn } from "@/core/air/wind";
import type { MetarReport } from "@/core/air/metar";
import type { StationWeather } from "@/server/outside";
import { send } from "@/ui/kit/request";
import { nearestAerodrome } from "./place";
import { useSituation } from "./situation-store";
import { useAerodromes } from "./useNearPlaces";

/** Fills wind and air from a pasted METAR, and says what it did not understand. */
export function MetarField() {
  const id = useId();
  const aerodromes = useAerodromes();
  const { metar, position } = useSituation((state) => state.current);
  const change = useSituation((state) => state.change);
  const [text, setText] = useState(metar ?? "");
  const [fault, setFault] = useState<string | null>(null);
  const [report, setReport] = useState<MetarReport | null>(null);
  const [aloft, setAloft] = useState(false);

  const read = async (text: string, layers: WindColumn["layers"] | null) => {
    // What reads a report is large and seldom wanted, so it comes with the first one.
    const reader = await import("@/core/air/metar").catch(() => null);
    if (!reader) return setFault("What reads a METAR could not be loaded. Try again when the network is back.");
    const outcome = reader.readMetar(text);
    setFault(outcome.ok ? null : outcome.issue.message);
    setReport(outcome.ok ? outcome.value : null);
    setAloft(layers !== null);
    if (!outcome.ok) return;
    const { wind, temperature_K, qnh_Pa } = outcome.value;
    // The station is taken to stand at the nearest aerodrome: a METAR does not carry its elevation.
    const elevation_m = nearestAerodrome(position, aerodromes)?.elevation_m ?? 0;
    change((current) => {
      const pressure_Pa = qnh_Pa ?? current.air.qnh_Pa;
      return {
        metar: text,
        ...(layers && wind ? { aloftAt: new Date().toISOString() } : {}),
        air: {
          qnh_Pa: pressure_Pa,
          deviation_K:
            temperature_K === null
              ? current.air.deviation_K
              : deviationAtStation_K(temperature_K, elevation_m, pressure_Pa),
        },
        wind: wind
          ? {
              layers: layers ?? current.wind.layers,
              surface: { from_rad: wind.from_rad ?? 0, speed_mps: wind.from_rad === null ? 0 : wind.speed_mps },
            }
          : current.wind,
      };
    });
  };

  const ask = async () => {
    const query = new URLSearchParams({ lat: String(position.latitude_deg), lon: String(position.longitude_deg) });
    const answer = await send<StationWeather>("GET", `/api/weather?${query}`);
    if (!answer.ok) return setFault(answer.issues.map((issue) => issue.message).join(" "));
    setText(answer.value.metar);
    await read(answer.value.metar, answer.value.aloft);
  };

  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-sm text-ink2">
        METAR
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          className="field num"
          placeholder="TRSK 241200Z 25014KT 9999 12/08 Q1016"
          value={text}
          aria-invalid={fault ? true : undefined}
          aria-describedby={`${id}-said`}
          onChange={(event) => setText(event.currentTarget.value)}
          onKeyDown={(event) => event.key === "Enter" && void read(text, null)}
        />
        <button type="button" className="btn shrink-0" onClick={() => void read(text, null)}>
          Use it
        </button>
        <button type="button" className="btn btn-quiet shrink-0" onClick={() => void ask()}>
          Station
        </button>
      </div>
      <div id={`${id}-said`} role="status" className="mt-1 text-sm">
        {fault && <p className="text-brick">{fault}</p>}
        {report && <Said report={report} aloft={aloft} />}
      </div>
    </div>
  );
}

function Said({ report, aloft }: { report: MetarReport; aloft: boolean }) {
  const { wind } = report;
  const taken = [wind && "wind", report.temperature_K !== null && "temperature", report.qnh_Pa !== null && "QNH"]
    .filter(Boolean)
    .join(", ");
  return (
    <>
      <p className="text-pine">
        Taken: {taken}. {aloft ? "The wind aloft too." : "Layers aloft are unchanged."}
      </p>
      {wind && wind.from_rad === null && (
        <p className="text-ochre">Caution: the wind is variable. It is planned as calm; try the worst direction too.</p>
      )}
      {typeof wind?.gust_mps === "number" && (
        <p className="text-ochre">Caution: gusts are reported. The mean wind is used; leave a larger reserve.</p>
      )}
      {wind?.variesBetween_rad && <p className="text-ochre">Caution: the direction varies; the mean is used.</p>}
      {wind?.atLeast && <p className="text-ochre">Caution: the report says this speed or more.</p>}
      {report.missing.length > 0 && <p>Missing in the report: {report.missing.join(", ")}.</p>}
      {report.notUnderstood.length > 0 && <p>Not understood and not used: {report.notUnderstood.join(" ")}.</p>}
    </>
  );
}
