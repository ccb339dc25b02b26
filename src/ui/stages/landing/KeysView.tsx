"use client";
import { isUsable } from "@/core/landing/site-verdict";
import type { LatLon } from "@/core/earth/geodesic";
import type { ReachQuestion } from "@/core/landing/reach-question";
import { success, type Outcome } from "@/core/outcome";
import type { EndReach } from "@/core/landing/way-to-end";
import dynamic from "next/dynamic";
import { Slider } from "radix-ui";
import { useMemo } from "react";
import { localPlane } from "@/core/earth/local-plane";
import type { ApproachKeys, KeyCircuit } from "@/core/landing/approach-keys";
import { loseHeight, type LossPlan } from "@/core/landing/lose-height";
import { wrapTurn } from "@/core/quantities/angle";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { SliderField } from "@/ui/kit/forms/SliderField";
import type { Overlay } from "@/ui/kit/map/overlay-extent";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import { FinalProfile } from "./FinalProfile";
import { NoAnswer } from "./NoAnswer";
import { partOf, placeOf } from "./circuit-place";
import { useCircuit } from "./circuit-store";
import { pickEnd, pointAt, shownEnd, useReach } from "@/ui/answers/reach-store";
import { useKeys } from "./useKeys";
import { useLoseQuestion } from "./useLoseQuestion";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useSites } from "./useSites";
import { wayInWords } from "./way";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

const SituationMap = dynamic(() => import("@/ui/situation/map/SituationMap").then((module) => module.SituationMap), {
  ssr: false,
  loading: () => <p className="p-4 text-ink2">Drawing the map …</p>,
});

/** Heights that are as planned, m. */
const AS_PLANNED_M = 9.2;
/** A way turned in at once has this final. */
const SHORT_FINAL_M = 100;
const DEVIATION_M = 182.88;

/** Where to be at which height, left and right, in today's wind; and what to do when it is not so. */
export function KeysView({ onLose }: { onLose: () => void }) {
  const { keys, end, question } = useKeys();
  const { side: chosen, share, deviation_m, set } = useCircuit();
  const side = chosen ?? end?.circuit?.side ?? "left";
  const sites = useSites();
  const format = useFormat();
  const overlay = useMemo(
    () =>
      keys?.ok && end ? overlayOf(keys.value, side, share, deviation_m, end.id, (si) => format("height", si)) : null,
    [keys, end, side, share, deviation_m, format],
  );
  if (!end || !keys) return <NoAnswer />;
  if (!keys.ok)
    return (
      <p role="alert" className="bg-sheet p-4 text-brick">
        {keys.issue.message}
      </p>
    );
  const { circuits, issues } = keys.value;
  const circuit = circuits.find((candidate) => candidate.side === side) ?? circuits[0];
  const source = { calculation: { name: "keys", input: { ...question, end } } };
  const site = sites?.sites.find((candidate) => candidate.end.id === end.id);
  return (
    <div className="grid min-h-0 grid-rows-[minmax(180px,1fr)_auto_auto_auto]">
      <SituationMap overlay={overlay} onPick={pickEnd} onPoint={pointAt} />
      {circuit && <Scrubber circuit={circuit} />}
      <div
        className="overflow-x-auto border-t border-rule bg-sheet px-4 py-1.5"
        tabIndex={0}
        role="region"
        aria-label="Key positions"
      >
        <DataTable
          className="w-full text-[13px]"
          label="Heights over the aim point at the keys, without reserve"
          rows={circuits}
          rowKey={(entry) => entry.side}
          rowProps={(entry) => ({ className: entry.side === circuit?.side ? "bg-mark" : "" })}
          columns={[
            {
              name: "circuit",
              cell: ({ side }) => (
                <button
                  type="button"
                  className={`rounded ${side === circuit?.side ? "font-bold" : ""}`}
                  aria-pressed={side === circuit?.side}
                  onClick={() => set({ side, share: 0, deviation_m: 0 })}
                >
                  {side}
                </button>
              ),
            },
            ...["overhead", "abeam", "base", "final"].map((name, i): Column<KeyCircuit> => ({
              name,
              cell: ({ side, keys }) => (
                <Figure title={`${keys[i].name}, ${side}`} figure={`${side} ${keys[i].name}`} source={source}>
                  {format("height", keys[i].height_m)}{" "}
                  <span className="text-ink2">{Math.round(keys[i].before_s)} s</span>
                </Figure>
              ),
            })),
            {
              name: "abeam, corner cut",
              cell: ({ side, cutHeight_m, cutSaves_m }) =>
                cutHeight_m === null ? (
                  <span className="font-sans">saves nothing</span>
                ) : (
                  <Figure title={`Corner cut, ${side}`} figure={`${side} cut`} source={source}>
                    {format("height", cutHeight_m)}{" "}
                    <span className="text-pine">−{format("height", cutSaves_m ?? 0)}</span>
                  </Figure>
                ),
            },
            {
              name: "overhead from here",
              cell: (entry) =>
                entry.fromHere.overhead_m === null
                  ? "no way"
                  : `${format("height", entry.fromHere.overhead_m)}, ${highEnough(entry) ? "enough" : "too low"}`,
              tone: (entry) => (highEnough(entry) ? "text-pine" : "text-brick"),
            },
          ]}
        />
        {issues.map((issue) => (
          <p key={issue.side} className="text-[13px] text-brick">
            {issue.side}: {issue.message}
          </p>
        ))}
        {circuits
          .filter((entry) => entry.lengthened_m > 0)
          .map((entry) => (
            <p key={entry.side} className="text-[13px] text-ochre">
              {entry.side}: the wind closes the base leg. Final is {format("length", entry.lengthened_m)} longer than
              planned.
            </p>
          ))}
        {circuit && <Action circuit={circuit} onLose={onLose} />}
      </div>
      {circuit && site?.length && (
        <FinalProfile
          end={end}
          length={site.length}
          finalHeight_m={circuit.keys[3].height_m}
          final_m={circuit.final_m}
        />
      )}
    </div>
  );
}

/** The circuit's keys and ways for the map. */
function overlayOf(
  { circuits }: ApproachKeys,
  side: "left" | "right",
  share: number,
  deviation_m: number,
  endId: string,
  height: (si: number) => string,
): Overlay {
  const chosen = circuits.find((entry) => entry.side === side) ?? circuits[0];
  const other = circuits.find((entry) => entry !== chosen);
  const place = chosen ? placeOf(chosen, share) : null;
  const out = side === "left" ? -1 : 1;
  return {
    key: endId,
    areas: [],
    lines: [
      ...(other ? [{ points: other.points, colour: "ink2", dashed: true }] : []),
      ...(chosen ? [{ points: chosen.points, colour: "harbour", dashed: false }] : []),
    ],
    marks: [
      ...(chosen?.keys.map((key) => ({
        at: key,
        label: `${key.name} ${height(key.height_m)}`,
        colour: "ink",
        offset: [
          key.name === "overhead" || key.name === "final" ? -12 * out : 12 * out,
          key.name === "overhead" ? 16 : 0,
        ] as const,
        strong: false,
      })) ?? []),
      ...(place
        ? [
            {
              at: place,
              label: deviation_m === 0 ? "" : `${deviation_m > 0 ? "+" : "−"}${height(Math.abs(deviation_m))}`,
              colour: Math.abs(deviation_m) < AS_PLANNED_M ? "pine" : deviation_m > 0 ? "ochre" : "brick",
              offset: [0, -18] as const,
              strong: true,
            },
          ]
        : []),
    ],
  };
}

/** Flies the circuit by hand: where, and how far from the plan in height. */
function Scrubber({ circuit }: { circuit: KeyCircuit }) {
  const { share, deviation_m, set } = useCircuit();
  const elevation_m = circuit.points.at(-1)?.altitude_m ?? 0;
  const place = placeOf(circuit, share);
  const format = useFormat();
  if (!place) return null;
  const shown = `${partOf(circuit, share)}: ${format("height", place.altitude_m - elevation_m)}, ${Math.round(place.before_s)} s`;
  return (
    <div className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] items-end gap-6 border-t border-rule bg-sheet px-4 pt-1">
      <div>
        <div className="flex justify-between gap-2 text-sm whitespace-nowrap">
          <span className="text-ink2 max-[1150px]:hidden">Flown to, seconds to go</span>
          <output className="num">{shown}</output>
        </div>
        <Slider.Root
          className="relative flex h-6 touch-none items-center select-none"
          min={0}
          max={1}
          step={0.01}
          value={[share]}
          onValueChange={([value]) => set({ share: value })}
        >
          <Slider.Track className="relative h-2 grow border border-ink2 bg-paper" />
          <Slider.Thumb
            className="block h-5 w-2.5 rounded border border-sheet bg-harbour"
            aria-label="Flown to"
            aria-valuetext={shown}
          />
        </Slider.Root>
      </div>
      <SliderField
        label="Height there"
        value={deviation_m}
        min={-DEVIATION_M}
        max={DEVIATION_M}
        step={3.048}
        shown={
          Math.abs(deviation_m) < 1.5
            ? "as planned"
            : `${format("height", Math.abs(deviation_m))} ${deviation_m > 0 ? "high" : "low"}`
        }
        onChange={(value) => set({ deviation_m: Math.abs(value) < 1.5 ? 0 : value })}
      />
    </div>
  );
}

interface WayQuestion {
  readonly question: ReachQuestion;
  readonly origin: LatLon;
}

const askWay: Ask<WayQuestion, EndReach | null> = async (core, { question, origin }) =>
  success(await core.landingWay(question, origin));

/** Too high or too low there, turned into what to do. */
function Action({ circuit, onLose }: { circuit: KeyCircuit; onLose: () => void }) {
  const { share, deviation_m, set } = useCircuit();
  const { end, question } = useKeys();
  const origin = usePlaneOrigin();
  const place = placeOf(circuit, share);
  const elevation_m = end?.elevation_m ?? 0;
  const height_m = (place?.altitude_m ?? 0) - elevation_m + deviation_m;
  const lose = useLoseQuestion(height_m, Math.max(deviation_m, 0));
  const low = deviation_m < -AS_PLANNED_M;
  const { x_m, y_m, track_rad } = place ?? { x_m: 0, y_m: 0, track_rad: 0 };
  const asked = useMemo((): WayQuestion | null => {
    if (!end || !low) return null;
    const plane = localPlane(origin);
    const position = plane.toLatLon({ x_m, y_m });
    return {
      question: {
        ...question,
        ends: [end],
        position,
        altitude_m: elevation_m + height_m,
        headingTrue_rad: wrapTurn(track_rad - plane.convergence_rad(position)),
        pilot: { ...question.pilot, reaction_s: 0 },
        plan: { ...question.plan, key: "none", reserve_m: 0, final_m: Math.min(SHORT_FINAL_M, question.plan.final_m) },
      },
      origin,
    };
  }, [end, low, origin, question, x_m, y_m, track_rad, height_m, elevation_m]);
  const way = useAnswer(asked, askWay, "pointed").value;
  const others = useReach(
    (state) =>
      state.answer?.sites?.sites.filter((site) => isUsable(site.verdict) && site.end.id !== shownEnd(state)?.endId)
        .length ?? 0,
  );
  if (!place) return null;
  if (deviation_m > AS_PLANNED_M)
    return (
      <TooHigh
        by_m={deviation_m}
        plan={lose && height_m > deviation_m ? loseHeight(lose) : null}
        onPlan={() => {
          set({ lose: { height_m, lose_m: deviation_m } });
          onLose();
        }}
      />
    );
  if (low) return <TooLow by_m={-deviation_m} way={way} others={others} />;
  return (
    <p className="mt-1 text-[14px] text-ink2" role="status">
      As planned here. Move the height to see what to do when it is not.
    </p>
  );
}

function TooHigh({ by_m, plan, onPlan }: { by_m: number; plan: Outcome<LossPlan> | null; onPlan: () => void }) {
  const format = useFormat();
  const steps = plan?.ok ? plan.value.steps : [];
  const named = steps.map(
    ({ name, from_m, to_m }) =>
      `${name} ${to_m > 0 ? `to ${format("height", to_m)}` : `from ${format("height", from_m)}`}`,
  );
  return (
    <p className="mt-1 text-[14px]" role="status">
      <strong className="text-ochre">Too high by {format("height", by_m)}.</strong>{" "}
      {plan && !plan.ok
        ? plan.issue.message
        : steps.length === 0
          ? "Nothing that is allowed loses it here."
          : named.join(", then ")}
      {plan?.ok && plan.value.left_m > AS_PLANNED_M
        ? `; ${format("height", plan.value.left_m)} are left: aim farther in.`
        : "."}{" "}
      <button type="button" className="btn btn-quiet px-2 py-0 text-[13px]" onClick={onPlan}>
        Plan it
      </button>
    </p>
  );
}

function TooLow({ by_m, way, others }: { by_m: number; way: EndReach | null; others: number }) {
  const format = useFormat();
  const margin_m = way?.path?.margin_m ?? null;
  const instead =
    others > 0
      ? `: ${others} other ${others === 1 ? "place is" : "places are"} in reach from where you are planned`
      : ": land ahead where it is flattest";
  return (
    <p className="mt-1 text-[14px]" role="status">
      <strong className="text-brick">Too low by {format("height", by_m)}.</strong>{" "}
      {margin_m === null
        ? (way?.issue?.message ?? "Computing …")
        : margin_m >= 0
          ? `Cut the corner now (${way ? wayInWords(way) : ""}): ${format("height", margin_m)} in hand over the aim point, no flap, no slip.`
          : `Even turned in at once it ends ${format("height", -margin_m)} short of the aim point${instead}.`}
    </p>
  );
}

/** Whether the overhead key is flown over at its height or above. */
function highEnough({ keys: [overhead], fromHere }: KeyCircuit): boolean {
  return fromHere.overhead_m !== null && fromHere.overhead_m >= overhead.height_m;
}
