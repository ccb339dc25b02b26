"use client";
import { useState } from "react";
import { cardDay, middle_m, predictedRun } from "@/core/series/predicted-run";
import type { SeriesResult } from "@/core/series/series-result";
import { TestCard } from "@/core/series/test-card";
import { degrees, radians } from "@/core/quantities/angle";
import { formatNumber, fromSi, toSi, unitOf } from "@/core/quantities/units";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy } from "@/ui/kit/forms/fault";
import { parseNumber } from "@/ui/kit/forms/parse-number";
import { DataTable } from "@/ui/kit/tables/DataTable";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { massFault } from "../mass-fault";
import { useCards } from "./cards-store";
import { amountWords, valueWords } from "./series-words";

const { mass_kg, deviation_K, start_m, abort_m, speed_mps, overStall } = TestCard.shape;
/** Speeds that can be planned, m/s. */
const SPEEDS_MPS = [10, 150];
/** Less over the stall than this is told in the plan. */
const THIN = 1.15;

interface Props {
  card: TestCard;
  result: SeriesResult | null;
  /** Why there is no prediction. */
  issue: string | null;
}

/** A card's plan: conditions, runs with their predictions, what ends a run. */
export function CardEditor({ card, result, issue }: Props) {
  const change = useCards((state) => state.change);
  const format = useFormat();
  const put = (part: Partial<TestCard>) => change({ ...card, ...part });
  const turning = card.kind === "half-turn";
  const day = cardDay(card);
  const planned = card.points.map((value, i) => {
    const run = day.ok ? predictedRun(day.value, value, middle_m(card)) : day;
    return { n: i + 1, value, run };
  });
  return (
    <div
      className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-auto px-5 py-3"
      tabIndex={0}
      role="region"
      aria-label="Plan of the card"
    >
      <div className="grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(170px,1fr))] items-start gap-x-5 gap-y-2">
        <div className="col-span-full max-w-md">
          <TextField
            label="Name of the card"
            value={card.name}
            fault={card.name.trim() === "" ? "A name is needed." : null}
            onChange={(name) => put({ name: name.slice(0, 60) })}
          />
        </div>
        <QuantityField
          label="Mass"
          kind="mass"
          value={card.mass_kg}
          check={(value) => checkBy(mass_kg)(value) ?? massFault(card.aircraft, value)}
          onChange={(value) => put({ mass_kg: value })}
        />
        <NumberField
          label="Air beside standard"
          value={card.deviation_K}
          unit="°C"
          digits={0}
          step={1}
          check={checkBy(deviation_K)}
          onChange={(value) => put({ deviation_K: value })}
        />
        <QuantityField
          label="Begins at"
          kind="height"
          value={card.start_m}
          check={checkBy(start_m)}
          onChange={(value) => put({ start_m: value })}
        />
        <QuantityField
          label="Broken off at"
          kind="height"
          value={card.abort_m}
          check={(value) => (value < card.start_m ? checkBy(abort_m)(value) : "Lower than it begins.")}
          onChange={(value) => put({ abort_m: value })}
        />
        {turning && (
          <>
            <QuantityField
              label="Speed held"
              kind="speed"
              value={card.speed_mps}
              check={checkBy(speed_mps)}
              onChange={(value) => put({ speed_mps: value })}
            />
            <NumberField
              label="Never under the stall times"
              value={card.overStall}
              unit="×"
              digits={2}
              step={0.05}
              check={checkBy(overStall)}
              onChange={(value) => put({ overStall: value })}
            />
          </>
        )}
        <Values
          label={turning ? "Briefed bank" : "Briefed speed"}
          turning={turning}
          values={[card.briefed]}
          most={1}
          onChange={([briefed]) => put({ briefed })}
        />
        <div className="col-span-full max-w-md">
          <Values
            label={turning ? "Banks of the runs, in order" : "Speeds of the runs, in order"}
            turning={turning}
            values={card.points}
            most={40}
            onChange={(points) => put({ points })}
          />
        </div>
        <Lines label="In each run" lines={[card.task]} most={1} onChange={([task]) => put({ task })} />
        <Lines
          label="Rules: when it is broken off, and what is agreed"
          lines={card.rules}
          most={8}
          onChange={(rules) => put({ rules })}
        />
        <Lines
          label="Marked in flight, one a line"
          lines={card.marks}
          most={4}
          longest={24}
          onChange={(marks) => put({ marks })}
        />
      </div>
      {issue !== null && (
        <p role="alert" className="max-w-prose text-brick">
          {issue}
        </p>
      )}
      {result && (
        <section aria-label="Predictions" className="max-w-3xl">
          <DataTable
            rows={planned}
            rowKey={({ n }) => n}
            caption="Each run as the polar has it"
            columns={[
              { name: "run", cell: ({ n }) => n },
              { name: turning ? "bank" : "speed", cell: ({ value }) => valueWords(card.kind, format, value) },
              ...(turning
                ? [
                    {
                      name: "speed",
                      cell: ({ run }: (typeof planned)[number]) => (run.ok ? format("speed", run.value.eas_mps) : "–"),
                    },
                  ]
                : []),
              {
                name: turning ? "height of 180°" : "sink",
                cell: ({ run }) => (run.ok ? amountWords(card.kind, format, run.value.amount) : "–"),
              },
              ...(turning
                ? [
                    {
                      name: "time",
                      cell: ({ run }: (typeof planned)[number]) =>
                        run.ok ? `${formatNumber(run.value.time_s)} s` : "–",
                    },
                  ]
                : []),
              {
                name: "over the stall",
                cell: ({ run }) => (run.ok ? `${formatNumber(run.value.overStall, 2)} ×` : "–"),
                tone: ({ run }) => (run.ok && run.value.overStall < THIN ? "text-brick" : ""),
              },
              {
                name: "note",
                kind: "words",
                cell: ({ run }) => noteOf(card, run.ok ? run.value : run.issue.message, turning),
                tone: () => "text-brick",
              },
            ]}
          />
        </section>
      )}
    </div>
  );
}

/** What is wrong with a planned run. */
function noteOf(
  card: TestCard,
  run: { readonly amount: number; readonly overStall: number } | string,
  turning: boolean,
): string {
  if (typeof run === "string") return run;
  if (turning && card.start_m - run.amount < card.abort_m) return "ends below the height where it is broken off";
  return run.overStall < THIN ? "close to the stall: a gust stalls it" : "";
}

/** Banks or speeds in the user's unit, with commas between. */
function Values({
  label,
  turning,
  values,
  most,
  onChange,
}: {
  label: string;
  turning: boolean;
  values: readonly number[];
  most: number;
  onChange: (values: number[]) => void;
}) {
  const unit = useUnits((state) => state.units.speed);
  const shown = values.map((value) => formatNumber(turning ? degrees(value) : fromSi("speed", unit, value))).join(", ");
  const [typed, setTyped] = useState<string | null>(null);
  const read = (text: string): number[] | string => {
    const numbers = text
      .split(/[,;\s]+/u)
      .filter(Boolean)
      .map(parseNumber);
    if (numbers.length === 0) return "One number at least.";
    if (numbers.length > most) return most === 1 ? "One number." : `At most ${most}.`;
    const [least, greatest] = turning ? [5, 74] : SPEEDS_MPS.map((speed) => Math.round(fromSi("speed", unit, speed)));
    if (!numbers.every((value) => value >= least && value <= greatest))
      return `Numbers from ${least} to ${greatest}, with commas between.`;
    return numbers.map((value) => (turning ? radians(value) : toSi("speed", unit, value)));
  };
  const found = typed === null ? null : read(typed);
  return (
    <div onBlur={() => setTyped(null)}>
      <TextField
        label={`${label}, ${turning ? "°" : unitOf("speed", unit).label}`}
        value={typed ?? shown}
        fault={typeof found === "string" ? found : null}
        onChange={(text) => {
          setTyped(text);
          const next = read(text);
          if (typeof next !== "string") onChange(next);
        }}
      />
    </div>
  );
}

/** Sentences, one a line. */
function Lines({
  label,
  lines,
  most,
  longest = 160,
  onChange,
}: {
  label: string;
  lines: readonly string[];
  most: number;
  longest?: number;
  onChange: (lines: string[]) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="col-span-full block max-w-2xl text-sm text-ink2">
      {label}
      <textarea
        className="field mt-0.5 text-[15px]"
        rows={Math.max(lines.length, 1)}
        value={typed ?? lines.join("\n")}
        onChange={(event) => {
          const text = event.currentTarget.value;
          setTyped(text);
          const next = text
            .split("\n")
            .map((line) => line.trim().slice(0, longest))
            .filter(Boolean)
            .slice(0, most);
          if (next.length > 0 || label.startsWith("Rules")) onChange(next);
        }}
        onBlur={() => setTyped(null)}
      />
    </label>
  );
}
