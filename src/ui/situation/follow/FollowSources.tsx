"use client";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { useState } from "react";
import { windProfile } from "@/core/air/wind";
import { bestGlide } from "@/core/glide/straight-glide";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { polarOf } from "@/core/aircraft/polar";
import { type Outcome, success } from "@/core/outcome";
import { rotorDescent, rotorGlider } from "@/core/rotor/rotor-descent";
import type { SituationDocument } from "@/core/situation/situation-document";
import { airAtAltitude } from "@/core/air/altimetry";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { useAerodromes } from "../useNearPlaces";
import { nearestAerodrome } from "../place";
import { useSituation } from "../situation-store";
import { useAircraft } from "../useAircraft";
import { followDevice, followRecording, followSimulated } from "./follow";

/** Bank that a rotor is asked to carry; it does not turn while it is followed. */
const USUAL_BANK_RAD = 0.35;
const TIMES = ["1", "2", "5", "10"] as const;

/** How it flies with the engine, and comes down without: best glide, or the autorotation that reaches farthest. */
function descentOf(
  aircraft: AircraftDocument,
  { configuration, ...rest }: Pick<SituationDocument, "mass_kg" | "configuration" | "altitude_m" | "air">,
): Outcome<{ tas_mps: number; ratio: number }> {
  if (!isAeroplane(aircraft)) {
    const glider = rotorGlider({ aircraft, ...rest });
    if (!glider.ok) return glider;
    const descent = rotorDescent(glider.value, 0, USUAL_BANK_RAD);
    return descent.ok ? success(descent.value.glide) : descent;
  }
  const configured = polarOf(aircraft, rest.mass_kg, configuration);
  if (!configured.ok) return configured;
  const { eas_mps, ratio } = bestGlide(configured.value.polar);
  return success({ tas_mps: eas_mps / Math.sqrt(airAtAltitude(rest.altitude_m, rest.air).sigma), ratio });
}

/** What can be followed; told when one has been chosen. */
export function FollowSources({ onChosen }: { onChosen: () => void }) {
  const { document } = useAircraft();
  const aerodromes = useAerodromes();
  const [times, setTimes] = useState<(typeof TIMES)[number]>("1");
  const [fault, setFault] = useState<string | null>(null);
  const simulate = () => {
    const { position, altitude_m, heading_rad, mass_kg, configuration, air, wind } = useSituation.getState().current;
    const flown = descentOf(document, { mass_kg, configuration, altitude_m, air });
    if (!flown.ok) return setFault(flown.issue.message);
    const ground_m = Math.min(nearestAerodrome(position, aerodromes)?.elevation_m ?? 0, altitude_m);
    const profile = windProfile(wind, ground_m);
    if (!profile.ok) return setFault(profile.issue.message);
    followSimulated({
      ...position,
      altitude_m,
      heading_rad,
      ...flown.value,
      ground_m,
      wind: profile.value(altitude_m),
    });
    onChosen();
  };
  const replay = async (file: File) => {
    // What reads tracks comes when one is chosen.
    const reader = await import("./read-recording").catch(() => null);
    if (!reader) return setFault("What reads recordings could not be loaded. Try again when the network is back.");
    if (file.size > reader.MOST_BYTES) return setFault("A recording is smaller than 30 MB. Nothing was read.");
    const recording = reader.readRecording(await file.text());
    if (!recording.ok) return setFault(recording.issue.message);
    setFault(recording.value.faults > 0 ? `${recording.value.faults} lines could not be read.` : null);
    followRecording(recording.value.fixes, Number(times));
    if (recording.value.faults === 0) onChosen();
  };
  return (
    <>
      <p className="text-[14px]">
        The aircraft of the situation moves with the positions that come; every answer follows once a second.
      </p>
      <button type="button" className="btn self-start" onClick={simulate}>
        Simulated, from here
      </button>
      <div className="flex items-end gap-3">
        <ChoiceField
          label="Recording, as fast as"
          value={times}
          onChange={setTimes}
          choices={TIMES.map((value) => ({ value, label: value === "1" ? "it was" : `${value} times` }))}
        />
        <FileButton
          label="A log"
          fileLabel="Recording to follow"
          accept=".nmea,.txt,.log,.gpx,.igc,.csv"
          onChoose={(file) => void replay(file)}
        />
      </div>
      <button
        type="button"
        className="btn btn-quiet self-start"
        disabled={typeof navigator === "undefined" || !("geolocation" in navigator)}
        onClick={() => {
          followDevice();
          onChosen();
        }}
      >
        This device’s location
      </button>
      {fault && (
        <p role="alert" className="text-brick">
          {fault}
        </p>
      )}
    </>
  );
}
