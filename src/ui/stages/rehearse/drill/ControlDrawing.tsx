import type { Control } from "@/core/procedure/procedure";

interface Props {
  control: Control;
  /** Index of the position that it stands in. */
  at: number;
  /** A lamp in it burns. */
  lit: boolean;
}

/** Height of a row of positions, px: a finger wide enough with its neighbours. */
export const ROW_PX = 24;
const WIDTH = 34;

/** A control in ink, beside its positions: no flight deck's. */
export function ControlDrawing({ control, at, lit }: Props) {
  const rows = control.positions.length;
  const height = rows * ROW_PX;
  const y = (i: number) => (i + 0.5) * ROW_PX;
  return (
    <svg
      width={WIDTH}
      height={height}
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="shrink-0 text-ink"
      aria-hidden="true"
    >
      {drawings[control.drawn]({ y, at, rows, final: control.final.includes(control.positions[at]), lit })}
    </svg>
  );
}

interface Parts {
  readonly y: (i: number) => number;
  readonly at: number;
  readonly rows: number;
  /** It stands where it cannot be taken back from. */
  readonly final: boolean;
  readonly lit: boolean;
}

const drawings: Record<Control["drawn"], (parts: Parts) => React.ReactNode> = {
  lever: ({ y, at, rows, final }) => (
    <>
      <rect x={14} y={y(0) - 8} width={6} height={y(rows - 1) - y(0) + 16} rx={3} fill="none" stroke="var(--ink2)" />
      {Array.from({ length: rows }, (_, i) => (
        <line key={i} x1={20} x2={26} y1={y(i)} y2={y(i)} stroke="var(--ink2)" />
      ))}
      <rect
        x={6}
        y={y(at) - 6}
        width={22}
        height={12}
        rx={4}
        fill={final ? "var(--sheet)" : "var(--ink)"}
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </>
  ),
  switch: ({ y, at, rows }) => (
    <>
      <circle cx={17} cy={(y(0) + y(rows - 1)) / 2} r={9} fill="none" stroke="var(--ink2)" />
      <line
        x1={17}
        y1={(y(0) + y(rows - 1)) / 2}
        x2={17}
        y2={y(at) + (at === 0 ? -4 : 4)}
        stroke="var(--ink)"
        strokeWidth={5}
        strokeLinecap="round"
      />
    </>
  ),
  dial: ({ y, at, rows }) => {
    const middle = (y(0) + y(rows - 1)) / 2;
    return (
      <>
        <circle cx={11} cy={middle} r={9} fill="none" stroke="var(--ink)" strokeWidth={2} />
        <line x1={11} y1={middle} x2={30} y2={y(at)} stroke="var(--ink)" strokeWidth={3} strokeLinecap="round" />
      </>
    );
  },
  handle: ({ y, at, lit }) => (
    <>
      <path d={`M17 ${y(0) - 8} V${y(at) + 2}`} stroke="var(--ink2)" strokeWidth={3} />
      <rect
        x={4}
        y={y(at) - 5}
        width={26}
        height={11}
        rx={2}
        fill={lit || at > 0 ? "var(--brick)" : "var(--sheet)"}
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </>
  ),
  bottle: ({ y, rows, at }) => {
    const bottom = y(rows - 1) + 9;
    return (
      <>
        <path
          d={`M14 3 V10 C6 13 6 16 6 20 V${bottom - 3} Q6 ${bottom} 9 ${bottom} H25 Q28 ${bottom} 28 ${bottom - 3} V20 C28 16 28 13 20 10 V3 Z`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
        {at === 0 && <rect x={9} y={20} width={16} height={bottom - 23} fill="var(--steel)" opacity={0.55} />}
      </>
    );
  },
};
