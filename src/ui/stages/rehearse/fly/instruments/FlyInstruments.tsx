// The instruments of a flight by hand, of our own drawing: strips with the marks of this aircraft, attitude, gauges,
// levers.
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { Gyroplane } from "@/core/aircraft/gyroplane";
import type { Helicopter } from "@/core/aircraft/helicopter";
import { liveSide } from "@/core/exercise/glide-rows";
import { formatNumber, fromSi } from "@/core/quantities/units";
import type { FlightView, RotorView } from "@/core/simulation/flight-view";
import { useUnits } from "@/ui/kit/units/units-store";
import { AttitudeDrawing, BallAndString, YawString } from "@/ui/library/instruments/AttitudeDrawing";
import { speedToHold_mps } from "../fly-set-up";
import { EngineGauges } from "./EngineGauges";
import { FlyLevers, FlySwitches } from "./FlyLevers";
import { RuledStrip, StripHatch } from "./RuledStrip";

interface Props {
  aircraft: AircraftDocument;
  view: FlightView;
  mass_kg: number;
  /** Help goes no farther than this. */
  bank_rad: number;
  /** Levers and switches cannot be moved: nothing flies, or they are another's. */
  disabled: boolean;
  onSet: (control: number, value: number) => void;
}

const DEG = 180 / Math.PI;
/** More of a speed's unit than this on one rule stands too close. */
const DENSE = 200;

/** The panel under the view. */
export function FlyInstruments({ aircraft, view, mass_kg, bank_rad, disabled, onSet }: Props) {
  return (
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
          limit_rad={Math.min(bank_rad, 1)}
        />
        {view.rotor ? (
          <YawString beta_rad={view.tas_mps < STRING_MPS ? null : view.beta_rad} />
        ) : (
          <BallAndString ball={view.ball} beta_rad={view.beta_rad} live={liveSideOf(view)} stands={view.onGround} />
        )}
      </div>
      <div className="grid content-between gap-1">
        <EngineGauges engines={view.engines} />
        <FlySwitches aircraft={aircraft} view={view} disabled={disabled} onSet={onSet} />
      </div>
      <div className="col-span-full border-t border-rule pt-1">
        <FlyLevers aircraft={aircraft} view={view} disabled={disabled} onSet={onSet} />
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
  const [slow, fast] = [Math.floor(speed(slowest) / 10) * 10, Math.ceil(fastest / 10) * 10];
  const most = units.verticalSpeed === "fpm" ? 2000 : 10;
  return (
    <div className="grid max-w-80 min-w-0 content-start gap-0.5">
      <RuledStrip
        name="Speed, indicated"
        value={formatNumber(speed(view.ias_mps))}
        unit={units.speed}
        at={speed(view.ias_mps)}
        low={slow}
        high={fast}
        // A jet's range would be all numbers.
        step={fast - slow > DENSE ? 40 : 20}
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
