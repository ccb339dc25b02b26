"use client";
import type { LedgerEntry } from "@/core/glide/glide-path";
import { useFormat } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { ACCOUNT_FILL } from "./accounts";
import { blocksOf, spread } from "./ledger-layout";
import { LedgerMarks } from "./LedgerMarks";
import { ReserveHatch, ShortHatch } from "./Hatch";

/** Where the column stands, px. */
const COLUMN = { left: 44, width: 54, top: 30 };
interface Props {
  /** What it leads to: "Skerrow 29". */
  name: string;
  have_m: number;
  /** What the height is counted over. */
  over: string;
  ledger: readonly LedgerEntry[];
  margin_m: number;
  /** What stands at the ground line. */
  ground: string;
  source: WorkingSource;
  pointed: number | null;
  onPoint: (entry: number | null) => void;
  height: number;
}

/** The account in height: what you have, what each part costs, what is left above the ground line or hangs below it. */
export function HeightLedger({
  name,
  have_m,
  over,
  ledger,
  margin_m,
  ground,
  source,
  pointed,
  onPoint: point,
  height,
}: Props) {
  const format = useFormat();
  const blocks = blocksOf(ledger, have_m);
  const low_m = Math.min(0, margin_m);
  const bottom = height - 34;
  const top_m = Math.max(have_m, ...blocks.map((block) => block.from_m));
  const scale = (bottom - COLUMN.top) / Math.max(top_m - low_m, 1);
  const y = (height_m: number) => COLUMN.top + (top_m - height_m) * scale;
  // A reaction may cost nothing or even rise on for a moment: it is told beside the column, there is no block to cut.
  const shown = blocks.filter((block) => block.entry.height_m > 0.05 || block.entry.time_s > 0);
  const rows = shown.map((block) => y(Math.min((block.from_m + block.to_m) / 2, have_m)));
  const marginRow = margin_m >= 0 ? (y(margin_m) + y(0)) / 2 : y(low_m) - 4;
  // A margin stands above the ground line, whatever little it is; a shortfall hangs below it.
  const placed = spread([...rows, marginRow], margin_m >= 0 ? y(0) - 17 : bottom + 2);
  const right = COLUMN.left + COLUMN.width;
  const figure = format("height", Math.abs(margin_m), margin_m >= 0 ? "down" : "up");

  return (
    <figure className="relative" style={{ height }} aria-label={`Height ledger to ${name}`}>
      <svg width="100%" height={height} overflow="visible" aria-hidden="true">
        <defs>
          <ReserveHatch id="hatch-reserve" />
          <ShortHatch id="hatch-short" />
        </defs>
        <LedgerMarks left={COLUMN.left} low_m={low_m} high_m={have_m} y={y} />
        {shown
          .filter((block) => block.entry.height_m > 0.05)
          .map((block) => (
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
          <rect
            x={COLUMN.left}
            width={COLUMN.width}
            y={y(margin_m)}
            height={Math.max(2, y(0) - y(margin_m))}
            fill="var(--sheet)"
            stroke="var(--pine)"
            strokeWidth="2.5"
          />
        ) : (
          <rect
            x={COLUMN.left}
            width={COLUMN.width}
            y={y(0)}
            height={Math.max(2, y(margin_m) - y(0))}
            fill="url(#hatch-short)"
            stroke="var(--brick)"
            strokeWidth="2.5"
          />
        )}
        <line x1={COLUMN.left - 14} x2="100%" y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth="2" />
        {[...rows, marginRow].map((from, i) => (
          <path
            key={i}
            d={`M${right + 1} ${from} h6 L${right + 14} ${placed[i]} h4`}
            fill="none"
            stroke="var(--rule)"
          />
        ))}
      </svg>
      <p className="absolute top-0 left-0 text-[14px] font-semibold whitespace-nowrap">
        You have {format("height", have_m)} over {over}
      </p>
      <ol>
        {shown.map((block, i) => (
          <li
            key={block.index}
            className="absolute right-0"
            style={{ left: right + 18, top: placed[i] - 11 }}
            onPointerEnter={() => point(block.index)}
            onPointerLeave={() => point(null)}
          >
            <Figure
              title={`${block.entry.name}, ${name}`}
              figure={block.entry.name}
              source={source}
              className={`grid w-full grid-cols-[1fr_auto_auto] items-baseline gap-x-1 text-left text-[14px] max-[1150px]:text-[12px] ${pointed === block.index ? "bg-mark" : ""}`}
            >
              <span className="font-sans font-semibold whitespace-nowrap">{block.entry.name}</span>
              <span>
                {block.entry.height_m < 0
                  ? `+${format("height", -block.entry.height_m)}`
                  : format("height", block.entry.height_m)}
              </span>
              <span className="min-w-[33px] text-right text-[13px] text-ink2 max-[1150px]:min-w-[27px] max-[1150px]:text-[12px]">
                {block.entry.time_s > 0 ? `${Math.round(block.entry.time_s)}\u202fs` : ""}
              </span>
            </Figure>
          </li>
        ))}
        <li className="absolute right-0" style={{ left: right + 18, top: placed[placed.length - 1] - 19 }}>
          <Figure
            title={`${margin_m >= 0 ? "Margin" : "Shortfall"}, ${name}`}
            figure="margin"
            source={source}
            className={`flex w-full items-baseline justify-between text-left ${margin_m >= 0 ? "text-pine" : "text-brick"}`}
          >
            <span className="font-sans font-semibold whitespace-nowrap">{margin_m >= 0 ? "Margin" : "Short by"}</span>
            <span
              className={`leading-9 font-semibold ${figure.length > 7 ? "text-[20px] max-[1150px]:text-[17px]" : "text-[28px] max-[1150px]:text-[24px]"}`}
            >
              {figure}
            </span>
          </Figure>
        </li>
      </ol>
      <figcaption
        className="num absolute right-0 text-[12px] text-ink2"
        style={{ top: margin_m >= 0 ? y(0) + 5 : height - 15 }}
      >
        {ground}
      </figcaption>
    </figure>
  );
}
