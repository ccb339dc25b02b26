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
  const [answer, setAnswer] = useState<{ input: typeof input; rows: readonly { bank_rad: number; targets: readonly PracticeTarget[] }[] } | null>(null);
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
  if (answer.rows.every((row) => row.targets.length === 0)) return <p className="text-brick">The reaction ends in a stall: practise pushing first, at height, with an instructor.</p>;
  return (
    <table className="w-full text-right text-[14px]">
      <caption className="pb-1 text-left text-[13px] text-ink2">From a climb at full power over a hard deck of {format("height", input.plan.hardDeck_m)}, still air, to level wings. Debrief will keep what you fly.</caption>
      <thead className="text-[13px] text-ink2">
        <tr>
          <th className="text-left font-normal">Bank</th>
          <th className="font-normal">180° costs</th>
          <th className="font-normal">360° costs</th>
          <th className="font-normal">180° takes</th>
        </tr>
      </thead>
      <tbody>
        {answer.rows.map(({ bank_rad, targets }) => {
          const [half, full] = targets;
          return (
            <tr key={bank_rad} className="num border-t border-rule">
              <th className="text-left font-normal">{Math.round(degrees(bank_rad))}°</th>
              <td>{half ? `${format("height", half.loss_m)} ± ${format("height", half.tolerance_m)}` : "–"}</td>
              <td>{full ? `${format("height", full.loss_m)} ± ${format("height", full.tolerance_m)}` : "–"}</td>
              <td>{half ? `${Math.round(half.time_s)} s` : "–"}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
