"use client";
import { fromSi, toSi } from "@/core/quantities/units";
import type { EndReach } from "@/core/landing/reach";
import { useReach } from "@/ui/landing/reach-store";
import { useFormat, useUnits } from "@/ui/units/units-store";
import { Figure } from "@/ui/working/Figure";
import { ACCOUNT_FILL } from "./accounts";
import { blocksOf, markLabel, markStep, spread } from "./ledger-layout";

/** Where the column stands, px. */
const COLUMN = { left: 44, width: 54, top: 30 };
/** The account in height: what you have, what each part costs, what is left above the ground line or hangs below it. */
export function HeightLedger({ end, height }: { end: EndReach; height: number }) {
  const unit = useUnits((state) => state.units.height);
  const format = useFormat();
  const pointed = useReach((state) => state.pointedEntry);
  const point = useReach((state) => state.point);
  const { path } = end;
  if (!path) return null;
  const { have_m, margin_m, ledger } = path;
  const blocks = blocksOf(ledger, have_m);
  const low_m = Math.min(0, margin_m);
  const bottom = height - 34;
  const scale = (bottom - COLUMN.top) / Math.max(have_m - low_m, 1);
  const y = (height_m: number) => COLUMN.top + (have_m - height_m) * scale;
  const shown = blocks.filter((block) => block.entry.height_m > 0.05);
  const rows = shown.map((block) => (y(block.from_m) + y(block.to_m)) / 2);
  const marginRow = margin_m >= 0 ? (y(margin_m) + y(0)) / 2 : y(low_m) - 4;
  // A margin stands above the ground line, whatever little it is; a shortfall hangs below it.
  const placed = spread([...rows, marginRow], margin_m >= 0 ? y(0) - 17 : bottom + 2);
  const step = markStep(fromSi("height", unit, have_m - low_m));
  const marks: number[] = [];
  for (let mark = Math.ceil(fromSi("height", unit, low_m) / step) * step; mark <= fromSi("height", unit, have_m); mark += step) marks.push(mark);
  const right = COLUMN.left + COLUMN.width;
  const figure = format("height", Math.abs(margin_m));

  return (
    <figure className="relative" style={{ height }} aria-label={`Height ledger to ${end.name}`}>
      <svg width="100%" height={height} aria-hidden="true">
        <defs>
          <pattern id="hatch-reserve" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="7" height="7" fill="var(--sheet)" />
            <line x1="0" y1="0" x2="0" y2="7" stroke="var(--ink2)" strokeWidth="2.4" />
          </pattern>
          <pattern id="hatch-short" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--brick)" strokeWidth="3" />
          </pattern>
        </defs>
        {marks.map((mark) => {
          const at = y(toSi("height", unit, mark));
          return (
            <g key={mark}>
              <line x1={COLUMN.left - 8} x2={COLUMN.left} y1={at} y2={at} stroke="var(--ink2)" />
              <text x={COLUMN.left - 11} y={at + 4} textAnchor="end" fontSize="12" className="num" fill="var(--ink2)">
                {markLabel(mark)}
              </text>
            </g>
          );
        })}
        {shown.map((block) => (
          <rect
            key={block.index}
            x={COLUMN.left}
            width={COLUMN.width}
            y={y(block.from_m)}
            height={Math.max(1, y(block.to_m) - y(block.from_m))}
            fill={block.entry.account === "reserve" ? "url(#hatch-reserve)" : ACCOUNT_FILL[block.entry.account]}
            stroke="var(--ink)"
            strokeWidth={pointed === block.index ? 3 : 1}
            onPointerEnter={() => point(block.index)}
            onPointerLeave={() => point(null)}
          />
        ))}
        {margin_m >= 0 ? (
          <rect x={COLUMN.left} width={COLUMN.width} y={y(margin_m)} height={Math.max(2, y(0) - y(margin_m))} fill="var(--sheet)" stroke="var(--pine)" strokeWidth="2.5" />
        ) : (
          <rect x={COLUMN.left} width={COLUMN.width} y={y(0)} height={Math.max(2, y(margin_m) - y(0))} fill="url(#hatch-short)" stroke="var(--brick)" strokeWidth="2.5" />
        )}
        <line x1={COLUMN.left - 14} x2="100%" y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth="2" />
        {[...rows, marginRow].map((from, i) => (
          <path key={i} d={`M${right + 1} ${from} h6 L${right + 14} ${placed[i]} h4`} fill="none" stroke="var(--rule)" />
        ))}
      </svg>
      <p className="absolute top-0 left-0 text-[14px] font-semibold whitespace-nowrap">You have {format("height", have_m)} over the aim point</p>
      <ol>
        {shown.map((block, i) => (
          <li key={block.index} className="absolute right-0" style={{ left: right + 18, top: placed[i] - 11 }} onPointerEnter={() => point(block.index)} onPointerLeave={() => point(null)}>
            <Figure title={`${block.entry.name}, ${end.name}`} figure={block.entry.name} endId={end.endId} className={`grid w-full grid-cols-[1fr_auto_auto] items-baseline text-left text-[14px] max-[1150px]:text-[13px] ${pointed === block.index ? "bg-mark" : ""}`}>
              <span className="font-sans font-semibold whitespace-nowrap">{block.entry.name}</span>
              <span>{format("height", block.entry.height_m)}</span>
              <span className="min-w-[37px] pl-1.5 text-right text-[13px] text-ink2">{block.entry.time_s > 0 ? `${Math.round(block.entry.time_s)}\u202fs` : ""}</span>
            </Figure>
          </li>
        ))}
        <li className="absolute right-0" style={{ left: right + 18, top: placed[placed.length - 1] - 19 }}>
          <Figure title={`${margin_m >= 0 ? "Margin" : "Shortfall"}, ${end.name}`} figure="margin" endId={end.endId} className={`flex w-full items-baseline justify-between text-left ${margin_m >= 0 ? "text-pine" : "text-brick"}`}>
            <span className="font-sans font-semibold">{margin_m >= 0 ? "Margin" : "Short by"}</span>
            <span className={`leading-9 font-semibold ${figure.length > 7 ? "text-[20px]" : "text-[28px] max-[1150px]:text-[24px]"}`}>{figure}</span>
          </Figure>
        </li>
      </ol>
      <figcaption className="num absolute right-0 text-[12px] text-ink2" style={{ top: y(0) + (margin_m >= 0 ? 5 : -18) }}>
        aim point, {end.name}
      </figcaption>
    </figure>
  );
}
