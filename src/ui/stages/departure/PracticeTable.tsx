"use client";
import { allowedBanks } from "@/core/departure/best-bank";
import type { DepartureInput } from "@/core/departure/departure-day";
import type { PracticeTarget } from "@/core/departure/practice";
import { degrees } from "@/core/quantities/angle";
import { success } from "@/core/outcome";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { useDeparture } from "@/ui/answers/departure-store";

interface PracticeRow {
  readonly bank_rad: number;
  readonly targets: readonly PracticeTarget[];
}

const askPractice: Ask<DepartureInput, PracticeRow[]> = async (core, input) =>
  success(
    await Promise.all(
      allowedBanks(input.plan).map(async (bank_rad) => {
        const outcome = await core.departurePractice(input, bank_rad);
        return { bank_rad, targets: outcome.ok ? outcome.value : [] };
      }),
    ),
  );

/** The same turn over a hard deck: height a good one loses, and the tolerance to beat. */
export function PracticeTable() {
  const input = useDeparture((state) => state.scan?.input ?? null);
  const format = useFormat();
  const { value: rows, stale } = useAnswer(input, askPractice, "long");
  if (!input || !rows || stale) return <p className="text-ink2">Computing …</p>;
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
      <table className="w-full text-right text-[14px]">
        <caption className="pb-1 text-left text-[13px] text-ink2">
          Over a hard deck of {format("height", input.plan.hardDeck_m)}, still air, to level wings. Debrief will keep
          what you fly.
        </caption>
        <thead className="text-[13px] text-ink2">
          <tr>
            <th className="text-left font-normal" rowSpan={2}>
              Bank
            </th>
            <th className="font-normal" colSpan={2}>
              from a climb at full power
            </th>
            <th className="font-normal" colSpan={2}>
              from fast level flight
            </th>
          </tr>
          <tr>
            {["180°", "360°", "180°", "360°"].map((turn, i) => (
              <th key={i} className="font-normal">
                {turn}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ bank_rad, targets }) => (
            <tr key={bank_rad} className="num border-t border-rule">
              <th className="text-left font-normal">{Math.round(degrees(bank_rad))}°</th>
              <td>{cost(targets, "climb", true)}</td>
              <td>{cost(targets, "climb", false)}</td>
              <td>{cost(targets, "level", true)}</td>
              <td>{cost(targets, "level", false)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink2">
        Out of the climb the nose is high and the speed low: both have to be mended with height first, and the steeper
        the turn the more speed it asks for, so that 60° can cost more than 45°. From fast level flight (1.4 times best
        glide) the speed is there and pays for part of the turn. What happens after take-off is the first.
      </p>
    </>
  );
}
