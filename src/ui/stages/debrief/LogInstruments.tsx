"use client";
import { G0 } from "@/core/quantities/constants";
import { radians, threeFigures, wrapTurn } from "@/core/quantities/angle";
import type { DrawnTrack } from "@/core/track/drawn-track";
import { useFormat } from "@/ui/kit/units/units-store";
import { AttitudeDrawing } from "@/ui/library/instruments/AttitudeDrawing";
import { useDebrief } from "./debrief-store";
import { trackValue } from "./track-values";

/** Steeper than this is marked. */
const STEEP_RAD = radians(60);

interface Props {
  readonly drawn: DrawnTrack;
  readonly ground_m: number;
  /** Speed and heading through the air are known. */
  readonly airKnown: boolean;
}

/** How it flew at the moment that is pointed at, as instruments show it. */
export function LogInstruments({ drawn, ground_m, airKnown }: Props) {
  const at_s = useDebrief((state) => state.cursor_s);
  const format = useFormat();
  const of = (name: keyof DrawnTrack) => trackValue(drawn, name, at_s);
  const [tas_mps, climb_mps] = [of("tas_mps"), of("climb_mps")];
  const rows = [
    airKnown ? ["EAS", format("speed", of("eas_mps"))] : ["over ground", format("speed", of("groundSpeed_mps"))],
    ["height", format("height", of("altitude_m") - ground_m)],
    ["climb", format("verticalSpeed", climb_mps)],
    [airKnown ? "heading" : "track", `${threeFigures(wrapTurn(of("course_rad")))}°`],
    ...(airKnown ? [["energy", format("height", of("altitude_m") - ground_m + tas_mps ** 2 / (2 * G0))]] : []),
  ];
  return (
    <div aria-hidden="true" className="w-[162px]">
      <AttitudeDrawing
        bank_rad={of("bank_rad")}
        pitch_rad={Math.asin(Math.min(Math.max(climb_mps / Math.max(tas_mps, 10), -1), 1))}
        pitchName="path"
        limit_rad={STEEP_RAD}
      />
      <dl className="num grid grid-cols-[auto_1fr] gap-x-1 pt-1 text-[12.5px] leading-[18px] [&>dd]:text-right [&>dt]:font-sans [&>dt]:text-ink2">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
