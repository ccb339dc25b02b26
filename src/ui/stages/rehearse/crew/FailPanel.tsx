"use client";
import { RotateCcw } from "lucide-react";
import { useState } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { NowShown } from "@/core/exercise/flight-crew";
import { formatClock } from "@/core/quantities/clock";
import type { Planned } from "@/core/simulation/cockpit";
import type { FailureKind, WhatFails } from "@/core/simulation/trouble";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { type Format, useFormat } from "@/ui/kit/units/units-store";
import { OF_NONE, failsOn, failureWords, failuresOf } from "../fly/fly-set-up";
import { useCrew } from "./crew-store";

interface Props {
  aircraft: AircraftDocument;
  now: NowShown;
  disabled: boolean;
}

type When = "now" | "later" | "height" | "speed";
const BACK_S = 10;

/** What an instructor lets fail: now, after some seconds, at a height or a speed, from whichever side it comes. */
export function FailPanel({ aircraft, now, disabled }: Props) {
  const { act } = useCrew.getState();
  const format = useFormat();
  const [kind, setKind] = useState<FailureKind>("ignition");
  const [side, setSide] = useState<"left" | "right">("left");
  const [when, setWhen] = useState<When>("now");
  const [after_s, setAfter] = useState(20);
  const [height_m, setHeight] = useState(152.4);
  const [speed_mps, setSpeed] = useState(25.7);
  const { view, planned } = now;
  const ofTwo = aircraft.engines.count === 2 && !OF_NONE.includes(kind);
  const what: WhatFails = { kind, engine: failsOn(aircraft, kind, side === "right" ? 1 : 0) };
  const fail = () =>
    void act({
      kind: "fail",
      what,
      when:
        when === "now"
          ? null
          : when === "later"
            ? { what: "time", value: view.time_s + after_s }
            : when === "speed"
              ? { what: speed_mps > view.ias_mps ? "faster" : "slower", value: speed_mps }
              : { what: height_m > view.height_m ? "above" : "below", value: height_m },
    });
  return (
    <section
      className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule bg-paper px-4 py-2 text-[14px]"
      aria-label="Instructor"
    >
      <ChoiceField
        label="Fails"
        value={kind}
        onChange={setKind}
        choices={failuresOf(aircraft).map((value) => ({ value, label: failureWords(value, aircraft) }))}
      />
      {ofTwo && (
        <ChoiceField
          label="Engine"
          value={side}
          onChange={setSide}
          choices={[
            { value: "left", label: "left" },
            { value: "right", label: "right" },
          ]}
        />
      )}
      <ChoiceField
        label="When"
        value={when}
        onChange={setWhen}
        choices={[
          { value: "now", label: "now" },
          { value: "later", label: "after some seconds" },
          { value: "height", label: "at a height" },
          { value: "speed", label: "at a speed" },
        ]}
      />
      {when === "later" && (
        <div className="w-28">
          <NumberField
            label="After"
            unit="s"
            value={after_s}
            digits={0}
            step={5}
            check={(value) => (value >= 1 && value <= 600 ? null : "From 1 to 600 s.")}
            onChange={setAfter}
          />
        </div>
      )}
      {when === "height" && (
        <div className="w-36">
          <QuantityField
            label="Above the ground"
            kind="height"
            value={height_m}
            check={(value) => (value >= 3 && value <= 6000 ? null : "From 10 to 20 000 ft.")}
            onChange={setHeight}
          />
        </div>
      )}
      {when === "speed" && (
        <div className="w-36">
          <QuantityField
            label="As it is read"
            kind="speed"
            value={speed_mps}
            check={(value) => (value >= 5 && value <= 150 ? null : "From 10 to 290 kt.")}
            onChange={setSpeed}
          />
        </div>
      )}
      <button type="button" className="btn btn-primary" disabled={disabled} onClick={fail}>
        Let it fail
      </button>
      <button
        type="button"
        className="btn"
        disabled={disabled}
        onClick={() => void act({ kind: "back", seconds: BACK_S })}
      >
        <RotateCcw size={15} aria-hidden="true" /> 10 s back
      </button>
      <div className="min-w-56 flex-1" role="status">
        {planned.length > 0 && (
          <p>
            To come: {planned.map((one) => plannedWords(one, aircraft, view.time_s, format)).join("; ")}.{" "}
            <button type="button" className="underline" onClick={() => void act({ kind: "calm" })}>
              Take back
            </button>
          </p>
        )}
        <p className="text-ink2">
          {view.failed.length === 0
            ? "Nothing has failed."
            : `Failed: ${view.failed
                .map((one) => `${named(one, aircraft)}, ${formatClock(view.time_s - one.since_s)} ago`)
                .join("; ")}.`}
        </p>
      </div>
    </section>
  );
}

function named({ kind, engine }: WhatFails, aircraft: AircraftDocument): string {
  const side = engine === null || aircraft.engines.count === 1 ? "" : engine === 0 ? ", left" : ", right";
  return `${failureWords(kind, aircraft)}${side}`;
}

function plannedWords({ when, ...what }: Planned, aircraft: AircraftDocument, time_s: number, format: Format): string {
  const at =
    when.what === "time"
      ? `in ${formatClock(when.value - time_s)}`
      : when.what === "faster" || when.what === "slower"
        ? `at ${format("speed", when.value)}`
        : `${when.what} ${format("height", when.value, when.what === "above" ? "up" : "down")}`;
  return `${named(what, aircraft)} ${at}`;
}
