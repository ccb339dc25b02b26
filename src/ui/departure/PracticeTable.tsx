"use client";
import { useEffect, useState } from "react";
import { allowedBanks } from "@/core/departure/best-bank";
import type { PracticeTarget } from "@/core/departure/practice";
import { degrees } from "@/core/quantities/angle";
import { core } from "@/ui/core/core";
import { useFormat } from "@/ui/units/units-store";
import { useDeparture } from "./departure-store";

/** The same turn over a hard deck: height a good one loses, and the tolerance to beat. */
export function PracticeTable() {
  const input = useDeparture((state) => state.scan?.input ?? null);
  const format = useFormat();
  const [answer, setAnswer] = useState<{
    input: typeof input;
    rows: readonly { bank_rad: number; targets: readonly PracticeTarget[] }[];
  } | null>(null);
  useEffect(() => {
    if (!input) return;
    let stale = false;
    void Promise.all(
      allowedBanks(input.plan).map(async (bank_rad) => {
        const outcome = await core().departurePractice(input, bank_rad);
        return { bank_rad, targets: outcome.ok ? outcome.value : [] };
      }),
    ).then((rows) => !stale && setAnswer({ input, rows }));
    return () => {
      stale = true;
    };
  }, [input]);
  if (!input || answer?.input !== input) return <p className="text-ink2">Computing …</p>;
  if (answer.rows.every((row) => row.targets.length === 0))
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
          {answer.rows.map(({ bank_rad, targets }) => (
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
