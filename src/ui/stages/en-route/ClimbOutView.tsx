"use client";
import dynamic from "next/dynamic";
import { useMemo, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { parsePosition } from "@/core/earth/parse-position";
import { positionOf } from "@/core/places/place";
import { type ClimbOutTrack, UNTIL_M } from "@/core/route/climb-out-tracks";
import { RoutePlan } from "@/core/situation/route-plan";
import { useRoute } from "@/ui/answers/route-store";
import { useClimbOuts } from "@/ui/answers/useClimbOuts";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { checkBy } from "@/ui/kit/forms/fault";
import type { RouteDrawing } from "@/ui/kit/map/route-layer";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { climbOutInWords, trackInWords, withoutInWords } from "@/ui/answers/climb-out-words";
import { AnswerLine } from "./AnswerLine";
import { withClimbOut } from "./route-change";

const RouteMap = dynamic(() => import("./RouteMap").then((module) => module.RouteMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

type Limits = RoutePlan["climbOut"];
const { shape } = RoutePlan.shape.climbOut;
const earliestCheck = checkBy(shape.earliestTurn_m);
const SIDES: readonly { value: Limits["side"]; label: string }[] = [
  { value: "either", label: "to either side" },
  { value: "left", label: "only left" },
  { value: "right", label: "only right" },
];
/** A place that is kept clear of is so wide, until that is changed, m. */
const CLEAR_M = 800;
const MOST_AVOIDED = 10;

/** The climb-out as the first leg: how long it has no place by each track, and the one with the fewest seconds. */
export function ClimbOutView() {
  const route = useRoute((state) => state.route);
  const endId = useSituation((state) => state.current.departure.endId);
  const change = useSituation((state) => state.change);
  const origin = usePlaneOrigin();
  const format = useFormat();
  const asked = useMemo(
    () => (route ? { question: route.question, origin: route.origin, endId } : null),
    [route, endId],
  );
  const answer = useClimbOuts(asked);
  const climbs = answer?.ok ? answer.value : null;
  const drawing = useMemo((): Omit<RouteDrawing, "points"> => {
    const tracks = climbs?.tracks ?? [];
    return {
      gaps: tracks.flatMap(({ points }) => withoutParts(points)),
      detours: [],
      cursor: null,
      way: tracks[0]?.points ?? [],
      options: tracks.map((track) => ({ points: track.points, label: withoutInWords(track) })),
      holders: [],
      named: [],
    };
  }, [climbs]);
  const focus = useMemo(
    () => climbs && { key: climbs.end.id, points: climbs.tracks.flatMap(({ points }) => points) },
    [climbs],
  );
  const said = climbs && climbOutInWords(climbs.tracks, climbs.end.name, format);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_auto]">
      <RouteMap
        reach={null}
        drawing={drawing}
        wind={null}
        focus={focus}
        legend={
          <p className="w-fit rounded bg-sheet/85 px-2">climb-outs to {format("height", UNTIL_M)} over the runway</p>
        }
      />
      <section
        className="max-h-[23rem] overflow-auto border-t border-rule bg-sheet px-4 py-2"
        aria-label="Climb-out"
        tabIndex={0}
        role="region"
      >
        <AnswerLine issue={answer && !answer.ok ? answer.issue : null} said={said} />
        {climbs && (
          <DataTable
            className="mt-1 w-full text-[14px]"
            label="Climb-outs, the one with the fewest seconds without a place first"
            rows={climbs.tracks}
            rowKey={({ kind }) => kind}
            columns={[
              { name: "climb-out", cell: (track) => trackInWords(track, format) },
              { name: "without a place", cell: withoutInWords },
              {
                name: "first at",
                cell: ({ first_m }) => (first_m === null ? "–" : format("height", first_m, "down")),
              },
              {
                name: "from the runway",
                cell: ({ turn }) => (turn ? format("distance", turn.distance_m) : "–"),
              },
              {
                name: "route",
                kind: "words",
                cell: (track) =>
                  track.turn && (
                    <button
                      type="button"
                      className="btn btn-quiet px-2 py-0"
                      aria-label={`Plan it: ${trackInWords(track, format)}`}
                      onClick={() =>
                        change(({ route: plan }) => ({ route: withClimbOut(plan, track.turns, localPlane(origin)) }))
                      }
                    >
                      Plan it
                    </button>
                  ),
              },
            ]}
          />
        )}
        <LimitFields />
        <p className="mt-1 text-[13px] text-ink2">
          The local rule comes first: noise tracks, circuits and prohibited areas are not known here
          {climbs && climbs.barred > 0 ? `; ${climbs.barred} tracks were left out by the limits above` : ""}. Heights
          are over the runway. As far as the runway goes, and whether one can stop on it: see Departure.
        </p>
      </section>
    </div>
  );
}

/** Parts of a track without a place, joined. */
function withoutParts(points: ClimbOutTrack["points"]): RouteDrawing["gaps"] {
  const parts: ClimbOutTrack["points"][number][][] = [];
  points.forEach((point, i) => {
    if (point.inReach) return;
    if (i > 0 && !points[i - 1].inReach) parts[parts.length - 1].push(point);
    else parts.push([point]);
  });
  return parts.map((part) => ({ points: part, label: "" }));
}

/** What the turn may be, and what is not flown over. */
function LimitFields() {
  const limits = useSituation((state) => state.current.route.climbOut);
  const change = useSituation((state) => state.change);
  const places = useNearPlaces();
  const [typed, setTyped] = useState("");
  const set = (patch: Partial<Limits>) =>
    change(({ route }) => ({ route: { ...route, climbOut: { ...route.climbOut, ...patch } } }));
  const add = () => {
    const name = typed.trim();
    const place = places.find((candidate) => candidate.name.toLowerCase() === name.toLowerCase());
    const read = parsePosition(name);
    const position = place ? positionOf(place) : read.ok ? read.value : null;
    if (!position) return;
    set({
      avoid: [...limits.avoid, { name: place?.name ?? `Area ${limits.avoid.length + 1}`, position, radius_m: CLEAR_M }],
    });
    setTyped("");
  };
  const unknown =
    typed.trim() !== "" &&
    !parsePosition(typed).ok &&
    !places.some(({ name }) => name.toLowerCase() === typed.trim().toLowerCase());
  return (
    <div className="mt-2 grid grid-cols-[170px_170px_minmax(0,1fr)] items-start gap-4">
      <QuantityField
        label="Earliest turn at"
        kind="height"
        value={limits.earliestTurn_m}
        step={100}
        check={earliestCheck}
        onChange={(earliestTurn_m) => set({ earliestTurn_m })}
      />
      <ChoiceField label="It turns" value={limits.side} choices={SIDES} onChange={(side) => set({ side })} />
      <div>
        <label className="mb-0.5 block text-sm text-ink2" htmlFor="avoid">
          Not flown over: a place or coordinates, Enter
        </label>
        <input
          id="avoid"
          className="field w-full"
          value={typed}
          disabled={limits.avoid.length >= MOST_AVOIDED}
          onChange={(event) => setTyped(event.currentTarget.value)}
          onKeyDown={(event) => event.key === "Enter" && add()}
        />
        {unknown && <p className="text-sm text-ochre">No place of this name near here, and no coordinates.</p>}
        <ul className="mt-1 flex flex-wrap gap-2">
          {limits.avoid.map(({ name, radius_m }, i) => (
            <li key={`${name}-${i}`} className="flex items-end gap-1">
              <QuantityField
                label={name}
                kind="distance"
                value={radius_m}
                step={0.1}
                check={radiusCheck}
                onChange={(next_m) =>
                  set({ avoid: limits.avoid.map((other, j) => (i === j ? { ...other, radius_m: next_m } : other)) })
                }
              />
              <button
                type="button"
                className="btn btn-quiet px-2 py-0"
                aria-label={`Remove ${name}, fly over it again`}
                onClick={() => set({ avoid: limits.avoid.filter((_, j) => j !== i) })}
              >
                Remove
              </button>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

const radiusCheck = checkBy(shape.avoid.element.shape.radius_m);
