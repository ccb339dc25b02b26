"use client";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import { useEngineOut } from "@/ui/answers/engine-out-store";

/** Longest arrow, px; below this length one is not drawn. */
const LONGEST = 64;
const SHORTEST = 2;
/** Half span and engine arm of the drawn aeroplane, px; its tail's distance. */
const HALF_SPAN = 104;
const TAIL = 62;
/** One ball of the turn coordinator, and its width in the drawing, px. */
const BALL_DEG = 5;
const BALL = 15;

interface ArrowProps {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly colour: string;
  readonly label: string;
}

/** A force to scale with its name at its end. */
function Arrow({ x, y, dx, dy, colour, label }: ArrowProps) {
  const length = Math.hypot(dx, dy);
  if (length < SHORTEST) return null;
  const [ux, uy] = [dx / length, dy / length];
  const [ex, ey] = [x + dx, y + dy];
  const anchor = Math.abs(ux) < 0.5 ? "middle" : ux > 0 ? "start" : "end";
  return (
    <g>
      <line x1={x} y1={y} x2={ex} y2={ey} stroke={`var(--${colour})`} strokeWidth="3" />
      <path
        d={`M ${ex + 5 * ux} ${ey + 5 * uy} L ${ex - 4 * uy} ${ey + 4 * ux} L ${ex + 4 * uy} ${ey - 4 * ux} Z`}
        fill={`var(--${colour})`}
      />
      <text
        x={ex + 9 * ux}
        y={ey + (Math.abs(ux) < 0.5 ? 16 * uy + 4 : 4)}
        textAnchor={anchor}
        fontSize="12.5"
        fill="var(--ink)"
      >
        {label}
      </text>
    </g>
  );
}

/** The aeroplane from behind and from above as it flies now, with the forces that hold one another, to scale. */
export function ControlDrawing() {
  const now = useEngineOut((state) => state.now);
  const trial = useEngineOut((state) => state.trial);
  const { document } = useAeroplane();
  const format = useFormat();
  if (!now || !document.asymmetric || !document.wing) return null;
  const { state } = now.ledger;
  const { side, yaw } = now.forces;
  const bank = degrees(state.bank_rad);
  const beta = degrees(state.beta_rad);
  const rudder = degrees(state.rudder_rad);
  const aileron = degrees(state.aileron_rad);
  const arm = Math.max((document.asymmetric.armY_m / document.wing.span_m) * 2 * HALF_SPAN, 26);
  const live = now.liveSide;
  const scale = LONGEST / Math.max(state.thrust_N, state.deadDrag_N, ...Object.values(side).map(Math.abs));
  const force = (newtons: number) => format("force", Math.abs(newtons));
  const jet = document.engines.kind === "jet";
  const feathered = trial.deadPropeller === "feathered";
  const words = (value: number, positive: string, negative: string) =>
    Math.abs(value) < 0.05 ? "none" : `${formatNumber(Math.abs(value), 1)}° ${value > 0 ? positive : negative}`;
  const summary = `Bank ${words(bank, "right", "left")}, sideslip ${words(beta, "from the right", "from the left")}, rudder ${words(rudder, "right", "left")}, aileron ${words(aileron, "right", "left")}, ball ${formatNumber(Math.abs(bank) / BALL_DEG, 1)} out ${bank > 0 ? "right" : "left"}.`;
  const moments = [
    { name: "engines", value: yaw.engines_Nm, colour: "brick" },
    { name: "rudder", value: yaw.rudder_Nm, colour: "harbour" },
    { name: "sideslip", value: yaw.sideslip_Nm, colour: "sage" },
    { name: "ailerons", value: yaw.aileron_Nm, colour: "wheat" },
  ];
  const most = Math.max(...moments.map(({ value }) => Math.abs(value)), 1);
  return (
    <figure className="min-h-0 px-3 pt-1">
      <svg
        viewBox="0 0 740 216"
        className="h-full w-full max-[1150px]:h-auto"
        role="img"
        aria-label={`Forces and controls. ${summary}`}
      >
        <g transform="translate(158 96)">
          <text x="-126" y="-82" fontSize="13" fill="var(--ink2)">
            from behind
          </text>
          <line x1="-126" x2="126" y1="0" y2="0" stroke="var(--rule)" strokeDasharray="6 5" />
          <g transform={`rotate(${bank})`}>
            <line
              x1={-HALF_SPAN}
              x2={HALF_SPAN}
              y1="-6"
              y2="-6"
              stroke="var(--ink)"
              strokeWidth="5"
              strokeLinecap="round"
            />
            {/* Ailerons at the tips, trailing edge up or down as they stand. */}
            <line
              x1={-HALF_SPAN + 4}
              x2={-HALF_SPAN + 40}
              y1={-6 + aileron * 0.7}
              y2={-6 + aileron * 0.7}
              stroke="var(--wheat)"
              strokeWidth="4"
            />
            <line
              x1={HALF_SPAN - 40}
              x2={HALF_SPAN - 4}
              y1={-6 - aileron * 0.7}
              y2={-6 - aileron * 0.7}
              stroke="var(--wheat)"
              strokeWidth="4"
            />
            <ellipse cx="0" cy="-2" rx="17" ry="20" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
            <line x1="0" x2="0" y1="-22" y2="-60" stroke="var(--ink)" strokeWidth="4" />
            <Nacelle x={live * arm} y={-2} live jet={jet} feathered={false} />
            <Nacelle x={-live * arm} y={-2} live={false} jet={jet} feathered={feathered} />
          </g>
          <Arrow
            x={0}
            y={-54}
            dx={side.rudder_N * scale}
            dy={0}
            colour="harbour"
            label={`rudder ${force(side.rudder_N)}`}
          />
          <Arrow
            x={0}
            y={22}
            dx={side.sideslip_N * scale}
            dy={0}
            colour="sage"
            label={`sideslip ${force(side.sideslip_N)}`}
          />
          <Arrow
            x={0}
            y={44}
            dx={side.weight_N * scale}
            dy={0}
            colour="ink2"
            label={`weight ${force(side.weight_N)}`}
          />
        </g>
        <g transform="translate(646 152)">
          <path d="M -52 -6 Q 0 12 52 -6 L 52 12 Q 0 30 -52 12 Z" fill="var(--paper)" stroke="var(--ink2)" />
          <line x1={-BALL / 2 - 2} x2={-BALL / 2 - 2} y1="1" y2="21" stroke="var(--ink)" strokeWidth="2" />
          <line x1={BALL / 2 + 2} x2={BALL / 2 + 2} y1="1" y2="21" stroke="var(--ink)" strokeWidth="2" />
          <circle
            cx={Math.max(Math.min((bank / BALL_DEG) * BALL, 42), -42)}
            cy={11 - Math.min(((bank / BALL_DEG) * BALL) ** 2, 42 ** 2) / 150}
            r={BALL / 2}
            fill="var(--ink)"
          />
          <text x="0" y="46" textAnchor="middle" fontSize="12.5" fill="var(--ink)">
            {Math.abs(bank) < 0.05
              ? "ball centred, wings level"
              : `ball ${formatNumber(Math.abs(bank) / BALL_DEG, 1)} ${bank > 0 ? "right" : "left"}, bank ${words(bank, "right", "left")}`}
          </text>
        </g>
        <g transform="translate(424 104)">
          <text x="-126" y="-90" fontSize="13" fill="var(--ink2)">
            from above
          </text>
          <line x1="0" x2="0" y1="-88" y2="96" stroke="var(--rule)" strokeDasharray="6 5" />
          <g transform={`rotate(${-beta})`}>
            <path
              d="M 0 -58 Q 10 -44 9 -10 L 6 62 L -6 62 L -9 -10 Q -10 -44 0 -58 Z"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <path
              d={`M ${-HALF_SPAN} 2 L -8 -10 L 8 -10 L ${HALF_SPAN} 2 L ${HALF_SPAN} 10 L 8 8 L -8 8 L ${-HALF_SPAN} 10 Z`}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="2"
            />
            <line x1="-34" x2="34" y1={TAIL - 4} y2={TAIL - 4} stroke="var(--ink)" strokeWidth="5" />
            <g transform={`translate(0 ${TAIL}) rotate(${-rudder})`}>
              <line x1="0" x2="0" y1="0" y2="26" stroke="var(--harbour)" strokeWidth="4" />
            </g>
            <rect x={live * arm - 8} y="-22" width="16" height="26" fill="var(--harbour)" stroke="var(--ink)" />
            <rect
              x={-live * arm - 8}
              y="-22"
              width="16"
              height="26"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeDasharray="3 2"
            />
            <Arrow
              x={live * arm}
              y={-22}
              dx={0}
              dy={-Math.min(state.thrust_N * scale, 62)}
              colour="harbour"
              label={`thrust ${force(state.thrust_N)}`}
            />
            <Arrow
              x={-live * arm}
              y={6}
              dx={0}
              dy={state.deadDrag_N * scale}
              colour="brick"
              label={`drag ${force(state.deadDrag_N)}`}
            />
            <Arrow
              x={0}
              y={TAIL + 6}
              dx={side.rudder_N * scale}
              dy={0}
              colour="harbour"
              label={`rudder ${words(rudder, "right", "left")}`}
            />
          </g>
          <text x="-126" y="-73" fontSize="12.5" fill="var(--ink)">
            {Math.abs(beta) < 0.05 ? "no sideslip" : `sideslip ${words(beta, "from right", "from left")}`}
          </text>
        </g>
        <g transform="translate(646 40)">
          {moments.map(({ name, value, colour }, i) => (
            <g key={name} transform={`translate(0 ${i * 16})`}>
              <rect
                x={value < 0 ? (value / most) * 88 : 0}
                y="0"
                width={Math.max((Math.abs(value) / most) * 88, 1)}
                height="11"
                fill={`var(--${colour})`}
                stroke="var(--ink)"
                strokeWidth="0.7"
              />
              <text
                x={value < 0 ? 6 : -6}
                y="10"
                textAnchor={value < 0 ? "start" : "end"}
                fontSize="12.5"
                fill="var(--ink)"
              >
                {name}
              </text>
            </g>
          ))}
          <line x1="0" x2="0" y1="-4" y2="64" stroke="var(--ink)" strokeWidth="1.5" />
          <text x="-8" y="-12" textAnchor="end" fontSize="12.5" fill="var(--ink2)">
            nose left
          </text>
          <text x="8" y="-12" fontSize="12.5" fill="var(--ink2)">
            nose right
          </text>
        </g>
      </svg>
    </figure>
  );
}

/** An engine from behind: its propeller turns, stands, or is edge on. */
function Nacelle({
  x,
  y,
  live,
  jet,
  feathered,
}: {
  x: number;
  y: number;
  live: boolean;
  jet: boolean;
  feathered: boolean;
}) {
  return (
    <g>
      {!jet && live && (
        <circle cx={x} cy={y} r="22" fill="none" stroke="var(--harbour)" strokeWidth="1.5" strokeDasharray="10 4" />
      )}
      {!jet && !live && (
        <line
          x1={x}
          x2={x}
          y1={y - (feathered ? 22 : 20)}
          y2={y + (feathered ? 22 : 20)}
          stroke="var(--ink)"
          strokeWidth={feathered ? 1.5 : 4}
        />
      )}
      <circle
        cx={x}
        cy={y}
        r="9"
        fill={live ? "var(--harbour)" : "var(--sheet)"}
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeDasharray={live ? undefined : "3 2"}
      />
    </g>
  );
}
