interface Zone {
  readonly from: number;
  readonly to: number;
  readonly kind: "bad" | "good";
}

interface Mark {
  readonly at: number;
  readonly text: string;
  readonly tone?: string;
  /** Which end of the text stands at the mark. */
  readonly anchor?: "start" | "middle" | "end";
}

interface Props {
  name: string;
  /** As it is read, with its unit. */
  value: string;
  unit: string;
  /** On the scale. */
  at: number;
  low: number;
  high: number;
  /** Between two numbers of the scale. */
  step: number;
  zones?: readonly Zone[];
  marks?: readonly Mark[];
  /** Its numbers begin anew after this: 360 for a heading. */
  round?: number;
  /** It does not show what is: what feeds it has failed. */
  blind?: boolean;
}

const WIDTH = 300;
/** Texts of marks stand so far apart at least, px. */
const APART = 46;
const HEIGHT = 22;
/** Away from the mark, px. */
const ANCHORED = { start: -3, middle: 0, end: 3 };

/** At the ends of the strip a text stands inwards. */
const anchorAt = (at: number, near = 16, anchor: Mark["anchor"] = "middle") =>
  at < near ? "start" : at > WIDTH - near ? "end" : anchor;

/** A figure on a ruled strip: where it stands, where it should, where it must not. */
export function RuledStrip(props: Props) {
  const { name, value, unit, at, low, high, step, zones = [], marks = [], blind = false, round } = props;
  const x = (of: number) => ((Math.max(low, Math.min(high, of)) - low) / (high - low)) * WIDTH;
  const numbers = Array.from(
    { length: Math.floor((high - low) / step) + 1 },
    (_, i) => Math.ceil(low / step) * step + i * step,
  ).filter((number) => number <= high);
  const here = x(at);
  // A text that would lie over the one before it is left out; its stroke stays.
  const told = marks.reduce<readonly Mark[]>(
    (kept, mark) => (kept.some((other) => Math.abs(x(other.at) - x(mark.at)) < APART) ? kept : [...kept, mark]),
    [],
  );
  return (
    <div className="min-w-0">
      <p className="flex items-baseline justify-between text-[13px] leading-4">
        <span className="text-ink2">{name}</span>
        <span className={`num text-[17px] font-bold ${blind ? "text-ink2" : ""}`}>
          {value} <span className="text-[13px] font-normal text-ink2">{unit}</span>
        </span>
      </p>
      <svg viewBox={`-2 0 ${WIDTH + 4} ${HEIGHT + 18}`} className="block w-full" aria-hidden="true">
        <rect x={0} y={1} width={WIDTH} height={HEIGHT} fill="var(--sheet)" stroke="var(--ink2)" />
        {zones.map(({ from, to, kind }, i) => {
          const [a, b] = [x(from), x(to)];
          if (b <= a) return null;
          return (
            <rect
              key={i}
              x={a}
              y={2}
              width={b - a}
              height={HEIGHT - 2}
              fill={kind === "bad" ? "url(#fly-hatch)" : "var(--sage)"}
              opacity={kind === "bad" ? 1 : 0.5}
            />
          );
        })}
        {numbers.map((number) => (
          <g key={number}>
            <line x1={x(number)} x2={x(number)} y1={1} y2={7} stroke="var(--ink2)" />
            <text
              x={x(number)}
              y={19}
              fontSize={12}
              textAnchor={anchorAt(x(number))}
              fill="var(--ink2)"
              className="num"
            >
              {round ? ((number + round - 1) % round) + 1 : number}
            </text>
          </g>
        ))}
        {marks.map((mark, i) => (
          <g key={i}>
            <line
              x1={x(mark.at)}
              x2={x(mark.at)}
              y1={HEIGHT - 3}
              y2={HEIGHT + 4}
              stroke={mark.tone ?? "var(--ink)"}
              strokeWidth={2}
            />
            <text
              x={Math.max(1, Math.min(WIDTH - 1, x(mark.at) + ANCHORED[mark.anchor ?? "middle"]))}
              y={HEIGHT + 14}
              fontSize={12}
              textAnchor={anchorAt(x(mark.at), 30, mark.anchor)}
              fill={mark.tone ?? "var(--ink)"}
            >
              {told.includes(mark) ? mark.text : ""}
            </text>
          </g>
        ))}
        <rect
          x={here - 13}
          y={-1}
          width={26}
          height={HEIGHT + 4}
          fill="none"
          stroke={blind ? "var(--ink2)" : "var(--harbour)"}
          strokeWidth={2}
          rx={2}
        />
        <line
          x1={here}
          x2={here}
          y1={1}
          y2={HEIGHT}
          stroke={blind ? "var(--ink2)" : "var(--harbour)"}
          strokeWidth={2}
        />
      </svg>
    </div>
  );
}

/** The hatching of what must not be, once for all strips. */
export function StripHatch() {
  return (
    <svg width={0} height={0} className="absolute" aria-hidden="true">
      <defs>
        <pattern id="fly-hatch" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={6} stroke="var(--brick)" strokeWidth={2} />
        </pattern>
      </defs>
    </svg>
  );
}
