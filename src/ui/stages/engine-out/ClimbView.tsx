"use client";
import type { ClimbTo } from "@/core/asymmetric/climb-by-height";
import type { BeforeFeathering } from "@/core/asymmetric/before-feathering";
import type { BankChoice } from "@/core/asymmetric/climb-ledger";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-question";
import { useState } from "react";
import { degrees } from "@/core/quantities/angle";
import { M_PER_FT } from "@/core/quantities/constants";
import { formatNumber } from "@/core/quantities/units";
import { SliderField } from "@/ui/kit/forms/SliderField";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useFormat } from "@/ui/kit/units/units-store";
import { ClimbLedgerDrawing } from "./ClimbLedgerDrawing";
import { useEngineOut } from "@/ui/answers/engine-out-store";
import { ledgerRows } from "./ledger-rows";
import type { Ask } from "@/ui/kit/lanes/asking";
import { outcomeOf, useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useEngineOutQuestion } from "@/ui/answers/useEngineOutAnswer";
import { DataTable } from "@/ui/kit/tables/DataTable";

/** Climb at this height is told in words, m above the sea. */
const LATER_M = 6000 * M_PER_FT;

/** The climb ledger, what waiting costs, and what is left higher up. */
export function ClimbView() {
  const now = useEngineOut((state) => state.now);
  const question = useEngineOutQuestion();
  const trial = useEngineOut((state) => state.trial);
  const { document } = useAeroplane();
  const format = useFormat();
  if (!now) return <p className="p-4 text-ink2">Computing …</p>;
  const names = {
    propeller: `Propeller ${question.deadPropeller}`,
    gear: "Gear down",
    flap: `Flap ${document.polar?.flaps[question.flap]?.name ?? ""}`,
    items:
      document.polar?.items
        .filter((item) => question.items.includes(item.id))
        .map((item) => item.name)
        .join(", ") ?? "",
    bank:
      trial.bank.kind === "bank"
        ? trial.bank.bank_rad === 0
          ? "Wings level"
          : `${Math.round(degrees(trial.bank.bank_rad))}° of bank`
        : "Bank",
  };
  const rows = ledgerRows(
    now.ledger,
    question.deadPropeller === "none",
    names,
    (cost_mps) => `${format("height", cost_mps * 30)} in 30 s`,
  );
  return (
    <div className="min-h-0 overflow-auto" tabIndex={0} role="region" aria-label="Climb ledger">
      <ClimbLedgerDrawing
        rows={rows}
        source={{
          calculation: {
            name: "one-engine-climb",
            input: {
              ...question,
              eas_mps: now.eas_mps,
              bank_rad: trial.bank.kind === "bank" ? trial.bank.bank_rad : null,
            },
          },
        }}
      />
      <p className="px-4 pb-3 text-[13px] text-ink2">
        Each item is what it costs alone, in the order of the drill; the whole is at {format("speed", now.eas_mps)}{" "}
        equivalent airspeed with the live engine as set.
      </p>
      <div className="grid grid-cols-2 gap-6 border-t border-rule px-4 py-3 max-[1150px]:grid-cols-1">
        <Waiting />
        <Later />
      </div>
    </div>
  );
}

interface WaitQuestion {
  readonly question: AsymmetricQuestion;
  readonly bank: BankChoice;
  readonly eas_mps: number;
  readonly wait_s: number;
}

const askWait: Ask<WaitQuestion, BeforeFeathering> = (core, { question, bank, eas_mps, wait_s }) =>
  core.beforeFeathering({ ...question, eas_mps, bank }, wait_s);

const askClimb: Ask<{ question: AsymmetricQuestion; climb_m: number }, ClimbTo | null> = (
  core,
  { question, climb_m },
) => core.climbTo(question, question.altitude_m + climb_m);

/** What waiting with the propeller costs, and what a climb to an altitude and over an obstacle takes. */
function Waiting() {
  const now = useEngineOut((state) => state.now);
  const bank = useEngineOut((state) => state.trial.bank);
  const question = useEngineOutQuestion();
  const format = useFormat();
  const [wait_s, setWait] = useState(20);
  const [climb_m, setClimb] = useState(304.8);
  const eas_mps = now?.eas_mps ?? null;
  const turning = { ...question, deadPropeller: "windmilling" as const };
  const wait = outcomeOf(
    useAnswer(eas_mps === null ? null : { question: turning, bank, eas_mps, wait_s }, askWait, "pointed"),
  );
  const to = outcomeOf(useAnswer({ question, climb_m }, askClimb, "pointed"));
  const gradient = now?.ledger.gradient ?? 0;
  const { engines } = question.aircraft;
  return (
    <section aria-label="Waiting">
      {engines.kind === "propeller" && (
        <>
          <SliderField
            label="Feathered after"
            value={wait_s}
            min={0}
            max={60}
            step={1}
            shown={`${wait_s} s`}
            onChange={setWait}
          />
          <p className="mb-2 text-[14px]">
            {wait?.ok
              ? `That costs ${format("height", wait.value.cost_m)} against feathering at once; meanwhile it ${wait.value.gained_m >= 0 ? `gains ${format("height", wait.value.gained_m)}` : `loses ${format("height", -wait.value.gained_m)}`}.`
              : (wait?.issue.message ?? "…")}
          </p>
        </>
      )}
      <SliderField
        label="Climb, as set, by"
        value={climb_m}
        min={30.48}
        max={1524}
        step={30.48}
        shown={format("height", climb_m)}
        onChange={setClimb}
      />
      <p className="text-[14px]">
        {!to
          ? "…"
          : !to.ok
            ? to.issue.message
            : to.value === null
              ? "It does not climb so high as set."
              : `takes ${formatNumber(to.value.time_s / 60, 1)} min and ${format("distance", to.value.distance_m)} in still air.`}
      </p>
      <p className="mt-1 text-[14px] text-ink2">
        {gradient > 0
          ? `At this gradient it passes over something ${format("height", 100 * M_PER_FT)} tall after ${format("distance", (100 * M_PER_FT) / gradient)}.`
          : "At this gradient nothing is passed over: it sinks."}
      </p>
    </section>
  );
}

/** Best rate higher up, windmilling and feathered. */
function Later() {
  const byHeight = useEngineOut((state) => state.tables?.byHeight);
  const question = useEngineOutQuestion();
  const format = useFormat();
  if (!byHeight) return <p className="text-ink2">Computing …</p>;
  const six = byHeight.find((row) => row.altitude_m >= LATER_M - 1);
  const says = (mps: number) =>
    mps >= 0 ? `climb ${format("verticalSpeed", mps)}` : `descend ${format("verticalSpeed", -mps)}`;
  const jet = question.deadPropeller === "none";
  return (
    <section aria-label="Higher up">
      <DataTable
        className="w-full text-[13px]"
        caption={
          six && (
            <span className="text-[14px] text-ink">
              At {format("height", six.altitude_m)} you {says(six.asSet.climb_mps)} as set, {says(six.mended.climb_mps)}{" "}
              mended.
            </span>
          )
        }
        rows={byHeight.filter((_, i) => i % 2 === 0)}
        rowKey={(row) => row.altitude_m}
        columns={[
          { name: "altitude", kind: "figure", cell: (row) => format("height", row.altitude_m) },
          {
            name: "as set",
            cell: (row) => format("verticalSpeed", row.asSet.climb_mps),
            tone: (row) => (row.asSet.climb_mps < 0 ? "text-brick" : ""),
          },
          {
            name: jet ? "clean" : "feathered, clean",
            cell: (row) => format("verticalSpeed", row.mended.climb_mps),
            tone: (row) => (row.mended.climb_mps < 0 ? "text-brick" : ""),
          },
          { name: "at", cell: (row) => format("speed", row.mended.eas_mps) },
        ]}
      />
    </section>
  );
}
