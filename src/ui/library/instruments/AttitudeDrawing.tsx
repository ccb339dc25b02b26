const DEG = 180 / Math.PI;
const [W, H] = [150, 118];
/** Pixels a degree. */
const PER_DEG = 2.2;

interface Props {
  bank_rad: number;
  pitch_rad: number;
  /** What the second angle is: of the nose, or of the path where a log has no attitude. */
  pitchName?: "nose" | "path";
  /** Bank that is not gone beyond. */
  limit_rad: number;
}

/** The aeroplane drawn from behind before its horizon: it banks, the paper stays level. */
export function AttitudeDrawing({ bank_rad, pitch_rad, pitchName = "nose", limit_rad }: Props) {
  const bank = bank_rad * DEG;
  const nose = -pitch_rad * DEG * PER_DEG;
  const arc = (deg: number, r: number) => {
    const a = ((deg - 90) * Math.PI) / 180;
    return `${(W / 2 + r * Math.cos(a)).toFixed(1)},${(H / 2 + r * Math.sin(a)).toFixed(1)}`;
  };
  const limit = limit_rad * DEG;
  return (
    <figure className="m-0">
      <figcaption className="flex justify-between text-[13px] leading-4">
        <span className="text-ink2">
          bank{" "}
          <strong className="num text-ink">
            {Math.abs(Math.round(bank))}°{Math.abs(bank) < 0.5 ? "" : bank < 0 ? " left" : " right"}
          </strong>
        </span>
        <span className="text-ink2">
          {pitchName}{" "}
          <strong className="num text-ink">{`${pitch_rad < -0.004 ? "−" : pitch_rad > 0.004 ? "+" : ""}${Math.abs(Math.round(pitch_rad * DEG))}°`}</strong>
        </span>
      </figcaption>
      <svg viewBox={`0 0 ${W} ${H}`} className="block w-full border border-ink2 bg-sheet" aria-hidden="true">
        {[-20, -10, 10, 20].map((deg) => (
          <line
            key={deg}
            x1={46}
            x2={W - 46}
            y1={H / 2 - deg * PER_DEG}
            y2={H / 2 - deg * PER_DEG}
            stroke="var(--rule)"
          />
        ))}
        <rect x={0} y={H / 2} width={W} height={H / 2} fill="var(--mark)" />
        <line x1={0} x2={W} y1={H / 2} y2={H / 2} stroke="var(--ink)" strokeWidth={1.5} />
        {[-1, 1].map((side) => (
          <polyline
            key={side}
            points={[limit, limit + 8, limit + 16].map((deg) => arc(side * deg, 52)).join(" ")}
            fill="none"
            stroke="var(--brick)"
            strokeWidth={3}
          />
        ))}
        <g
          transform={`translate(${W / 2} ${H / 2 + Math.max(-50, Math.min(50, nose))}) rotate(${bank})`}
          stroke="var(--ink)"
          strokeWidth={2.4}
          fill="none"
        >
          <line x1={-44} x2={-9} y1={2} y2={0} />
          <line x1={9} x2={44} y1={0} y2={2} />
          <circle r={8} fill="var(--sheet)" />
          <line x1={0} x2={0} y1={-8} y2={-20} />
          <line x1={-9} x2={9} y1={-20} y2={-20} />
          <circle r={1.8} fill="var(--ink)" stroke="none" />
        </g>
      </svg>
    </figure>
  );
}

interface BallProps {
  ball: number;
  beta_rad: number;
  /** The one engine of two that pulls: −1 left, 1 right; 0 where there is no such side. */
  live: -1 | 0 | 1;
  /** On its wheels the ball tells nothing of the air. */
  stands?: boolean;
}

/** Half a ball, give or take. */
const [HALF_FROM, HALF_TO] = [0.3, 0.9];

/** What to do about the ball: on one engine half of it to the live side is where it flies without a slip. */
function BallWords({ ball, live }: Pick<BallProps, "ball" | "live">) {
  const toLive = ball * live;
  if (toLive > HALF_FROM && toLive < HALF_TO) return <span className="text-ink2">half a ball to the live side</span>;
  if (live !== 0 && Math.abs(ball) <= HALF_FROM)
    return <strong>bank 3° {live < 0 ? "left" : "right"}: half a ball</strong>;
  const side = ball > 0.15 ? "right" : ball < -0.15 ? "left" : null;
  return side ? (
    <strong>{`${Math.min(2, Math.abs(ball)).toFixed(1)} ball ${side}: ${side} foot`}</strong>
  ) : (
    <span className="text-ink2">ball in the middle</span>
  );
}

/** The yaw string, where the air blows it. */
function Thread({ x, beta_rad }: { x: number; beta_rad: number }) {
  const lean = Math.max(-50, Math.min(50, -beta_rad * DEG * 3));
  return (
    <>
      <g transform={`translate(${x} 3) rotate(${lean})`}>
        <line x1={0} x2={0} y1={0} y2={28} stroke="var(--brick)" strokeWidth={3} strokeLinecap="round" />
      </g>
      <line x1={x} x2={x} y1={0} y2={6} stroke="var(--ink)" strokeWidth={2} />
    </>
  );
}

/** Air less than this from the side comes from ahead, rad. */
const AHEAD_RAD = 0.05;

/**
 * The yaw string alone, of a rotorcraft: leaning against its tail rotor it flies straight with the ball out.
 *
 * @param beta_rad - the air from the side, from the right positive; null where it is too slow to be told
 */
export function YawString({ beta_rad }: { beta_rad: number | null }) {
  return (
    <figure className="m-0">
      <svg viewBox="0 0 150 34" className="block w-full" aria-hidden="true">
        {beta_rad !== null && <Thread x={75} beta_rad={beta_rad} />}
      </svg>
      <figcaption className="text-[13px]">
        {beta_rad === null ? (
          <span className="text-ink2">near a hover: no string</span>
        ) : Math.abs(beta_rad) < AHEAD_RAD ? (
          <span className="text-ink2">air from ahead</span>
        ) : (
          <strong>{`${Math.round(Math.abs(beta_rad) * DEG)}° from the ${beta_rad > 0 ? "right" : "left"}: ${beta_rad > 0 ? "right" : "left"} foot`}</strong>
        )}
      </figcaption>
    </figure>
  );
}

/** The ball in its glass and the yaw string. */
export function BallAndString({ ball, beta_rad, live, stands = false }: BallProps) {
  return (
    <figure className="m-0">
      <svg viewBox="0 0 150 34" className="block w-full" aria-hidden="true">
        <path d="M4 8 Q 50 26 96 8 L 96 20 Q 50 38 4 20 Z" fill="var(--sheet)" stroke="var(--ink2)" />
        <line x1={42} x2={42} y1={14} y2={30} stroke="var(--ink2)" />
        <line x1={58} x2={58} y1={14} y2={30} stroke="var(--ink2)" />
        <circle
          cx={50 + Math.max(-2, Math.min(2, ball)) * 18}
          cy={22.5 - Math.min(2, Math.abs(ball)) ** 2 * 2.3}
          r={6.5}
          fill="var(--ink)"
        />
        <Thread x={124} beta_rad={beta_rad} />
      </svg>
      <figcaption className="text-[13px]">
        {stands ? <span className="text-ink2">on its wheels</span> : <BallWords ball={ball} live={live} />}
      </figcaption>
    </figure>
  );
}
