"use client";
import { type ComponentType, useEffect } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { FlightView } from "@/core/simulation/flight-view";
import { FlyMap } from "./FlyMap";
import { set as setLever } from "./flight-lane";
import { ROTOR_LIMITS } from "./flown-words";
import { soundFlight } from "./fly-sound";
import { useFly } from "./fly-store";
import { FlyInstruments } from "./instruments/FlyInstruments";
import { useStick } from "./useStick";
import type { FlySet } from "./useFlySet";
import type { SceneProps } from "./scene/FlyScene";

interface Props {
  aircraft: AircraftDocument;
  set: FlySet;
  view: FlightView;
  Scene: ComponentType<SceneProps>;
}

/** The view out, and the instruments of our own drawing under it. */
export function FlyCockpit({ aircraft, set, view, Scene }: Props) {
  const { look, dusk, path, assistance, under, sound, running } = useFly();
  const stick = useStick(view.ended === null);
  useEffect(() => soundFlight(sound && running ? view : null), [view, sound, running]);
  useEffect(() => () => soundFlight(null), []);
  const mass_kg = under?.flown.setUp.mass_kg ?? aircraft.mass.usual_kg;
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <div className="relative min-h-0 touch-none overflow-hidden border-b border-ink2" {...stick}>
        {look === "map" ? (
          <FlyMap
            plane={set.plane}
            ends={set.ends}
            at={view}
            path={[...path, view.north_m, view.east_m]}
            wind={set.wind}
          />
        ) : (
          <Scene set={set} view={view} look={look} dusk={dusk} />
        )}
        {view.stallWarning && (
          <p role="alert" className="absolute top-2 left-1/2 -translate-x-1/2 bg-brick px-3 py-1 font-bold text-sheet">
            stall warning
          </p>
        )}
        {view.rotor?.clock && !view.onGround && view.rotor.nr < ROTOR_LIMITS.low && (
          <p role="alert" className="absolute top-2 left-1/2 -translate-x-1/2 bg-brick px-3 py-1 font-bold text-sheet">
            rotor slow
          </p>
        )}
        {view.engines.some(({ fire }) => fire) && (
          <p role="alert" className="absolute top-2 left-3 bg-brick px-3 py-1 font-bold text-sheet">
            fire, {view.engines.length === 1 ? "engine" : view.engines[0].fire ? "left" : "right"}
          </p>
        )}
      </div>
      <FlyInstruments
        aircraft={aircraft}
        view={view}
        mass_kg={mass_kg}
        bank_rad={assistance.bank_rad}
        disabled={view.ended !== null}
        onSet={(control, value) => void setLever(control, value)}
      />
    </div>
  );
}
