"use client";
import { allowedBanks } from "@/core/departure/best-bank";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import type { PracticeTarget } from "@/core/departure/practice";
import { degrees } from "@/core/quantities/angle";
import { success } from "@/core/outcome";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { useDeparture } from "@/ui/answers/departure-store";
import type { Column } from "@/ui/kit/tables/column";
import { DataTable } from "@/ui/kit/tables/DataTable";

interface PracticeRow {
  readonly bank_rad: number;
  readonly targets: readonly PracticeTarget[];
}

const askPractice: Ask<DepartureQuestion, PracticeRow[]> = async (core, question) =>
  success(
    await Promise.all(
      allowedBanks(question.plan).map(async (bank_rad) => {
        const outcome = await core.departurePractice(question, bank_rad);
        return { bank_rad, targets: outcome.ok ? outcome.value : [] };
      }),
    ),
  );

/** The same turn over a hard deck: height a good one loses, and the tolerance to beat. */
export function PracticeTable() {
  const question = useDeparture((state) => state.scan?.question ?? null);
  const format = useFormat();
  const { value: rows, stale } = useAnswer(question, askPractice, "long");
  if (!question || !rows || stale) return <p className="text-ink2">Computing …</p>;
  if (rows.every((row) => row.targets.length === 0))
    return (
      <p className="text-brick">The reaction ends in a stall: practise pushing first, at height, with an instructor.</p>
    );
  const cost = (targets: readonly PracticeTarget[], entry: PracticeTarget["entry"], half: boolean) => {
    const target = targets.find((candidate) => candidate.entry === entry && candidate.turn_rad < 4 === half);
    return target ? `${format("height", target.loss_m)} ± ${format("height", target.tolerance_m)}` : "–";
  };
  return (
    <>
      <DataTable
        caption={`Over a hard deck of ${format("height", question.plan.hardDeck_m)}, still air, to level wings. Debrief will keep what you fly.`}
        rows={rows}
        rowKey={({ bank_rad }) => bank_rad}
        columns={[
          { name: "Bank", cell: ({ bank_rad }) => <span className="num">{Math.round(degrees(bank_rad))}°</span> },
          ...(["climb", "level"] as const).map((entry) => ({
            name: entry === "climb" ? "from a climb at full power" : "from fast level flight",
            columns: [true, false].map((half): Column<(typeof rows)[number]> => ({
              name: `${entry} ${half ? 180 : 360}`,
              head: half ? "180°" : "360°",
              cell: ({ targets }) => cost(targets, entry, half),
            })),
          })),
        ]}
      />
      <p className="mt-1 text-[13px] text-ink2">
        Out of the climb the nose is high and the speed low: both have to be mended with height first, and the steeper
        the turn the more speed it asks for, so that 60° can cost more than 45°. From fast level flight (1.4 times best
        glide) the speed is there and pays for part of the turn. What happens after take-off is the first.
      </p>
    </>
  );
}
