"use client";
import type { BesideFailure } from "@/core/debrief/beside-failure";
import { energyLeft } from "@/core/debrief/energy-left";
import { EXPLAINED } from "@/core/debrief/turn-back-beside";
import { BESIDE_PARTS, type BesidePart } from "@/core/debrief/turn-back-flown";
import { success } from "@/core/outcome";
import { toSi, unitOf } from "@/core/quantities/units";
import { ACCOUNT_FILL } from "@/ui/kit/ledger/accounts";
import { ShortHatch } from "@/ui/kit/ledger/Hatch";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { Figure } from "@/ui/kit/working/Figure";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { EXPLAINED_WORDS, PART_WORDS, partWords } from "./beside-words";
import { roundedSum } from "./rounded-sum";

/** Where the two columns stand, px. */
const [LEFT, WIDTH, BETWEEN, TOP, HIGH] = [10, 40, 24, 22, 236];
const FILL: Record<BesidePart, string> = {
  reaction: ACCOUNT_FILL.reaction,
  straight: ACCOUNT_FILL.straight,
  turn: ACCOUNT_FILL.turn,
  line: ACCOUNT_FILL.attempt,
  final: ACCOUNT_FILL.approach,
};
const SHARE_FILL = ["var(--plum)", "var(--sage)", "var(--steel)", "var(--wheat)", "var(--clay)", "var(--rule)"];

/** Predicted beside flown, part by part, and what explains the difference. */
export function BesidePanel({ beside }: { beside: BesideFailure }) {
  const format = useFormat();
  const unit = useUnits((state) => state.units.height);
  const { turnBack, windOfLog, working } = beside;
  const { predicted, flown, height_m, explained, rest_m, runway } = turnBack;
  const source = { ask: async () => success([...working]) };
  const step_m = toSi("height", unit, unitOf("height", unit).step ?? 1);
  const signed = (m: number) => `${m < 0 ? "−" : "+"}${format("height", Math.abs(m))}`;
  const left_m = flown.left_m ?? 0;
  const low_m = Math.min(0, left_m, predicted.left_m);
  const highest_m = Math.max(
    height_m,
    ...[predicted.parts, flown.parts].map((parts) => height_m + Math.max(-parts[0].height_m, 0)),
  );
  const y = (m: number) => TOP + ((highest_m - m) / Math.max(highest_m - low_m, 1)) * HIGH;
  // A part that rises stands in the column as nothing: the next begins higher.
  const column = (parts: typeof flown.parts) => {
    let from = height_m;
    return parts.map(({ part, height_m: took }) => {
      const block = { part, from, to: from - took };
      from = block.to;
      return block;
    });
  };
  const columns = [column(predicted.parts), column(flown.parts)];
  // Of each part what was saved against the plan; together they are the difference of what is left.
  const saved = roundedSum(
    BESIDE_PARTS.map((_, i) => predicted.parts[i].height_m - flown.parts[i].height_m),
    step_m,
  );
  const difference_m = saved.reduce((sum, part) => sum + part, 0);
  const aligned = flown.left_m !== null;
  const energy = energyLeft(turnBack);
  return (
    <section className="border-t border-rule px-4 py-2" aria-label="Predicted beside flown">
      <h2 className="text-[14px] font-bold">Predicted beside flown</h2>
      <p className="text-[13px] text-ink2">From the stop to the end of {runway}, where the way back begins</p>
      <div className="relative" style={{ height: TOP + HIGH + 30 }}>
        <svg width={LEFT + 2 * WIDTH + BETWEEN + 4} height={TOP + HIGH + 26} aria-hidden="true">
          <defs>
            <ShortHatch id="hatch-beside" />
          </defs>
          {["predicted", "flown"].map((name, k) => (
            <text
              key={name}
              x={LEFT + k * (WIDTH + BETWEEN) + WIDTH / 2}
              y={13}
              textAnchor="middle"
              fontSize="12"
              fontWeight={600}
              fill={k === 0 ? "var(--ink2)" : "var(--harbour)"}
            >
              {name}
            </text>
          ))}
          {columns.map((blocks, k) =>
            blocks.map(({ part, from, to }) => (
              <rect
                key={`${k}${part}`}
                x={LEFT + k * (WIDTH + BETWEEN)}
                width={WIDTH}
                y={y(Math.max(from, to))}
                height={Math.max(y(Math.min(from, to)) - y(Math.max(from, to)), 0)}
                fill={to <= from ? FILL[part] : "none"}
                stroke="var(--ink)"
                strokeWidth={0.8}
              />
            )),
          )}
          {columns[0].map(({ part, to }, i) => (
            <line
              key={part}
              x1={LEFT + WIDTH}
              x2={LEFT + WIDTH + BETWEEN}
              y1={y(to)}
              y2={y(columns[1][i].to)}
              stroke="var(--ink2)"
              strokeWidth={0.8}
            />
          ))}
          {[predicted.left_m, ...(aligned ? [left_m] : [])].map((left, k) => (
            <rect
              key={k}
              x={LEFT + k * (WIDTH + BETWEEN)}
              width={WIDTH}
              y={y(Math.max(left, 0))}
              height={Math.max(y(Math.min(left, 0)) - y(Math.max(left, 0)), 1.5)}
              fill={left >= 0 ? "var(--sheet)" : "url(#hatch-beside)"}
              stroke={left >= 0 ? "var(--pine)" : "var(--brick)"}
              strokeWidth={2.2}
            />
          ))}
          <line x1={0} x2={LEFT + 2 * WIDTH + BETWEEN + 4} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth={2} />
          {[predicted.left_m, ...(aligned ? [left_m] : [])].map((left, k) => (
            <text
              key={k}
              x={LEFT + k * (WIDTH + BETWEEN) + WIDTH / 2}
              y={TOP + HIGH + 18}
              textAnchor="middle"
              fontSize="12"
              fontWeight={600}
              className="num"
              fill={left >= 0 ? "var(--pine)" : "var(--brick)"}
            >
              {signed(left).replace(/[^\d+−\u202f]/gu, "")}
            </text>
          ))}
        </svg>
        <ol
          className="absolute top-5 right-0 flex flex-col justify-between"
          style={{ left: LEFT + 2 * WIDTH + BETWEEN + 16, height: HIGH }}
        >
          {BESIDE_PARTS.map((part, i) => (
            <li key={part} className="leading-4">
              <Figure
                title={PART_WORDS[part]}
                figure={part}
                source={source}
                className="flex w-full justify-between text-[14px]"
              >
                <span className="flex items-center gap-1.5 font-sans font-semibold">
                  <span className="inline-block size-2.5 border border-ink" style={{ background: FILL[part] }} />
                  {PART_WORDS[part]}
                </span>
                {aligned && (
                  <span className={saved[i] < 0 ? "text-brick" : "text-pine"}>
                    {saved[i] === 0 ? "0" : signed(saved[i])}
                  </span>
                )}
              </Figure>
              <span className="block text-[12px] text-ink2">{partWords(part, turnBack, format)}</span>
            </li>
          ))}
        </ol>
      </div>
      {aligned && (
        <Figure
          title="Left over the end"
          figure="left"
          source={source}
          className="flex w-full items-baseline justify-between text-left"
        >
          <span className="font-sans text-[14px] font-semibold">Left over the end</span>
          <span className={`text-[22px] font-semibold ${difference_m < 0 ? "text-brick" : "text-pine"}`}>
            {signed(difference_m)}
          </span>
        </Figure>
      )}
      {energy && (
        <Figure
          title="Speed counted as height"
          figure="energy"
          source={source}
          className="flex w-full items-baseline justify-between text-left text-[14px]"
        >
          <span className="font-sans">
            As energy, its speed {energy.speed_m < 0 ? "slower" : "faster"} than planned
          </span>
          <span className={energy.difference_m < 0 ? "text-brick" : "text-pine"}>{signed(energy.difference_m)}</span>
        </Figure>
      )}
      {aligned && explained && rest_m !== null && (
        <Shares
          shares={roundedSum([...EXPLAINED.map((what) => explained[what]), rest_m], step_m)}
          source={source}
          words={signed}
          note={windOfLog ? "The plan’s wind is the log’s own: say what was told under “Day”." : null}
        />
      )}
    </section>
  );
}

interface SharesProps {
  readonly shares: readonly number[];
  readonly source: WorkingSource;
  readonly words: (m: number) => string;
  readonly note: string | null;
}

/** What explains the difference, as a strip and in figures. */
function Shares({ shares, source, words, note }: SharesProps) {
  const names = [...EXPLAINED, "rest"] as const;
  const sum = shares.reduce((total, share) => total + Math.abs(share), 0) || 1;
  return (
    <div className="pt-1">
      <p className="text-[13px] text-ink2">What explains it, one after the other:</p>
      <div className="flex h-3.5 w-full border border-ink" aria-hidden="true">
        {shares.map((share, i) => (
          <span key={names[i]} style={{ width: `${(100 * Math.abs(share)) / sum}%`, background: SHARE_FILL[i] }} />
        ))}
      </div>
      <dl className="grid grid-cols-3 gap-x-3 pt-1 text-[13px]">
        {names.map((name, i) => (
          <div key={name} className="flex flex-col">
            <dt className="text-ink2">{EXPLAINED_WORDS[name]}</dt>
            <dd>
              <Figure
                title={EXPLAINED_WORDS[name]}
                figure={name}
                source={source}
                className={shares[i] < 0 ? "text-brick" : ""}
              >
                {shares[i] === 0 ? "0" : words(shares[i])}
              </Figure>
            </dd>
          </div>
        ))}
      </dl>
      {note && <p className="pt-1 text-[12px] text-ink2">{note}</p>}
    </div>
  );
}
