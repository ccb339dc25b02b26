"use client";
import dynamic from "next/dynamic";
import { useMemo } from "react";
import type { RotorEnd } from "@/core/landing/rotor-reach";
import { oClock, threeFigures } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { shownOf, useRotorLooked, useRotorPlaces, workingOfRotorEnd } from "@/ui/answers/useRotorReach";
import type { Overlay } from "@/ui/kit/map/overlay-extent";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { formatMargin } from "@/ui/kit/units/margin";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";
import { wayInWords } from "../way";
import { ROTOR_TONE, roomWords } from "./places-words";

const SituationMap = dynamic(() => import("@/ui/situation/map/SituationMap").then((module) => module.SituationMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});
/** Shortfalls up to the height at hand are listed; more is not near enough to matter. */
const nearEnough = ({ way }: RotorEnd) => way.path !== null && way.path.margin_m > -Math.max(way.path.have_m, 300);

/** Where on the map it comes down, and what each place is like. */
export function RotorPlacesView() {
  const { value, asked, stale } = useRotorPlaces();
  const { pinnedId, pointedEntry, pin, point } = useRotorLooked();
  const heading_rad = useSituation((state) => state.current.heading_rad);
  const variation_rad = useVariation()?.variation_rad ?? null;
  const format = useFormat();
  const whereShort = ({ bearingTrue_rad, distance_m }: RotorEnd["way"]) =>
    `${oClock(bearingTrue_rad, heading_rad)} h${variation_rad === null ? "" : ` ${threeFigures(bearingTrue_rad - variation_rad)}°`} ${format("distance", distance_m)}`;
  const shown = shownOf(value, pinnedId);
  const shownId = shown?.end.id ?? null;
  const paths = useMemo(
    () => value && { ends: value.map(({ way }) => way), origin: asked.origin, shownId, pointedEntry },
    [value, asked.origin, shownId, pointedEntry],
  );
  const overlay = useMemo(
    (): Overlay | null => shown && keysOverlay(shown, (speed_mps) => format("speed", speed_mps)),
    [shown, format],
  );
  const rows = useMemo(() => (value ?? []).filter(nearEnough), [value]);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(120px,30%)]" aria-busy={stale}>
      <SituationMap paths={paths} overlay={overlay} onPick={pin} onPoint={point} />
      <div
        className="min-h-0 overflow-auto border-t border-rule bg-sheet"
        tabIndex={0}
        role="region"
        aria-label="Places in their order"
      >
        {value && rows.length === 0 && (
          <p className="p-4">No landing place is near enough to be worth a way. Move the aircraft, or add a place.</p>
        )}
        {rows.length > 0 && (
          <DataTable
            label="Places in the order to land on them: room first, then the height left"
            className="w-full text-[14px]"
            headClassName="sticky top-0 z-10 bg-sheet [&_th]:py-1.5"
            rows={rows}
            rowKey={({ end }) => end.id}
            rowProps={({ end }) => ({ className: end.id === shownId ? "bg-mark" : "", onClick: () => pin(end.id) })}
            columns={[
              {
                name: "place",
                className: "px-3 py-1",
                cell: ({ end }) => (
                  <button
                    type="button"
                    className={`rounded text-left ${end.id === shownId ? "font-bold" : ""}`}
                    aria-pressed={end.id === shownId}
                    onClick={() => pin(end.id)}
                  >
                    {end.name}
                  </button>
                ),
              },
              {
                name: "left",
                cell: ({ end, way, verdict }) => (
                  <Figure
                    title={`What is left, ${end.name}`}
                    figure="margin"
                    source={workingOfRotorEnd(asked, end.id)}
                    className={ROTOR_TONE[verdict]}
                  >
                    {way.path ? formatMargin(way.path.margin_m, format) : "no way"}
                  </Figure>
                ),
              },
              { name: "time", cell: ({ way }) => (way.path ? formatClock(way.path.time_s) : "–") },
              {
                name: "room",
                kind: "words",
                tone: ({ verdict }) => ROTOR_TONE[verdict],
                cell: (entry) => roomWords(entry, format),
              },
              {
                name: "has",
                cell: ({ end, room }) => (
                  <Figure title={`Room on ${end.name}`} figure="room" source={workingOfRotorEnd(asked, end.id)}>
                    {format("length", end.length_m)} /{" "}
                    {Number.isFinite(room.needed_m) ? format("length", room.needed_m, "up") : "–"}
                  </Figure>
                ),
                head: (
                  <abbr
                    className="no-underline"
                    title="Length of the place, and what is asked for: half as much again as computed"
                  >
                    has / needs
                  </abbr>
                ),
              },
              {
                name: "lies, way",
                kind: "words",
                className: "pr-3",
                cell: ({ way }) => (
                  <>
                    <span className="num whitespace-nowrap">{whereShort(way)}</span> {wayInWords(way)}
                  </>
                ),
              },
            ]}
          />
        )}
      </div>
    </div>
  );
}

/** Keys of the way that is looked at. */
function keysOverlay({ end, keys }: RotorEnd, speed: (speed_mps: number) => string): Overlay {
  return {
    key: end.id,
    areas: [],
    lines: [],
    marks: keys.map(({ name, x_m, y_m, tas_mps }) => ({
      at: { x_m, y_m },
      // Final, flare and touchdown lie close together: one of them is named.
      label: name === "steady" || name === "flare" ? `${name} ${speed(tas_mps)}` : "",
      colour: "ink",
      strong: name === "flare",
      offset: [12, 12],
    })),
  };
}
