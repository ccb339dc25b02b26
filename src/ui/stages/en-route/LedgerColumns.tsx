"use client";
import type { ReactNode } from "react";
import { clamp } from "@/core/numeric/clamp";
import { ReserveHatch, ShortHatch } from "@/ui/kit/ledger/Hatch";
import { LedgerMarks } from "@/ui/kit/ledger/LedgerMarks";
import { useSize } from "@/ui/kit/page/useSize";

/** Of a column where there is room, between two, left of the first for the marks, right of the last for the names. */
const WIDEST = 58;
const NARROWEST = 30;
/** Narrower than this the notes under it are set smaller. */
const NOTES = 52;
const GAP = 7;
const NAMES = 60;
/** Lower than this it is not drawn. */
const LOWEST = 230;
const LEFT = 44;
const TOP = 8;
/** Room under the accounts, and for a second line of names. */
const [BELOW, LINE] = [78, 14];
/** Of a block that is hatched as what is wanted and not spent. */
export const WANTED = "url(#hatch-wanted-route)";

/** A height that is spent, from the top down. */
export interface Block {
  readonly name: string;
  readonly height_m: number;
  readonly fill: string;
}

/** One account: from an altitude down to the ground. */
export interface Column {
  readonly id: string;
  readonly name: string;
  /** Lines under the name. */
  readonly notes: readonly string[];
  readonly blocks: readonly Block[];
  readonly margin_m: number;
  /** Where the account ends. */
  readonly ground_m: number;
  /** What is in hand, as a figure with its working. */
  readonly figure: ReactNode;
}

/** Accounts side by side to one scale, from the altitude down to the ground. */
export function LedgerColumns({
  columns,
  altitude_m,
  label,
}: {
  columns: readonly Column[];
  altitude_m: number;
  label: string;
}) {
  const [box, room] = useSize({ width: 288, height: 392 });
  const height = Math.max(LOWEST, room.height);
  const wide = clamp(Math.floor((room.width - LEFT - NAMES) / columns.length) - GAP, NARROWEST, WIDEST);
  const names = columns.map(({ name }) => linesOf(name));
  const two = names.some(([, rest]) => rest !== "");
  const bottom = height - BELOW - (two ? LINE : 0);
  const low_m = Math.min(0, ...columns.map(({ ground_m, margin_m }) => ground_m + Math.min(margin_m, 0)));
  const top_m = Math.max(altitude_m, 100);
  const y = (at_m: number) => TOP + ((top_m - at_m) / (top_m - low_m)) * (bottom - TOP);
  return (
    <div ref={box} className="min-h-[230px] flex-1">
      <figure className="relative" style={{ height }} aria-label={label}>
        <svg width="100%" height={bottom + 6} overflow="visible" aria-hidden="true">
          <defs>
            <ReserveHatch id="hatch-wanted-route" />
            <ShortHatch id="hatch-short-route" />
          </defs>
          <LedgerMarks left={LEFT} low_m={low_m} high_m={top_m} y={y} />
          {columns.map((column, i) => (
            <Account
              key={column.id}
              column={column}
              altitude_m={altitude_m}
              left={LEFT + i * (wide + GAP)}
              wide={wide}
              y={y}
              ground={y(low_m)}
            />
          ))}
        </svg>
        <ul className="absolute bottom-0 flex text-[13px]" style={{ left: LEFT, gap: GAP }}>
          {columns.map(({ id, name, notes, figure }, i) => (
            <li key={id} className="text-center leading-tight" style={{ width: wide }}>
              <span className="-mx-[2px] block text-[12px] leading-[14px] font-semibold" title={name}>
                <span className="block truncate">{names[i][0]}</span>{" "}
                {two && <span className="block h-[14px] truncate">{names[i][1]}</span>}
              </span>
              {notes.map((note) => (
                <span
                  key={note}
                  className={`num block ${wide < NOTES ? "text-[10.5px]" : "text-[12px]"} whitespace-nowrap text-ink2`}
                >
                  {note}
                </span>
              ))}
              {figure}
            </li>
          ))}
        </ul>
        <Names
          left={LEFT + columns.length * (wide + GAP)}
          column={columns[columns.length - 1]}
          altitude_m={altitude_m}
          y={y}
        />
      </figure>
    </div>
  );
}

/** A name on two lines: its first word, and the rest. Of two that begin alike the first says nothing. */
function linesOf(name: string): readonly [string, string] {
  const [first, ...rest] = name.split(" ");
  return [first, rest.join(" ")];
}

/** Lower than this a block is none, m. */
const NONE_M = 0.5;

/** The blocks with the altitudes between which they stand. */
function stacked(blocks: readonly Block[], altitude_m: number): (Block & { top_m: number; bottom_m: number })[] {
  let now_m = altitude_m;
  return blocks
    .filter(({ height_m }) => height_m >= NONE_M)
    .map((block) => {
      const top_m = now_m;
      now_m -= block.height_m;
      return { ...block, top_m, bottom_m: now_m };
    });
}

/** Tops of names beside marks, spread so that none writes over another, px. */
function spread(middles: readonly number[]): number[] {
  let before = -Infinity;
  return middles.map((middle) => (before = Math.max(middle - 9, before + 16)));
}

/** From the top: what it costs; then what is left, above the ground. */
function Account({
  column: { blocks, margin_m, ground_m },
  altitude_m,
  left,
  wide,
  y,
  ground,
}: {
  column: Column;
  altitude_m: number;
  left: number;
  wide: number;
  y: (altitude_m: number) => number;
  ground: number;
}) {
  return (
    <g>
      {stacked(blocks, altitude_m).map(({ name, fill, top_m, bottom_m }) => (
        <rect
          key={name}
          x={left}
          width={wide}
          y={y(top_m)}
          height={Math.max(1, y(bottom_m) - y(top_m))}
          fill={fill}
          stroke="var(--ink)"
        />
      ))}
      {margin_m >= 0 ? (
        <rect
          x={left}
          width={wide}
          y={y(ground_m + margin_m)}
          height={Math.max(2, y(ground_m) - y(ground_m + margin_m))}
          fill="var(--sheet)"
          stroke="var(--pine)"
          strokeWidth="2.5"
        />
      ) : (
        <rect
          x={left}
          width={wide}
          y={y(ground_m)}
          height={Math.max(2, y(ground_m + margin_m) - y(ground_m))}
          fill="url(#hatch-short-route)"
          stroke="var(--brick)"
          strokeWidth="2"
        />
      )}
      <rect
        x={left}
        width={wide}
        y={y(ground_m)}
        height={Math.max(0, ground - y(ground_m))}
        fill="var(--wheat)"
        fillOpacity={margin_m >= 0 ? 0.45 : 0}
      />
      <line x1={left - 4} x2={left + wide + 4} y1={y(ground_m)} y2={y(ground_m)} stroke="var(--ink)" strokeWidth="2" />
    </g>
  );
}

/** Names beside the last account, spread so that none writes over another. */
function Names({
  left,
  column,
  altitude_m,
  y,
}: {
  left: number;
  column: Column | undefined;
  altitude_m: number;
  y: (altitude_m: number) => number;
}) {
  if (!column) return null;
  const blocks = stacked(column.blocks, altitude_m);
  const tops = spread(blocks.map(({ top_m, bottom_m }) => y((top_m + bottom_m) / 2)));
  return (
    <ul className="text-[12px] font-semibold" aria-hidden="true">
      {blocks.map(({ name }, i) => (
        <li key={name} className="absolute whitespace-nowrap" style={{ left: left + 2, top: tops[i] }}>
          {name}
        </li>
      ))}
    </ul>
  );
}
