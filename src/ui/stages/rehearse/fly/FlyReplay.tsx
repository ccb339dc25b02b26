"use client";
import { Download, Pause, Play } from "lucide-react";
import dynamic from "next/dynamic";
import { useEffect, useMemo, useRef, useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { type Band, LIMITS, type ToHold } from "@/core/exercise/flown-result";
import { AT, failedFrom, liveSide } from "@/core/exercise/glide-rows";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { TRACE_CHANNELS, TRACE_HZ, type TraceChannel, channelOf, traceCsv } from "@/core/simulation/flight-trace";
import { download, fileName } from "@/ui/kit/download";
import { type Format, useFormat } from "@/ui/kit/units/units-store";
import { FlyMap } from "./FlyMap";
import { toHold } from "./fly-set-up";
import { type FlownFlight, useFly } from "./fly-store";
import { bandsOf } from "./flown-words";
import { useBestRun, wayOf } from "./useBestRun";
import { useFlightAccount } from "./useFlightAccount";
import type { FlySet } from "./useFlySet";

const FlyScene = dynamic(() => import("./scene/FlyScene").then((module) => module.FlyScene), { ssr: false });

/** A lane of the recording: a channel between two values. */
interface Lane {
  readonly name: string;
  readonly within: string;
  readonly channel: TraceChannel;
  readonly low: number;
  readonly high: number;
  /** Where it should be; null where nothing is asked. */
  readonly band: readonly [number, number] | null;
  readonly out: readonly boolean[] | null;
  readonly out_s: number | null;
  /** A value of it where nothing is asked. */
  readonly words: (value: number) => string;
}

const [WIDTH, LANE] = [620, 34];
/** The cursor moves on so often while it plays, ms. */
const PLAY_MS = 100;

/** A flight that is over: one cursor over view, map, bands and hands. */
export function FlyReplay({ last, set, onClose }: { last: FlownFlight; set: FlySet; onClose: () => void }) {
  const format = useFormat();
  const { dusk } = useFly();
  const { rows, flight } = last;
  const { flown } = flight;
  const held = useMemo(() => toHold(flight), [flight]);
  const bands = useMemo(() => bandsOf(rows, held, format), [rows, held, format]);
  const [row, setRow] = useState(() => Math.max(0, failedFrom(rows)));
  const [plays, setPlays] = useState(false);
  const end = rows.length - 1;
  const moving = useRef(row);
  useEffect(() => {
    moving.current = row;
  }, [row]);
  useEffect(() => {
    if (!plays) return;
    const timer = setInterval(() => {
      if (moving.current >= end) setPlays(false);
      else setRow(moving.current + 1);
    }, PLAY_MS);
    return () => clearInterval(timer);
  }, [plays, end]);
  const step = (by: number) => setRow((now) => Math.max(0, Math.min(end, now + by)));
  useHotkeys("left", () => step(-TRACE_HZ));
  useHotkeys("right", () => step(TRACE_HZ));
  useHotkeys("space", () => setPlays((on) => !on), { preventDefault: true });
  const of = (channel: TraceChannel) => rows[row]?.[TRACE_CHANNELS.indexOf(channel)] ?? 0;
  const at = {
    north_m: of("north_m"),
    east_m: of("east_m"),
    altitude_m: of("altitude_m"),
    heading_rad: of("heading_rad"),
    pitch_rad: of("pitch_rad"),
    bank_rad: of("bank_rad"),
  };
  const planned = useFlightAccount(last, set);
  const best = useBestRun(flight);
  const path = useMemo(() => wayOf(rows), [rows]);
  const lanes = useMemo(() => lanesOf(rows, bands, held, format), [rows, bands, held, format]);
  if (rows.length < 2) return <p className="p-5 text-ink2">Nothing was flown yet.</p>;
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <div className="relative grid min-h-0 grid-cols-2">
        <div className="relative overflow-hidden border-r border-ink">
          <FlyScene set={set} view={at} look="ahead" dusk={dusk} way={planned} />
        </div>
        <div className="relative">
          <FlyMap
            plane={set.plane}
            ends={set.ends}
            at={at}
            path={path}
            planned={planned}
            best={best?.path}
            wind={set.wind}
            half_m={shown_m(path, at)}
          />
          {(planned.length > 0 || best) && (
            <p className="absolute bottom-2 left-2 bg-sheet px-2 text-[13px] text-ink2">
              {[
                planned.length > 0 ? "dashed: planned" : "",
                best ? `dotted: your best, ${best.flownAt.slice(0, 10)}` : "",
              ]
                .filter(Boolean)
                .join("; ")}
            </p>
          )}
        </div>
      </div>
      <div className="grid gap-1 overflow-auto bg-sheet px-4 py-2" tabIndex={0} role="region" aria-label="Recording">
        <p className="flex items-center gap-3 text-[14px]">
          <button type="button" className="btn py-0.5" onClick={() => setPlays(!plays)}>
            {plays ? <Pause size={14} aria-hidden="true" /> : <Play size={14} aria-hidden="true" />}{" "}
            {plays ? "Stop" : "Play"}
          </button>
          <label className="flex flex-1 items-center gap-2">
            <span className="num w-12">{formatClock(of("time_s"))}</span>
            <input
              type="range"
              className="flex-1 accent-[var(--harbour)]"
              aria-label="Time"
              min={0}
              max={end}
              value={row}
              onChange={(event) => setRow(Number(event.currentTarget.value))}
            />
          </label>
          <button
            type="button"
            className="btn btn-quiet py-0.5"
            onClick={() =>
              download(
                `flight-${fileName(flown.setUp.aircraft.name)}.csv`,
                "text/csv",
                traceCsv(rows, (north_m, east_m) => set.plane.toLatLon({ x_m: east_m, y_m: north_m })),
              )
            }
          >
            <Download size={14} aria-hidden="true" /> CSV
          </button>
          <button
            type="button"
            className="btn btn-quiet py-0.5"
            onClick={() =>
              download(
                `recording-${fileName(flown.setUp.aircraft.name)}.json`,
                "application/json",
                JSON.stringify(flight),
              )
            }
          >
            <Download size={14} aria-hidden="true" /> Recording
          </button>
          <button type="button" className="btn btn-quiet py-0.5" onClick={onClose}>
            All flights
          </button>
        </p>
        {lanes.map((lane) => (
          <LaneRow key={lane.name} lane={lane} rows={rows} row={row} value={of(lane.channel)} onRow={setRow} />
        ))}
      </div>
    </div>
  );
}

/** Half of the map, which is about as wide as high: all of the way from here, within reason. */
function shown_m(path: readonly number[], at: { readonly north_m: number; readonly east_m: number }): number {
  let most = 0;
  for (let i = 0; i + 1 < path.length; i += 2)
    most = Math.max(most, Math.abs(path[i] - at.north_m), Math.abs(path[i + 1] - at.east_m));
  return Math.max(600, Math.min(8000, most * 1.2));
}

/** Where the ball is held: on one engine half a ball farther to the side that was live. */
function ballBand(rows: FlownFlight["rows"]): readonly [number, number] {
  const live = rows.reduce<number>((side, row) => liveSide(row[AT.thrust0], row[AT.thrust1]) || side, 0);
  return [Math.min(live, 0) * LIMITS.halfBall - LIMITS.ball, Math.max(live, 0) * LIMITS.halfBall + LIMITS.ball];
}

function lanesOf(
  rows: FlownFlight["rows"],
  bands: ReturnType<typeof bandsOf>,
  { speed_mps, bank_rad, margin }: ToHold,
  format: Format,
): Lane[] {
  const height = channelOf(rows, "height_m");
  const steepest = bank_rad + LIMITS.steeper_rad;
  const share = (value: number) => `${formatNumber(Math.abs(value) * 100)} %`;
  const winged = margin === LIMITS.overStall;
  const over = winged ? 2.2 : Math.min(Math.max(...channelOf(rows, "overStall"), 1.2) * 1.05, 4);
  const lane = (of: Band, scale: Pick<Lane, "channel" | "low" | "high" | "band">): Lane[] =>
    bands
      .filter((band) => band.of === of)
      .map(({ name, within, out, out_s }) => ({ words: share, name, within, out, out_s, ...scale }));
  const free = { band: null, out: null, out_s: null };
  return [
    {
      ...free,
      name: "Height",
      within: "above the ground",
      channel: "height_m",
      low: 0,
      high: Math.max(...height, 30),
      words: (m) => format("height", m, "down"),
    },
    ...(speed_mps === null
      ? []
      : lane("speed", {
          channel: "ias_mps",
          low: speed_mps * 0.5,
          high: speed_mps * 1.5,
          band: [speed_mps - LIMITS.slower_mps, speed_mps + LIMITS.faster_mps],
        })),
    ...lane("bank", { channel: "bank_rad", low: -1.2, high: 1.2, band: [-steepest, steepest] }),
    ...lane(
      "ball",
      winged
        ? { channel: "ball", low: -2, high: 2, band: ballBand(rows) }
        : { channel: "beta_rad", low: -0.5, high: 0.5, band: [-LIMITS.slip_rad, LIMITS.slip_rad] },
    ),
    ...lane("stall", { channel: "overStall", low: 0.8, high: over, band: [margin, over] }),
    ...(winged
      ? []
      : [
          {
            ...free,
            name: "Rotor turns",
            within: "of its speed",
            channel: "nr" as const,
            low: 0.6,
            high: 1.2,
            words: share,
          },
        ]),
    { ...free, name: "Stick, nose", within: "back is up", channel: "stickBack", low: -1, high: 1, words: share },
    { ...free, name: "Feet", within: "right is up", channel: "rightFoot", low: -1, high: 1, words: share },
  ];
}

interface LaneProps {
  lane: Lane;
  rows: FlownFlight["rows"];
  row: number;
  value: number;
  onRow: (row: number) => void;
}

/** One channel over time: its band, what was out hatched, the cursor. */
function LaneRow({ lane, rows, row, value, onRow }: LaneProps) {
  const { name, within, channel, low, high, band, out, out_s, words } = lane;
  const end = rows.length - 1;
  const x = (i: number) => (i / end) * WIDTH;
  const y = (of: number) => LANE - ((Math.max(low, Math.min(high, of)) - low) / (high - low)) * LANE;
  const points = useMemo(() => {
    const every = Math.max(1, Math.floor(rows.length / WIDTH));
    const at = TRACE_CHANNELS.indexOf(channel);
    return rows
      .flatMap((one, i) =>
        i % every === 0
          ? [
              `${((i / (rows.length - 1)) * WIDTH).toFixed(1)},${(LANE - ((Math.max(low, Math.min(high, one[at])) - low) / (high - low)) * LANE).toFixed(1)}`,
            ]
          : [],
      )
      .join(" ");
  }, [rows, channel, low, high]);
  const spans = useMemo(() => spansOf(out), [out]);
  return (
    <div className="grid grid-cols-[8.5rem_minmax(0,1fr)_4rem] items-center gap-3 text-[13px] leading-4">
      <span>
        <strong className="block">{name}</strong>
        <span className="text-ink2">{within}</span>
      </span>
      <svg
        viewBox={`0 0 ${WIDTH} ${LANE}`}
        preserveAspectRatio="none"
        className="block h-8 w-full bg-paper"
        aria-hidden="true"
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          onRow(Math.round(((event.clientX - box.left) / box.width) * end));
        }}
      >
        {band && (
          <rect
            x={0}
            y={y(band[1])}
            width={WIDTH}
            height={Math.max(y(band[0]) - y(band[1]), 1)}
            fill="var(--sage)"
            opacity={0.4}
          />
        )}
        {spans.map(([from, to]) => (
          <rect
            key={from}
            x={x(from)}
            y={0}
            width={Math.max(x(to) - x(from), 2)}
            height={LANE}
            fill="var(--brick)"
            opacity={0.25}
          />
        ))}
        <polyline points={points} fill="none" stroke="var(--ink)" strokeWidth={1.5} vectorEffect="non-scaling-stroke" />
        <line
          x1={x(row)}
          x2={x(row)}
          y1={0}
          y2={LANE}
          stroke="var(--harbour)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <span className={`num text-right ${out_s !== null && out_s > 0 ? "text-brick" : "text-ink2"}`}>
        {out_s === null ? words(value) : out_s > 0 ? `${formatNumber(out_s)} s out` : "held"}
      </span>
    </div>
  );
}

/** Runs of rows that are out. */
function spansOf(out: readonly boolean[] | null): readonly (readonly [number, number])[] {
  const spans: [number, number][] = [];
  out?.forEach((is, i) => {
    if (!is) return;
    const last = spans.at(-1);
    if (last && last[1] === i) last[1] = i + 1;
    else spans.push([i, i + 1]);
  });
  return spans;
}
