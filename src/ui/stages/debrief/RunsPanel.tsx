"use client";
import type { Failure } from "@/core/track/analyse";
import type { Figure } from "@/core/track/figure";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import type { DebriefedLog } from "@/workers/track.worker";
import { useOverlay } from "./OverlayChoice";

const known = (figure: Figure | undefined, words: (value: number) => string) =>
  figure?.known ? words(figure.value) : "–";

/** The engine stop that is looked at beside the runs that are laid over it. */
export function RunsPanel({ found, failure }: { readonly found: DebriefedLog; readonly failure: Failure }) {
  const runs = useOverlay(found);
  const format = useFormat();
  if (runs.length === 0) return null;
  const row = (label: string, { delay_s, turns, glides }: Failure, own: boolean) => {
    const turn = turns.reduce<Failure["turns"][number] | undefined>(
      (most, one) => (one.heading_rad > (most?.heading_rad ?? 0) ? one : most),
      undefined,
    );
    const glide = glides.at(0);
    return (
      <tr key={label} className={`whitespace-nowrap ${own ? "font-bold" : ""}`}>
        <th scope="row" className={`max-w-32 truncate text-left font-sans ${own ? "" : "font-normal"}`}>
          {label}
        </th>
        <td className="pl-2 text-right">{known(delay_s, (value) => `${formatNumber(value, 1)} s`)}</td>
        <td className="pl-2 text-right">
          {known(turn?.measures.bank_rad, (value) => `${formatNumber(degrees(value))}°`)}
        </td>
        <td className="pl-2 text-right">{known(glide?.eas_mps, (value) => format("speed", value))}</td>
        <td className="pl-2 text-right">{known(glide?.ratio, (value) => `${formatNumber(value, 1)}:1`)}</td>
      </tr>
    );
  };
  return (
    <section
      className="shrink-0 overflow-x-auto border-t border-rule px-4 py-2 text-[13px]"
      aria-label="Runs over one another"
      tabIndex={0}
    >
      <table className="w-full">
        <caption className="pb-1 text-left text-[14px] font-bold">Runs over one another, from their stops on</caption>
        <thead>
          <tr className="text-ink2 [&>th]:pl-2 [&>th]:text-right [&>th]:font-normal">
            <th scope="col" className="!pl-0 !text-left">
              Run
            </th>
            <th scope="col">acted</th>
            <th scope="col">bank</th>
            <th scope="col">glide</th>
            <th scope="col">ratio</th>
          </tr>
        </thead>
        <tbody className="num">
          {row("this one", failure, true)}
          {runs.map((run) => row(run.label, run.failure, false))}
        </tbody>
      </table>
    </section>
  );
}
