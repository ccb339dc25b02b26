"use client";
import { type ComponentType, useEffect } from "react";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import type { Gyroplane } from "@/core/aircraft/gyroplane";
import type { Helicopter } from "@/core/aircraft/helicopter";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { liveSide } from "@/core/exercise/glide-rows";
import type { FlightView, RotorView } from "@/core/simulation/flight-view";
import { formatNumber, fromSi } from "@/core/quantities/units";
import { useUnits } from "@/ui/kit/units/units-store";
import { FlyLevers, FlySwitches } from "./instruments/FlyLevers";
import { FlyMap } from "./FlyMap";
import { AttitudeDrawing, BallAndString, YawString } from "@/ui/library/instruments/AttitudeDrawing";
import { EngineGauges } from "./instruments/EngineGauges";
import { RuledStrip, StripHatch } from "./instruments/RuledStrip";
import { ROTOR_LIMITS } from "./flown-words";
import { soundFlight } from "./fly-sound";
import { speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";
import { useStick } from "./useStick";
import type { FlySet } from "./useFlySet";
import type { SceneProps } from "./scene/FlyScene";

interface Props {
  aircraft: AircraftDocument;
  set: FlySet;
  view: FlightView;
  Scene: ComponentType<SceneProps>;
}

const DEG = 180 / Math.PI;

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
      <div className="grid grid-cols-[minmax(0,1fr)_160px_minmax(0,19rem)] gap-x-4 bg-sheet px-4 py-1.5">
        <StripHatch />
        <FlightStrips
          aircraft={aircraft}
          view={view}
          held_mps={speedToHold_mps(aircraft, mass_kg)}
          ground_m={view.altitude_m - view.height_m}
        />
        <div className="grid content-start gap-1">
          <AttitudeDrawing
            bank_rad={view.gyroBank_rad}
            pitch_rad={view.gyroPitch_rad}
            limit_rad={Math.min(assistance.bank_rad, 1)}
          />
          {view.rotor ? (
            <YawString beta_rad={view.tas_mps < STRING_MPS ? null : view.beta_rad} />
          ) : (
            <BallAndString ball={view.ball} beta_rad={view.beta_rad} live={liveSideOf(view)} />
          )}
        </div>
        <div className="grid content-between gap-1">
          <EngineGauges engines={view.engines} />
          <FlySwitches aircraft={aircraft} view={view} disabled={view.ended !== null} />
        </div>
        <div className="col-span-full border-t border-rule pt-1">
          <FlyLevers aircraft={aircraft} view={view} disabled={view.ended !== null} />
        </div>
      </div>
    </div>
  );
}

/** Slower than this a rotorcraft's string tells nothing, m/s. */
const STRING_MPS = 15;

const liveSideOf = ({ engines }: FlightView) =>
  engines.length === 2 ? liveSide(engines[0].thrust_N, engines[1].thrust_N) : 0;

interface StripsProps {
  aircraft: AircraftDocument;
  view: FlightView;
  held_mps: number;
  ground_m: number;
}

/** Speed, height, rate and heading, each on its rule with the marks of this aeroplane. */
function FlightStrips({ aircraft, view, held_mps: held, ground_m }: StripsProps) {
  const units = useUnits((state) => state.units);
  const speed = (mps: number) => fromSi("speed", units.speed, mps);
  const height = (m: number) => fromSi("height", units.height, m);
  const rate = (mps: number) => fromSi("verticalSpeed", units.verticalSpeed, mps);
  const {
    low: slowest,
    fastest: vne,
    zones,
    marks,
  } = isAeroplane(aircraft) ? wingMarks(aircraft, view, held) : rotorMarks(aircraft, held);
  const fastest = Math.max(speed(vne ?? held * 2), speed(view.ias_mps) + 5);
  const top = Math.max(1000, Math.ceil((height(view.altitude_m) + 200) / 500) * 500);
  const span = units.height === "ft" ? 1000 : 300;
  const low = Math.max(0, Math.min(top - span, Math.floor((height(view.indicatedAltitude_m) - span / 2) / 100) * 100));
  const heading = Math.round(view.heading_rad * DEG);
  const most = units.verticalSpeed === "fpm" ? 2000 : 10;
  return (
    <div className="grid min-w-0 content-start gap-0.5">
      <RuledStrip
        name="Speed, indicated"
        value={formatNumber(speed(view.ias_mps))}
        unit={units.speed}
        at={speed(view.ias_mps)}
        low={Math.floor(speed(slowest) / 10) * 10}
        high={Math.ceil(fastest / 10) * 10}
        step={20}
        zones={zones.map(({ from, to, kind }) => ({ from: speed(from), to: speed(to), kind }))}
        marks={marks.map(({ at, text, number, ...mark }) => ({
          ...mark,
          at: speed(at),
          text: number ? `${text} ${formatNumber(speed(at))}` : text,
        }))}
      />
      <RuledStrip
        name="Altitude"
        value={formatNumber(height(view.indicatedAltitude_m))}
        unit={units.height}
        at={height(view.indicatedAltitude_m)}
        low={low}
        high={low + span}
        step={span / 5}
        zones={[{ from: low, to: height(ground_m), kind: "bad" }]}
        marks={[{ at: height(ground_m), text: `ground ${formatNumber(height(ground_m))}`, tone: "var(--brick)" }]}
      />
      <RuledStrip
        name="Rate"
        value={`${view.vsi_mps < 0 ? "−" : "+"}${formatNumber(Math.abs(rate(view.vsi_mps)))}`}
        unit={units.verticalSpeed}
        at={rate(view.vsi_mps)}
        low={-most}
        high={most}
        step={most / 2}
        marks={[{ at: 0, text: "level" }]}
      />
      <RuledStrip
        name="Heading, true"
        value={String(heading === 0 ? 360 : heading).padStart(3, "0")}
        unit="°"
        at={heading}
        low={heading - 60}
        high={heading + 60}
        step={20}
        round={360}
      />
      {view.rotor && <RotorStrip aircraft={aircraft} rotor={view.rotor} />}
    </div>
  );
}

/** Marks of a speed strip, m/s; the number stands beside what is read most. */
interface SpeedMarks {
  readonly low: number;
  readonly fastest: number | null;
  readonly zones: readonly { readonly from: number; readonly to: number; readonly kind: "good" | "bad" }[];
  readonly marks: readonly {
    readonly at: number;
    readonly text: string;
    readonly number?: boolean;
    readonly tone?: string;
    readonly anchor?: "start" | "end";
  }[];
}

/** About the speed to hold it is held, m/s. */
const [HELD_SLOWER, HELD_FASTER] = [1.03, 2.57];
const heldZone = (held: number) => ({ from: held - HELD_SLOWER, to: held + HELD_FASTER, kind: "good" as const });

function wingMarks(
  { limits, handbook, polar, category }: Aeroplane,
  { stall_mps }: FlightView,
  held: number,
): SpeedMarks {
  const flapLimit = limits.vfe_mps.at(polar?.landingFlap ?? -1) ?? null;
  return {
    low: (handbook.vs0_mps ?? 20) * 0.7,
    fastest: limits.vne_mps,
    zones: [{ from: 0, to: stall_mps, kind: "bad" }, heldZone(held)],
    marks: [
      { at: stall_mps, text: "stall", number: true, tone: "var(--brick)", anchor: "end" },
      { at: held, text: category === "twin" ? "VYSE" : "glide", number: true, tone: "var(--pine)", anchor: "start" },
      ...(flapLimit === null ? [] : [{ at: flapLimit, text: "flap" }]),
      ...(limits.va_mps === null ? [] : [{ at: limits.va_mps, text: "VA" }]),
    ],
  };
}

function rotorMarks(aircraft: Helicopter | Gyroplane, held: number): SpeedMarks {
  const helicopter = aircraft.category === "helicopter";
  const toss = helicopter ? aircraft.handbook.vToss_mps : aircraft.handbook.leastLevelSpeed_mps;
  return {
    low: 0,
    fastest: aircraft.limits.vne_mps,
    zones: [heldZone(held)],
    marks: [
      { at: held, text: helicopter ? "VY" : "glide", number: true, tone: "var(--pine)", anchor: "start" },
      ...(toss === null ? [] : [{ at: toss, text: helicopter ? "VTOSS" : "level", anchor: "end" as const }]),
    ],
  };
}

/** Rotor speed of its nominal one, with the least of a helicopter's. */
function RotorStrip({ aircraft, rotor }: { aircraft: AircraftDocument; rotor: RotorView }) {
  const least = aircraft.category === "helicopter" ? aircraft.rotor.nrMinFlight * 100 : null;
  return (
    <RuledStrip
      name="Rotor"
      value={formatNumber(rotor.nr * 100)}
      unit={`%, ${formatNumber(rotor.rpm)} rpm`}
      at={rotor.nr * 100}
      low={60}
      high={120}
      step={10}
      zones={
        least === null
          ? [{ from: 85, to: 115, kind: "good" }]
          : [
              { from: 60, to: least, kind: "bad" },
              { from: 97, to: 104, kind: "good" },
            ]
      }
      marks={
        least === null ? [] : [{ at: least, text: `least ${formatNumber(least)}`, tone: "var(--brick)", anchor: "end" }]
      }
    />
  );
}
