"use client";
import { APPROACH, TOUCHDOWN } from "@/core/landing/approach-factors";
import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import { positionOf } from "@/core/places/place";
import { success } from "@/core/outcome";
import type { Shores } from "@/core/landing/shore";
import { Play, RotateCcw } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { type Ditching } from "@/core/landing/ditching";
import { EVACUATION, ditchingItems } from "@/core/landing/ditching-list";
import { landingFigures } from "@/core/landing/landing-length";
import { degrees } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useHeadingInWords } from "@/ui/situation/useHeadingInWords";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { DitchingRose } from "./DitchingRose";
import { SwellFields } from "./SwellFields";
import { timeline } from "./ditching-timeline";
import { useDitching } from "./useDitching";
import { useLandingPlan } from "./useLandingPlan";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Masses of the table of speeds. */
const MASSES = 4;
/** The clock is drawn this often, ms. */
const DRAWN_MS = 200;

/** On which heading, how fast, and what is done by which height. */
export function DitchingView() {
  const { question, answer } = useDitching();
  const format = useFormat();
  const headingInWords = useHeadingInWords();
  const source = { calculation: { name: "ditching", input: question } };
  return (
    <div className="min-h-0 overflow-auto bg-sheet px-4 py-3" tabIndex={0} role="region" aria-label="Ditching">
      {!answer.ok || !question ? (
        <p role="alert" className="text-brick">
          {answer.ok ? "" : answer.issue.message}
        </p>
      ) : (
        <div className="grid grid-cols-[320px_minmax(0,1fr)] gap-5">
          <div>
            <DitchingRose answer={answer.value} windFrom_rad={question.windFrom_rad} wind_mps={question.wind_mps} />
          </div>
          <div>
            <p>
              <strong className="text-[22px] leading-7">
                Heading{" "}
                <Figure title="Ditching heading" figure="heading" source={source}>
                  {headingInWords(answer.value.best.heading_rad)}
                </Figure>
                .
              </strong>{" "}
              {answer.value.why}
            </p>
            <dl className="mt-2 grid max-w-[500px] grid-cols-[1fr_auto] gap-y-0.5 text-[14px]">
              <Line
                name={`Approach, flap ${answer.value.flapName}`}
                figure="speed"
                source={source}
                value={format("speed", answer.value.approachEas_mps)}
              />
              <Line
                name="Touchdown, over water"
                figure="speed"
                source={source}
                value={`${format("speed", answer.value.touchdownEas_mps)}, ${format("speed", answer.value.best.groundSpeed_mps)}`}
              />
              <Line
                name="Nose up, about"
                figure="speed"
                source={source}
                value={`${formatNumber(degrees(answer.value.pitch_rad))}°`}
              />
              <Line
                name="Sink on the approach"
                figure="speed"
                source={source}
                value={format("verticalSpeed", answer.value.sink_mps)}
              />
              <Line
                name={answer.value.best.headwind_mps >= 0 ? "Headwind, across" : "Tailwind, across"}
                figure="heading"
                source={source}
                value={`${format("speed", Math.abs(answer.value.best.headwind_mps))}, ${format("speed", Math.abs(answer.value.best.crosswind_mps))} ${answer.value.best.crosswind_mps >= 0 ? "R" : "L"}`}
              />
              {answer.value.swells.map((entry, i) => (
                <Line
                  key={i}
                  name={i === 0 ? "Swell" : "Second swell"}
                  figure={`swell ${i + 1}`}
                  source={source}
                  value={`${format("length", entry.length_m)}, ${format("speed", entry.speed_mps)}, ${formatNumber(degrees(entry.slope_rad), 1)}°, ${answer.value.best.sides[i]}`}
                />
              ))}
              {answer.value.other && (
                <Line
                  name="The other way, over the water"
                  figure="heading"
                  source={source}
                  value={`${headingInWords(answer.value.other.heading_rad)}, ${format("speed", answer.value.other.groundSpeed_mps)}`}
                />
              )}
            </dl>
            <Help answer={answer.value} />
            <p className="mt-2 text-[13px] text-ink2">
              Level off close to the water and hold it there: under 200 ft/min of sink at touch is what crews aim for.
              With power left, use it for a flat approach.
            </p>
          </div>
        </div>
      )}
      <SwellFields />
      <SpeedsByMass />
      {answer.ok && <Timeline answer={answer.value} />}
      <section className="mt-4" aria-label="Leaving it">
        <h2 className="font-bold">Leaving it</h2>
        <ol className="mt-1 list-decimal pl-5 text-[14px]">
          {EVACUATION.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
    </div>
  );
}

function Line({
  name,
  figure,
  source,
  value,
}: {
  name: string;
  figure: string;
  source: { calculation: { name: string; input: unknown } };
  value: string;
}) {
  return (
    <>
      <dt className="text-ink2">{name}</dt>
      <dd className="text-right">
        <Figure title={name} figure={figure} source={source}>
          {value}
        </Figure>
      </dd>
    </>
  );
}

/** Approach and touchdown speeds by mass and flap. */
function SpeedsByMass() {
  const { document } = useAeroplane();
  const configuration = useSituation((state) => state.current.configuration);
  const format = useFormat();
  const flaps = document.polar?.flaps ?? [];
  const { minimum_kg, maximum_kg } = document.mass;
  const masses = Array.from({ length: MASSES }, (_, i) => minimum_kg + ((maximum_kg - minimum_kg) * i) / (MASSES - 1));
  if (flaps.length === 0) return null;
  return (
    <details className="mt-3 text-[14px]">
      <summary className="text-ink2">Speeds by mass and flap</summary>
      <DataTable
        className="mt-1 text-[14px]"
        rows={masses.map((mass_kg) => ({ mass_kg }))}
        rowKey={({ mass_kg }) => mass_kg}
        columns={[
          { name: "mass", tone: () => "num", cell: ({ mass_kg }) => format("mass", mass_kg) },
          ...flaps.map((flap, i): Column<{ mass_kg: number }> => ({
            name: `flap ${flap.name}: approach, touchdown`,
            className: "pl-6",
            cell: ({ mass_kg }) => {
              const figures = landingFigures(document, mass_kg, { ...configuration, gearDown: false }, i);
              return figures.ok
                ? `${format("speed", APPROACH * figures.value.stallEas_mps)}, ${format("speed", TOUCHDOWN * figures.value.stallEas_mps)}`
                : "–";
            },
          })),
        ]}
      />
    </details>
  );
}

const askShores: Ask<{ position: LatLon; heading_rad: number }, Shores | null> = async (
  core,
  { position, heading_rad },
) => success(await core.shores(position, heading_rad));

/** Shore and ships: how far, which way, and whether the glide gets there. */
/** Known water is named up to this far, and so many of it, m. */
const [KNOWN_M, MOST_KNOWN] = [40_000, 3];

/** Stretches of water that somebody has looked at, the nearest first. */
function useKnownWater() {
  const places = useNearPlaces();
  const position = useSituation((state) => state.current.position);
  return useMemo(
    () =>
      places
        .flatMap((place) => {
          if (place.kind !== "water") return [];
          const { ends } = place.strip;
          const length_m = geodesicBetween(ends[0].threshold, ends[1].threshold).distance_m;
          const { distance_m, azimuthStart_rad } = geodesicBetween(position, positionOf(place));
          return [{ name: place.name, distance_m, bearing_rad: azimuthStart_rad, length_m, lookedAt: place.lookedAt }];
        })
        .filter(({ distance_m }) => distance_m <= KNOWN_M)
        .sort((a, b) => a.distance_m - b.distance_m)
        .slice(0, MOST_KNOWN),
    [places, position],
  );
}

function Help({ answer }: { answer: Ditching }) {
  const { position, altitude_m } = useSituation((state) => state.current);
  const [{ ships }] = useLandingPlan();
  const water = useKnownWater();
  const format = useFormat();
  const headingInWords = useHeadingInWords();
  const heading_rad = answer.best.heading_rad;
  const { value, state } = useAnswer({ position, heading_rad }, askShores, "pointed");
  const shores = state === "ok" ? value : undefined;
  // Still air: enough to say whether it is worth turning there.
  const reach = (distance_m: number) =>
    distance_m <= altitude_m * answer.glideRatio ? "within a still-air glide" : "beyond the glide";
  return (
    <ul className="mt-2 flex flex-col gap-0.5 text-[14px]" aria-label="Shore, water and ships">
      {shores?.nearest && (
        <li>
          {shores.nearest.distance_m === 0
            ? "Over land here: the heading is for the water you choose."
            : `Nearest shore ${headingInWords(shores.nearest.bearing_rad)}, ${format("distance", shores.nearest.distance_m)}: ${reach(shores.nearest.distance_m)}.`}
        </li>
      )}
      {shores && shores.nearest?.distance_m !== 0 && (
        <li>
          {shores.ahead_m === null
            ? "No shore along the heading on this map."
            : `Shore along the heading after ${format("distance", shores.ahead_m)}.`}
        </li>
      )}
      {shores === null && <li className="text-ink2">No terrain is known: shores are not looked for.</li>}
      {water.map(({ name, bearing_rad, distance_m, length_m, lookedAt }) => (
        <li key={name}>
          {name}: {headingInWords(bearing_rad)}, {format("distance", distance_m)}, {format("length", length_m)} long,{" "}
          {lookedAt === null ? "nobody knows when it was looked at" : `looked at ${lookedAt}`}: {reach(distance_m)}.
        </li>
      ))}
      {ships.map((ship) => (
        <li key={ship.name}>
          {ship.name}: {headingInWords(ship.bearing_rad)}, {format("distance", ship.distance_m)}:{" "}
          {reach(ship.distance_m)}. Ditch ahead of it and to windward; it needs miles to stop.
        </li>
      ))}
    </ul>
  );
}

/** What is done by which height: as a list, and against a running clock from the height at hand. */
function Timeline({ answer }: { answer: Ditching }) {
  const { document } = useAeroplane();
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const format = useFormat();
  const began = useRef<number | null>(null);
  const [now_s, setNow] = useState<number | null>(null);
  const running = now_s !== null;
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(
      () => setNow((performance.now() - (began.current ?? performance.now())) / 1000),
      DRAWN_MS,
    );
    return () => clearInterval(timer);
  }, [running]);
  const items = timeline(ditchingItems(document), altitude_m, answer.glideSink_mps);
  const total_s = altitude_m / answer.glideSink_mps;
  const next = running ? items.find((item) => item.at_s > now_s) : undefined;
  return (
    <section className="mt-4" aria-label="By height">
      <div className="flex items-center gap-4">
        <h2 className="font-bold">
          By height, from {format("height", altitude_m)} at {format("verticalSpeed", answer.glideSink_mps)}
        </h2>
        {running ? (
          <>
            <p role="timer" className="num text-[18px] font-semibold">
              {format("height", Math.max(altitude_m - answer.glideSink_mps * now_s, 0))} ·{" "}
              {formatClock(total_s - now_s)} left
            </p>
            <button type="button" className="btn btn-quiet px-2 py-0.5" onClick={() => setNow(null)}>
              <RotateCcw size={14} aria-hidden="true" /> Stop
            </button>
          </>
        ) : (
          <button
            type="button"
            className="btn px-2 py-0.5"
            onClick={() => {
              began.current = performance.now();
              setNow(0);
            }}
          >
            <Play size={14} aria-hidden="true" /> Run the clock
          </button>
        )}
      </div>
      <DataTable
        className="mt-1 w-full text-[14px]"
        rows={items}
        rowKey={(item) => item.what}
        rowProps={(item) => ({
          className: `align-top ${item === next ? "bg-mark font-semibold" : ""} ${running && item.at_s <= now_s ? "text-ink2" : ""}`,
        })}
        columns={[
          {
            name: "by",
            tone: () => "num whitespace-nowrap [font-weight:inherit]",
            cell: (item) => (item.late || item.by_m === null ? "–" : format("height", item.by_m)),
          },
          {
            name: "in",
            className: "!text-left",
            cell: (item) => (item.late ? "at once" : formatClock(running ? item.at_s - now_s : item.at_s)),
          },
          { name: "who", kind: "words", className: "whitespace-nowrap", cell: (item) => item.who },
          { name: "what", kind: "words", cell: (item) => item.what },
        ]}
      />
    </section>
  );
}
