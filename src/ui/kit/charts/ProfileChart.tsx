"use client";
import { type KeyboardEvent, type PointerEvent } from "react";
import { formatNumber, fromSi, toSi, unitOf } from "@/core/quantities/units";
import { M_PER_NMI } from "@/core/quantities/constants";
import type { Gap, Stretch } from "@/core/route/gap";
import { marksBetween } from "@/ui/kit/ledger/ledger-layout";
import { useSize } from "@/ui/kit/page/useSize";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { ProfileRibbon } from "./ProfileRibbon";
import { gapLabels, namesWithRoom } from "./profile-labels";
import { ShortHatch } from "@/ui/kit/ledger/Hatch";
import { shortInWords } from "./gap-words";

/** Room about the drawing, px. */
const ROOM = { left: 46, right: 14, top: 42, ribbon: 20, bottom: 20 };
/** A key moves the cursor by this, ten times that with Shift. */
const STEP_M = M_PER_NMI / 2;
/** Writing that lies over lines. */
const CASED = { stroke: "var(--sheet)", strokeWidth: 4, paintOrder: "stroke" } as const;
/** Altitudes above all lines that still are drawn. */
const HEADROOM = 1.08;

/** A point of the flight, as far as it is drawn. */
export interface DrawnPoint {
  readonly distance_m: number;
  readonly altitude_m: number;
  readonly cover_m: number | null;
  readonly ground_m: number | null;
}

/** A line besides plan and cover. */
export interface DrawnLine {
  readonly name: string;
  readonly colour: string;
  readonly dash: string;
  readonly points: readonly { readonly distance_m: number; readonly altitude_m: number | null }[];
}

/** A part without a place, as far as it is drawn. */
export type DrawnGap = Omit<Gap, "closing">;

interface Props {
  readonly points: readonly DrawnPoint[];
  readonly gaps: readonly DrawnGap[];
  readonly stretches: readonly Stretch[];
  readonly places: readonly { readonly name: string }[];
  readonly length_m: number;
  /** Points that the route leads over. */
  readonly names: readonly { readonly name: string; readonly distance_m: number }[];
  /** What a stretch without a place is called, the line of what is needed, and that of the flight. */
  readonly words: { readonly none: string; readonly needed: string; readonly flight: string };
  readonly lines: readonly DrawnLine[];
  /** Altitudes that hold all along. */
  readonly levels: readonly { readonly name: string; readonly altitude_m: number }[];
  /** Places along the flight. */
  readonly marks: readonly { readonly name: string; readonly distance_m: number }[];
  /** What is pointed at, along the flight, and how it is moved: anywhere, also off its ends. */
  readonly cursor_m: number;
  readonly onCursor: (distance_m: number) => void;
}

/** Ground, plan and cover along the flight, which place holds which part, and the cursor. */
export function ProfileChart(props: Props) {
  const { points, gaps, stretches, places, length_m, names, words, lines, levels, cursor_m, onCursor } = props;
  const [box, { width, height }] = useSize({ width: 740, height: 220 });
  const unit = useUnits((state) => state.units.height);
  const far = useUnits((state) => state.units.distance);
  const format = useFormat();
  const top_m =
    HEADROOM *
    Math.max(
      ...points.map(({ altitude_m, cover_m, ground_m }) => Math.max(altitude_m, cover_m ?? 0, ground_m ?? 0)),
      ...lines.flatMap((line) => line.points.map(({ altitude_m }) => altitude_m ?? 0)),
    );
  const low_m = Math.min(0, ...points.map(({ ground_m }) => ground_m ?? 0));
  const bottom = height - ROOM.bottom - ROOM.ribbon;
  const x = (distance_m: number) => ROOM.left + (distance_m / length_m) * (width - ROOM.left - ROOM.right);
  const y = (altitude_m: number) => bottom - ((altitude_m - low_m) / (top_m - low_m)) * (bottom - ROOM.top);
  const path = (line: DrawnLine["points"]) => {
    let open = false;
    return line
      .map(({ distance_m, altitude_m }) => {
        if (altitude_m === null) {
          open = false;
          return "";
        }
        const command = open ? "L" : "M";
        open = true;
        return `${command}${x(distance_m).toFixed(1)} ${y(altitude_m).toFixed(1)}`;
      })
      .join("");
  };
  const area = (
    from_m: number,
    to_m: number,
    upper: (point: DrawnPoint) => number,
    lower: (point: DrawnPoint) => number,
  ) => {
    const within = points.filter(({ distance_m }) => distance_m >= from_m && distance_m <= to_m);
    const spot = (of: (point: DrawnPoint) => number) => (point: DrawnPoint) =>
      `${x(point.distance_m).toFixed(1)} ${y(of(point)).toFixed(1)}`;
    return within.length < 2
      ? ""
      : `M${[...within.map(spot(upper)), ...[...within].reverse().map(spot(lower))].join("L")}Z`;
  };
  const marks = marksBetween(fromSi("height", unit, Math.max(low_m, 0)), fromSi("height", unit, top_m));
  const farMarks = marksBetween(0, fromSi("distance", far, length_m));
  const to = (event: PointerEvent<SVGSVGElement>) => {
    const left = event.currentTarget.getBoundingClientRect().left;
    onCursor(((event.clientX - left - ROOM.left) / (width - ROOM.left - ROOM.right)) * length_m);
  };
  const keys = (event: KeyboardEvent) => {
    const by = STEP_M * (event.shiftKey ? 10 : 1);
    const next = {
      ArrowLeft: cursor_m - by,
      ArrowRight: cursor_m + by,
      Home: 0,
      End: length_m,
      PageDown: gaps.find(({ from_m }) => from_m > cursor_m + 1)?.from_m,
      PageUp: gaps.findLast(({ from_m }) => from_m < cursor_m - 1)?.from_m,
    }[event.key];
    if (next === undefined) return;
    event.preventDefault();
    onCursor(next);
  };
  const here = points.reduce((near, point) =>
    Math.abs(point.distance_m - cursor_m) < Math.abs(near.distance_m - cursor_m) ? point : near,
  );
  const named = namesWithRoom(names, x, ROOM.left, width - ROOM.right);
  return (
    <div ref={box} className="relative h-full min-h-0 border-t border-rule bg-sheet">
      <svg
        width={width}
        height={height}
        role="slider"
        tabIndex={0}
        aria-label="Cursor along the flight. Left and right move it, with Shift by ten; Page Down and Page Up go to the next gap and back."
        aria-valuemin={0}
        aria-valuemax={Math.round(length_m)}
        aria-valuenow={Math.round(cursor_m)}
        aria-valuetext={`${format("distance", cursor_m)}, ${format("height", here.altitude_m)}`}
        className="absolute inset-0 cursor-ew-resize touch-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          to(event);
        }}
        onPointerMove={(event) => event.buttons > 0 && to(event)}
        onKeyDown={keys}
      >
        <defs>
          <ShortHatch id="hatch-gap" />
        </defs>
        {marks.map((mark) => (
          <g key={mark}>
            <line
              x1={ROOM.left}
              x2={width - ROOM.right}
              y1={y(toSi("height", unit, mark))}
              y2={y(toSi("height", unit, mark))}
              stroke="var(--rule)"
            />
            <text
              x={ROOM.left - 6}
              y={y(toSi("height", unit, mark)) + 4}
              textAnchor="end"
              fontSize="12"
              className="num"
              fill="var(--ink2)"
            >
              {formatNumber(mark)}
            </text>
          </g>
        ))}
        <text x={4} y={14} fontSize="12" fill="var(--ink2)">
          {unitOf("height", unit).label}
        </text>
        <path
          d={area(
            0,
            length_m,
            ({ ground_m }) => ground_m ?? low_m,
            () => low_m,
          )}
          fill="var(--wheat)"
          fillOpacity="0.38"
          stroke="var(--clay)"
        />
        {gaps.map((gap) => (
          <path
            key={gap.from_m}
            d={area(
              gap.from_m,
              gap.to_m,
              ({ cover_m, altitude_m }) => Math.max(cover_m ?? top_m, altitude_m),
              ({ altitude_m }) => altitude_m,
            )}
            fill="url(#hatch-gap)"
            stroke="var(--brick)"
          />
        ))}
        {names.map(({ name, distance_m }) => (
          <line
            key={`${name}${distance_m}`}
            x1={x(distance_m)}
            x2={x(distance_m)}
            y1={ROOM.top - 6}
            y2={bottom}
            stroke="var(--harbour)"
            strokeDasharray="2 4"
          />
        ))}
        {named.map(({ name, distance_m, left }) => (
          <text key={`${name}${distance_m}`} x={left} y={13} fontSize="12.5" fontWeight="600" fill="var(--harbour)">
            {name}
          </text>
        ))}
        {levels
          .filter(({ altitude_m }) => altitude_m > low_m && altitude_m < top_m)
          .map(({ name, altitude_m }) => (
            <g key={name}>
              <line
                x1={ROOM.left}
                x2={width - ROOM.right}
                y1={y(altitude_m)}
                y2={y(altitude_m)}
                stroke="var(--ink2)"
                strokeDasharray="1 4"
              />
              <text x={ROOM.left + 4} y={y(altitude_m) - 4} fontSize="12" fill="var(--ink2)" {...CASED}>
                {name} {formatNumber(Math.floor(fromSi("height", unit, altitude_m) / 10) * 10)}
              </text>
            </g>
          ))}
        {props.marks.map(({ name, distance_m }) => (
          <g key={name}>
            <line
              x1={x(distance_m)}
              x2={x(distance_m)}
              y1={ROOM.top}
              y2={bottom}
              stroke="var(--pine)"
              strokeWidth="1.6"
              strokeDasharray="8 3 2 3"
            />
            <text x={x(distance_m) + 5} y={bottom - 6} fontSize="12" fill="var(--pine)" {...CASED}>
              {name}
            </text>
          </g>
        ))}
        {lines.map(({ name, colour, dash, points: line }) => (
          <path key={name} d={path(line)} fill="none" stroke={colour} strokeWidth="1.6" strokeDasharray={dash} />
        ))}
        <path
          d={path(points.map(({ distance_m, cover_m }) => ({ distance_m, altitude_m: cover_m })))}
          fill="none"
          stroke="var(--pine)"
          strokeWidth="2"
        />
        <path d={path(points)} fill="none" stroke="var(--harbour)" strokeWidth="2.4" />
        {gapLabels(gaps, x, (gap) => shortInWords(gap, format)).map(({ gap, label, middle }) => (
          <text
            key={gap.from_m}
            x={Math.min(Math.max(middle, ROOM.left + 60), width - ROOM.right - 60)}
            y={Math.max(
              ROOM.top + 10,
              y(points.find(({ distance_m }) => distance_m >= gap.worstAt_m)?.cover_m ?? top_m) - 6,
            )}
            fontSize="13"
            fontWeight="700"
            textAnchor="middle"
            fill="var(--brick)"
            {...CASED}
          >
            {label}
          </text>
        ))}
        <ProfileRibbon stretches={stretches} places={places} none={words.none} x={x} top={bottom + 3} />
        {farMarks.map((mark) => (
          <text
            key={mark}
            x={x(toSi("distance", far, mark))}
            y={height - 5}
            fontSize="12"
            textAnchor="middle"
            className="num"
            fill="var(--ink2)"
          >
            {formatNumber(mark)}
            {mark === 0 ? ` ${unitOf("distance", far).label}` : ""}
          </text>
        ))}
        <line
          x1={x(cursor_m)}
          x2={x(cursor_m)}
          y1={ROOM.top - 4}
          y2={height - 2}
          stroke="var(--ink)"
          strokeWidth="1.4"
        />
        <circle
          cx={x(here.distance_m)}
          cy={y(here.altitude_m)}
          r="5"
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {here.cover_m !== null && (
          <circle cx={x(here.distance_m)} cy={y(here.cover_m)} r="3.5" fill="var(--pine)" stroke="var(--sheet)" />
        )}
      </svg>
      <p className="pointer-events-none absolute top-5 right-4 flex gap-3 rounded bg-sheet/85 px-1 text-[12.5px]">
        <span className="text-harbour">{words.flight}</span>
        <span className="text-pine">{words.needed}</span>
        {lines.map(({ name, colour }) => (
          <span key={name} style={{ color: colour }}>
            {name}
          </span>
        ))}
      </p>
      <p className="sr-only">
        {stretches
          .map(
            ({ place, from_m, to_m }) =>
              `${place < 0 ? words.none : places[place].name} from ${format("distance", from_m)} to ${format("distance", to_m)}`,
          )
          .join("; ")}
      </p>
    </div>
  );
}
