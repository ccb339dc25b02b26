"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { Exposure } from "@/core/debrief/exposure";
import { ProfileChart } from "@/ui/kit/charts/ProfileChart";
import type { Answer } from "@/ui/kit/lanes/asking";
import { askCore } from "@/ui/kit/lanes/lanes";
import { Legend } from "@/ui/kit/map/Legend";
import { useFormat } from "@/ui/kit/units/units-store";
import type { FlightCover } from "./FlightMap";
import { NoFlight } from "./NoFlight";
import { StopsHere } from "./StopsHere";
import { type OpenLog, useDebrief } from "./debrief-store";
import { momentWords } from "./debrief-words";
import { distanceAt_m, exposureAt, timeAt_s } from "./exposure-cursor";
import { exposureStretches, gapSaid, isNoFault, roundSaid } from "./exposure-words";
import { type ExposureAsked, useAway_m } from "./useExposure";

const FlightMap = dynamic(() => import("./FlightMap").then((module) => module.FlightMap), { ssr: false });

/** What is in reach is drawn for altitudes in steps of this, m: a hundred feet. */
const ALTITUDE_STEP_M = 30.48;
/** Nothing of the log is marked by number here. */
const NO_MARKS: readonly never[] = [];

interface Props {
  readonly answer: Answer<ExposureAsked, Exposure>;
  readonly onChoose: () => void;
}

/** Where along a flown flight no place was in reach: on the map of what was, and in profile. */
export function ExposureView({ answer, onChoose }: Props) {
  const open = useDebrief((state) => state.open);
  const away_m = useAway_m();
  const format = useFormat();
  if (!open?.found) return <NoFlight onChoose={onChoose} />;
  if (!open.log.aircraft)
    return (
      <p className="max-w-prose p-5 text-ink2">
        Say under “Day” which aircraft flew: its glide decides what was in reach.
      </p>
    );
  if (!open.found.heightKnown)
    return <p className="max-w-prose p-5 text-ink2">This log holds no heights: what was in reach cannot be said.</p>;
  if (away_m !== null)
    return (
      <p className="max-w-prose p-5 text-ink2">
        This flight lies {format("distance", away_m)} from the situation, whose places and terrain are looked at. Bring
        the situation there (“where to land” in the view Flight, from a moment of it), then look again.
      </p>
    );
  if (answer.issue)
    return (
      <p role="alert" className={`max-w-prose p-5 ${isNoFault(answer.issue) ? "text-ink2" : "text-brick"}`}>
        {answer.issue.message}
      </p>
    );
  if (!answer.value || !answer.question)
    return (
      <p role="status" className="p-5 text-ink2">
        Working the cover of that day out …
      </p>
    );
  return <Shown open={open} found={open.found} exposure={answer.value} asked={answer.question} stale={answer.stale} />;
}

interface ShownProps {
  readonly open: OpenLog;
  readonly found: NonNullable<OpenLog["found"]>;
  readonly exposure: Exposure;
  readonly asked: ExposureAsked;
  readonly stale: boolean;
}

function Shown({ open, found, exposure, asked, stale }: ShownProps) {
  const cursor_s = useDebrief((state) => state.cursor_s);
  const format = useFormat();
  const { points, gaps, length_m } = exposure;
  const here = exposureAt(points, cursor_s);
  const level_m = Math.round(here.altitude_m / ALTITUDE_STEP_M) * ALTITUDE_STEP_M;
  const cover = useMemo((): FlightCover => {
    const { question, origin } = asked;
    const { track: _track, ...about } = question;
    return {
      reach: (view, { pine }) => askCore("cover", (core) => core.exposureImage(about, origin, level_m, view, pine)),
      gaps: gaps.map((gap) => ({
        places: points
          .filter(({ distance_m }) => distance_m >= gap.from_m && distance_m <= gap.to_m)
          .map(({ position }) => position),
        label: gapSaid(gap, format),
      })),
      rounds: gaps.flatMap((gap) =>
        gap.round ? [{ places: gap.round.points, label: roundSaid(gap, format) ?? "" }] : [],
      ),
    };
  }, [asked, level_m, gaps, points, format]);
  const span = useMemo(() => ({ from_s: points[0].time_s, to_s: points[points.length - 1].time_s }), [points]);
  const held = useMemo(() => exposureStretches(exposure), [exposure]);
  const ground = found.flights[0]?.takeOff?.ground_m ?? found.flights[0]?.landing?.ground_m ?? null;
  return (
    <div className="grid h-full min-h-0 grid-rows-[minmax(0,1fr)_minmax(190px,34%)_auto]">
      <FlightMap
        drawn={found.drawn}
        marks={NO_MARKS}
        span={span}
        predicted={NO_MARKS}
        cover={cover}
        legend={
          <>
            <Legend tone="pine">
              in reach from {format("height", level_m)}, as flown at {momentWords(cursor_s, found.summary.begins_s)}
              {stale && <span role="status">, computing …</span>}
            </Legend>
            {exposure.flat && (
              <p className="w-fit rounded bg-sheet/85 px-2 text-ochre">
                No terrain is known here: ground in the way is not looked at.
              </p>
            )}
          </>
        }
      />
      <ProfileChart
        points={points}
        gaps={gaps}
        stretches={held.stretches}
        places={held.places}
        length_m={length_m}
        names={NO_MARKS}
        words={{ none: "no place", needed: "needed for a place", flight: "flown" }}
        lines={NO_MARKS}
        levels={NO_MARKS}
        marks={NO_MARKS}
        cursor_m={distanceAt_m(points, cursor_s)}
        onCursor={(distance_m) => useDebrief.setState({ cursor_s: timeAt_s(points, distance_m) })}
      />
      <div className="flex flex-wrap items-center justify-between gap-x-4 border-t border-rule bg-sheet px-4 py-1">
        <p className="num text-[14px]" aria-hidden="true">
          <strong>{momentWords(cursor_s, found.summary.begins_s)}</strong> {format("height", here.altitude_m)}
        </p>
        <StopsHere log={open.log} found={found} ground={ground} />
      </div>
    </div>
  );
}
