"use client";
import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef, useState } from "react";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber, fromSi, toSi, unitOf } from "@/core/quantities/units";
import type { Hole } from "@/core/track/clean/clean-log";
import type { DrawnTrack } from "@/core/track/drawn-track";
import { markLabel, marksBetween } from "@/ui/kit/ledger/ledger-layout";
import { useSize } from "@/ui/kit/page/useSize";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";
import type { OverlaidRun } from "./overlay";
import type { TrackMark } from "./track-marks";
import { indexAt, trackValue } from "./track-values";

/** Room about the drawing, px: the bank has a strip of its own below the height. */
const ROOM = { left: 52, right: 16, top: 34, between: 16, bank: 44, bottom: 22 };
/** A key moves the cursor by a second, ten with Shift. */
const STEP_S = 1;
/** Over longer than this the time of the day has no seconds, s. */
const LONG_S = 900;
/** Numbers nearer than this stand in two rows, px. */
const CLOSE_PX = 22;

interface Props {
  readonly drawn: DrawnTrack;
  readonly marks: readonly TrackMark[];
  readonly holes: readonly Hole[];
  readonly span: { readonly from_s: number; readonly to_s: number };
  /** Height of the ground that heights are counted from; null for the sea, from the lowest. */
  readonly ground: number | null;
  /** The planner's way from the moment that seconds are counted from; heights over the ground. */
  readonly predicted: readonly { readonly time_s: number; readonly height_m: number; readonly bank_rad: number }[];
  /** Other runs since their stops, as heights over that at the stop. */
  readonly over: readonly OverlaidRun[];
  /** Where seconds are counted from; null tells the time of the day. */
  readonly since_s: number | null;
  readonly begins_s: number | null;
  readonly windKnown: boolean;
  /** An engine stop was dragged to another moment. */
  readonly onMoveStop: (stop: number, to_s: number) => void;
  /** What can be done with the moment. */
  readonly actions: ReactNode;
}

/** Height and bank over time, what happened, holes of the log, and one moment that is pointed at. */
export function FlightProfile({
  drawn,
  marks,
  holes,
  span,
  ground,
  predicted,
  over,
  since_s,
  begins_s,
  windKnown,
  onMoveStop,
  actions,
}: Props) {
  const ground_m = ground ?? 0;
  const [box, { width, height }] = useSize({ width: 740, height: 200 });
  const cursor_s = useDebrief((state) => state.cursor_s);
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const [from, to] = [indexAt(drawn, span.from_s), indexAt(drawn, span.to_s)];
  const picked = pickedPoints(from, to, Math.max(width, 100));
  const above = (i: number) => drawn.altitude_m[i] - ground_m;
  const highest = picked.reduce((most, i) => Math.max(most, above(i)), 10) * 1.06;
  const least = picked.reduce((low, i) => Math.min(low, above(i)), Infinity);
  const lowest = ground === null ? least - 0.08 * (highest - least) : Math.min(least, 0);
  const bankBottom = height - ROOM.bottom;
  const bottom = bankBottom - ROOM.bank - ROOM.between;
  const x = (t: number) =>
    ROOM.left + ((t - span.from_s) / (span.to_s - span.from_s)) * (width - ROOM.left - ROOM.right);
  const y = (m: number) => bottom - ((m - lowest) / Math.max(highest - lowest, 1)) * (bottom - ROOM.top);
  const steepest = [...picked.map((i) => drawn.bank_rad[i]), ...predicted.map(({ bank_rad }) => bank_rad)].reduce(
    (most, bank_rad) => Math.max(most, Math.abs(bank_rad)),
    0,
  );
  // The strip ends at a bank that has a name: 30°, 45°, 60°, …
  const scale_deg = Math.max(Math.ceil(degrees(steepest) / 15) * 15, 30);
  const yBank = (rad: number) => bankBottom - ROOM.bank / 2 - (degrees(rad) / scale_deg) * (ROOM.bank / 2);
  const path = (of: (i: number) => number) =>
    picked.map((i, k) => `${k === 0 ? "M" : "L"}${x(drawn.time_s[i]).toFixed(1)} ${of(i).toFixed(1)}`).join("");
  const move = (at_s: number) => useDebrief.setState({ cursor_s: Math.min(Math.max(at_s, span.from_s), span.to_s) });
  const svg = useRef<SVGSVGElement>(null);
  const momentAt = (clientX: number) => {
    const left = svg.current?.getBoundingClientRect().left ?? 0;
    const share = (clientX - left - ROOM.left) / (width - ROOM.left - ROOM.right);
    return span.from_s + Math.min(Math.max(share, 0), 1) * (span.to_s - span.from_s);
  };
  const pointed = (event: PointerEvent) => move(momentAt(event.clientX));
  const [dragged, setDragged] = useState<{ readonly stop: number; readonly at_s: number } | null>(null);
  const dragging = (stop: number | null, from_s: number) =>
    stop === null
      ? {}
      : {
          className: "cursor-ew-resize",
          onPointerDown: (event: PointerEvent<SVGGElement>) => {
            event.stopPropagation();
            event.currentTarget.setPointerCapture(event.pointerId);
            setDragged({ stop, at_s: from_s });
          },
          onPointerMove: (event: PointerEvent<SVGGElement>) => {
            if (dragged?.stop !== stop) return;
            setDragged({ stop, at_s: momentAt(event.clientX) });
            pointed(event);
          },
          onPointerUp: () => {
            if (dragged?.stop === stop && dragged.at_s !== from_s) onMoveStop(stop, dragged.at_s);
            setDragged(null);
          },
          onPointerCancel: () => setDragged(null),
        };
  const keys = (event: KeyboardEvent) => {
    const by = STEP_S * (event.shiftKey ? 10 : 1);
    const next: Record<string, number | undefined> = {
      ArrowLeft: cursor_s - by,
      ArrowRight: cursor_s + by,
      Home: span.from_s,
      End: span.to_s,
      PageUp: marks.findLast(({ at_s }) => at_s < cursor_s - 0.05)?.at_s,
      PageDown: marks.find(({ at_s }) => at_s > cursor_s + 0.05)?.at_s,
    };
    const at = next[event.key];
    if (at === undefined) return;
    event.preventDefault();
    move(at);
  };
  const shown = marks.filter(({ at_s }) => at_s >= span.from_s && at_s <= span.to_s);
  const rows = numberRows(shown.map(({ at_s }) => x(at_s)));
  const heights = marksBetween(fromSi("height", unit, lowest), fromSi("height", unit, highest));
  const counted = since_s ?? 0;
  const times = marksBetween(span.from_s - counted, span.to_s - counted);
  const said = readout(drawn, cursor_s, ground_m, windKnown, format);
  const moment = since_s === null ? momentWords(cursor_s, begins_s) : `${formatNumber(cursor_s - since_s, 1)} s`;
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] border-t border-rule bg-sheet">
      <div
        ref={box}
        className="relative min-h-0 overflow-hidden"
        tabIndex={0}
        role="slider"
        aria-label="Moment of the flight. Arrow keys move it by a second, Page up and down from mark to mark."
        aria-valuemin={Math.round(span.from_s)}
        aria-valuemax={Math.round(span.to_s)}
        aria-valuenow={Math.round(cursor_s)}
        aria-valuetext={`${moment}: ${said}`}
        onKeyDown={keys}
      >
        <svg
          ref={svg}
          width={width}
          height={height}
          className="absolute inset-0 touch-none"
          aria-hidden="true"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            pointed(event);
          }}
          onPointerMove={(event) => event.buttons > 0 && pointed(event)}
        >
          {heights.map((mark) => {
            const level = y(toSi("height", unit, mark));
            return (
              <g key={mark}>
                <line x1={ROOM.left} x2={width - ROOM.right} y1={level} y2={level} stroke="var(--rule)" />
                <text x={ROOM.left - 8} y={level + 4} textAnchor="end" fontSize="12" className="num" fill="var(--ink2)">
                  {markLabel(mark)}
                </text>
              </g>
            );
          })}
          <text x={8} y={18} fontSize="12" fill="var(--ink2)">
            {unitOf("height", unit).label}
          </text>
          {holes
            .filter(({ from_s, to_s }) => to_s > span.from_s && from_s < span.to_s)
            .map(({ from_s, to_s }) => (
              <rect
                key={from_s}
                x={x(Math.max(from_s, span.from_s))}
                width={Math.max(x(Math.min(to_s, span.to_s)) - x(Math.max(from_s, span.from_s)), 2)}
                y={ROOM.top}
                height={bankBottom - ROOM.top}
                fill="var(--wheat)"
                opacity={0.35}
              />
            ))}
          {shown.map(({ at_s }, i) => (
            <line
              key={i}
              x1={x(at_s)}
              x2={x(at_s)}
              y1={ROOM.top - 6}
              y2={bankBottom}
              stroke="var(--ink2)"
              strokeDasharray="1 4"
            />
          ))}
          {ground !== null && <line x1={ROOM.left} x2={width - ROOM.right} y1={y(0)} y2={y(0)} stroke="var(--ink)" />}
          {since_s !== null && predicted.length > 1 && (
            <>
              <path
                d={ahead(predicted, (point) => [x(since_s + point.time_s), y(point.height_m)])}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.6"
                strokeDasharray="7 5"
              />
              <path
                d={ahead(predicted, (point) => [x(since_s + point.time_s), yBank(point.bank_rad)])}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.3"
                strokeDasharray="5 4"
              />
            </>
          )}
          {since_s !== null &&
            over.map(({ points }, k) => {
              const from_m = trackValue(drawn, "altitude_m", since_s) - ground_m;
              const seen = points.filter(
                ({ time_s, height_m }) => since_s + time_s <= span.to_s && from_m + height_m >= lowest,
              );
              return (
                <g key={k} fill="none" stroke="var(--clay)" strokeWidth="1.2">
                  <path d={ahead(seen, (point) => [x(since_s + point.time_s), y(from_m + point.height_m)])} />
                  <path d={ahead(seen, (point) => [x(since_s + point.time_s), yBank(point.bank_rad)])} />
                </g>
              );
            })}
          <path d={path((i) => y(above(i)))} fill="none" stroke="var(--harbour)" strokeWidth="2.5" />
          <text x={8} y={bankBottom - ROOM.bank / 2 + 4} fontSize="12" fill="var(--ink2)">
            bank
          </text>
          {[-1, 1].map((side) => (
            <text
              key={side}
              x={ROOM.left - 8}
              y={yBank(radians(side * scale_deg)) + 4}
              textAnchor="end"
              fontSize="11"
              className="num"
              fill="var(--ink2)"
            >
              {`${scale_deg}° ${side < 0 ? "L" : "R"}`}
            </text>
          ))}
          {[-1, 0, 1].map((side) => (
            <line
              key={side}
              x1={ROOM.left}
              x2={width - ROOM.right}
              y1={yBank(radians(side * scale_deg))}
              y2={yBank(radians(side * scale_deg))}
              stroke={side === 0 ? "var(--ink2)" : "var(--rule)"}
            />
          ))}
          <path d={path((i) => yBank(drawn.bank_rad[i]))} fill="none" stroke="var(--harbour)" strokeWidth="1.8" />
          {times.map((mark) => (
            <text
              key={mark}
              x={x(mark + counted)}
              y={height - 6}
              textAnchor="middle"
              fontSize="12"
              className="num"
              fill="var(--ink2)"
            >
              {since_s === null
                ? momentWords(mark, begins_s).slice(0, begins_s !== null && span.to_s - span.from_s > LONG_S ? 5 : 8)
                : `${mark}`}
            </text>
          ))}
          {shown.map(({ at_s, stop }, i) => (
            <g
              key={i}
              transform={`translate(${x(stop !== null && dragged?.stop === stop ? dragged.at_s : at_s)} ${rows[i] === 0 ? 16 : 32})`}
              {...dragging(stop, at_s)}
            >
              <circle r={8.5} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.6} />
              <text y={4} textAnchor="middle" fontSize="11" fontWeight={700} className="num" fill="var(--ink)">
                {marks.indexOf(shown[i]) + 1}
              </text>
            </g>
          ))}
          <line
            x1={x(cursor_s)}
            x2={x(cursor_s)}
            y1={ROOM.top - 4}
            y2={bankBottom}
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
          <circle
            cx={x(cursor_s)}
            cy={y(trackValue(drawn, "altitude_m", cursor_s) - ground_m)}
            r={4.5}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2"
          />
        </svg>
      </div>
      <div className="flex flex-wrap items-center justify-between gap-x-4 border-t border-rule px-4 py-1">
        <p className="num text-[14px]" aria-hidden="true">
          <strong>{moment}</strong> {said}
        </p>
        {actions}
      </div>
    </div>
  );
}

/** A line through points. */
function ahead<T>(points: readonly T[], of: (point: T) => readonly [number, number]): string {
  return points
    .map((point, k) => {
      const [px, py] = of(point);
      return `${k === 0 ? "M" : "L"}${px.toFixed(1)} ${py.toFixed(1)}`;
    })
    .join("");
}

/** Not more points than pixels. */
function pickedPoints(from: number, to: number, width: number): number[] {
  const stride = Math.max(1, Math.ceil((to - from) / (1.5 * width)));
  const picked: number[] = [];
  for (let i = from; i < to; i += stride) picked.push(i);
  picked.push(to);
  return picked;
}

/** Row of each number: one that would lie on the one before goes below. */
function numberRows(xs: readonly number[]): number[] {
  const rows: number[] = [];
  xs.forEach((x, i) => {
    const last = rows.lastIndexOf(0);
    rows.push(i > 0 && last >= 0 && x - xs[last] < CLOSE_PX ? 1 : 0);
  });
  return rows;
}

/** Slower than this over the ground it stands or taxies: the wind is no airspeed then. */
const STANDS_MPS = 8;

/** How it flew at a moment, in words. */
function readout(
  drawn: DrawnTrack,
  at_s: number,
  ground_m: number,
  windKnown: boolean,
  format: ReturnType<typeof useFormat>,
): string {
  const of = (name: keyof DrawnTrack) => trackValue(drawn, name, at_s);
  const bank = of("bank_rad");
  const side = Math.abs(bank) < 0.03 ? "" : bank < 0 ? " left" : " right";
  return [
    format("height", of("altitude_m") - ground_m),
    windKnown && of("groundSpeed_mps") > STANDS_MPS
      ? `${format("speed", of("eas_mps"))} EAS`
      : `${format("speed", of("groundSpeed_mps"))} over the ground`,
    `${formatNumber(Math.abs(degrees(bank)))}°${side}`,
    format("verticalSpeed", of("climb_mps")),
  ].join(" · ");
}
