"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import * as C from "@/core/simulation/controls";
import type { FlightView } from "@/core/simulation/flight-view";

interface Props {
  aircraft: AircraftDocument;
  view: FlightView;
  /** Nothing can be moved: nothing flies. */
  disabled: boolean;
  onSet: (control: number, value: number) => void;
}

interface Lever {
  readonly name: string;
  readonly control: number;
  readonly tone: string;
  /** One for all engines. */
  readonly single?: boolean;
}

const ROUND = 127;
const POWER: Lever = { name: "Power", control: C.THROTTLE, tone: "var(--ink)" };
const THRUST: Lever = { ...POWER, name: "Thrust" };
const CUT_OFF: Lever = { name: "Fuel", control: C.MIXTURE, tone: "var(--clay)" };
const PROPELLER: Lever = { name: "Propeller", control: C.PROPELLER, tone: "var(--harbour)" };
const COLLECTIVE: Lever = { name: "Collective", control: C.COLLECTIVE, tone: "var(--ink)", single: true };
const ENGINE: Lever = { name: "Engine", control: C.THROTTLE, tone: "var(--harbour)" };
const MIXTURE: Lever = { name: "Mixture", control: C.MIXTURE, tone: "var(--clay)" };

/** Switches of an engine, with what their places are called. */
const ENGINE_SWITCHES = [
  { name: "fuel", control: C.FUEL, words: ["off", "on", "other"], ofJet: true },
  { name: "magnetos", control: C.MAGNETOS, words: ["off", "left", "right", "both"], ofJet: false },
  { name: "starter", control: C.STARTER, words: ["off", "turns"], ofJet: true },
  { name: "heat", control: C.HEAT, words: ["cold", "hot"], ofJet: false },
] as const;

/** Levers and switches of each engine: by pointer, or focused and moved by page up and page down. */
export function FlyLevers({ aircraft, view, disabled, onSet }: Props) {
  const { engines } = aircraft;
  const levers = leversOf(aircraft);
  const switches = ENGINE_SWITCHES.filter(({ ofJet }) => ofJet || engines.kind === "propeller");
  const names = engines.count === 2 ? ["left", "right"] : [""];
  const toggle = (control: number, values: number) => onSet(control, (view.controls[control] + 1) % values);
  const named = (side: string, name: string) => `${side} ${name}`.trim();
  const short = (side: string, name: string) => (side ? `${side[0].toUpperCase()} ${name}` : name);
  return (
    <div className="flex flex-wrap items-start gap-x-4 gap-y-1 text-[12px] leading-4" role="group" aria-label="Levers">
      {levers.map(({ name, control, tone, single = false }) => (
        <div key={name} className="grid gap-0.5">
          <span className="text-center text-ink2">{name}</span>
          <span className="flex justify-center gap-2">
            {(single ? [""] : names).map((side, engine) => (
              <input
                key={engine}
                type="range"
                min={0}
                max={ROUND}
                step={1}
                className="h-11 w-5"
                style={{ writingMode: "vertical-lr", direction: "rtl", accentColor: tone }}
                aria-label={named(side, name)}
                value={Math.max(0, view.controls[control + engine])}
                disabled={disabled}
                onChange={(event) => onSet(control + engine, Number(event.currentTarget.value))}
                // The arrows fly: a lever is moved with page up and page down.
                onKeyDown={(event) => event.key.startsWith("Arrow") && event.preventDefault()}
              />
            ))}
          </span>
        </div>
      ))}
      <div className="grid gap-1">
        {names.map((side, engine) => (
          <div key={engine} className="flex flex-wrap gap-1">
            {switches.map(({ name, control, words }) => (
              <Switch
                key={name}
                name={short(side, name)}
                label={named(side, name)}
                at={words[view.controls[control + engine]] ?? words[0]}
                disabled={disabled}
                onPress={() => toggle(control + engine, words.length)}
              />
            ))}
          </div>
        ))}
      </div>
    </div>
  );
}

function leversOf(aircraft: AircraftDocument): readonly Lever[] {
  if (aircraft.category === "helicopter") return [COLLECTIVE, ENGINE];
  if (!isAeroplane(aircraft)) return [POWER, MIXTURE];
  const { polar, engines } = aircraft;
  if (engines.kind === "jet") return [THRUST, CUT_OFF];
  const governed = polar?.deadPropeller?.feathered !== null || polar.deadPropeller.coarse !== null;
  return governed ? [POWER, PROPELLER, MIXTURE] : [POWER, MIXTURE];
}

/** Flap, gear, pump and trim, of what has them. */
export function FlySwitches({ aircraft, view, disabled, onSet }: Props) {
  const polar = isAeroplane(aircraft) ? aircraft.polar : null;
  const flaps = polar?.flaps ?? [];
  const winged = isAeroplane(aircraft);
  if (aircraft.category === "helicopter") return null;
  const toggle = (control: number, values: number) => onSet(control, (view.controls[control] + 1) % values);
  return (
    <div className="flex flex-wrap gap-1 self-end text-[12px] leading-4" role="group" aria-label="Flap and gear">
      {winged && (
        <Switch
          name="flap"
          at={flaps[view.controls[C.FLAP]]?.name ?? "up"}
          disabled={disabled}
          onPress={() => toggle(C.FLAP, Math.max(flaps.length, 1))}
        />
      )}
      <Switch
        name="pump"
        at={view.controls[C.PUMP] === 1 ? "on" : "off"}
        disabled={disabled}
        onPress={() => toggle(C.PUMP, 2)}
      />
      {polar?.gear.retractable && (
        <Switch
          name="gear"
          at={view.gearAt > 0.02 && view.gearAt < 0.98 ? "moves" : view.gearAt > 0.5 ? "down" : "up"}
          disabled={disabled}
          onPress={() => toggle(C.GEAR, 2)}
        />
      )}
      {winged && (
        <Switch
          name="trim"
          at={`${view.controls[C.TRIM] < 0 ? "−" : ""}${Math.abs(Math.round((view.controls[C.TRIM] / ROUND) * 100))}`}
          disabled={disabled}
          onPress={() => onSet(C.TRIM, 0)}
        />
      )}
    </div>
  );
}

interface SwitchProps {
  name: string;
  /** In full, where the name is short. */
  label?: string;
  at: string;
  disabled: boolean;
  onPress: () => void;
}

function Switch({ name, label = name, at, disabled, onPress }: SwitchProps) {
  return (
    <button
      type="button"
      className="flex min-h-6 items-center justify-between gap-1.5 border border-rule px-1 text-left enabled:hover:border-ink2"
      aria-label={`${label} ${at}`}
      disabled={disabled}
      onClick={onPress}
    >
      <span className="text-ink2">{name}</span> <strong>{at}</strong>
    </button>
  );
}
