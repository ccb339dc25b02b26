import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import type { FlightView, RotorView } from "@/core/simulation/flight-view";
import { AsideFigures } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { timesWords } from "../times-words";

interface Props {
  view: FlightView;
  /** Track so far, north and east in turn, m. */
  path: readonly number[];
  /** A drill stands below: what is not needed for it is left out. */
  brief: boolean;
}

/** Flatter than this is level flight. */
const FLATTEST = 99;

function ratioWords(ratio: number | null): string {
  if (ratio === null) return "–";
  return ratio > FLATTEST ? `over 1 : ${FLATTEST}` : `1 : ${formatNumber(ratio, 1)}`;
}

/** A flight in figures. */
export function FlightFigures({ view, path, brief }: Props) {
  const format = useFormat();
  const failed = view.failed.at(0);
  const ratio = view.climb_mps < -0.3 ? view.groundSpeed_mps / -view.climb_mps : null;
  return (
    <AsideFigures>
      <dt>Since it began</dt>
      <dd className="num">{formatClock(view.time_s)}</dd>
      {failed && (
        <>
          <dt>Since it failed</dt>
          <dd className="num">{formatClock(view.time_s - failed.since_s)}</dd>
        </>
      )}
      <dt>Above the ground</dt>
      <dd className="num">{format("height", view.height_m, "down")}</dd>
      {!brief && (
        <>
          <dt>Over the ground</dt>
          <dd className="num">{format("speed", view.groundSpeed_mps)}</dd>
          <dt>Glides over the ground</dt>
          <dd className="num">{ratioWords(ratio)}</dd>
        </>
      )}
      {view.rotor ? (
        <RotorFigures rotor={view.rotor} />
      ) : (
        <>
          <dt>Over the stall</dt>
          <dd className="num">{view.onGround ? "–" : formatNumber(view.ias_mps / view.stall_mps, 2)}</dd>
        </>
      )}
      {!brief && (
        <>
          <dt>Load</dt>
          <dd className="num">{formatNumber(view.loadFactor, 1)} g</dd>
          <dt>Way so far</dt>
          <dd className="num">{format("distance", pathLength_m(path))}</dd>
        </>
      )}
      {view.backs > 0 && (
        <>
          <dt>Gone back</dt>
          <dd className="num">{timesWords(view.backs)}</dd>
        </>
      )}
    </AsideFigures>
  );
}

/** The rotor, and the clock of the rating that one engine is at. */
function RotorFigures({ rotor: { nr, carries, clock } }: { rotor: RotorView }) {
  const use = clock && clock.band !== null ? (clock.bands.at(clock.band) ?? null) : null;
  return (
    <>
      <dt>Rotor</dt>
      <dd className="num">{formatNumber(nr * 100, 1)} %</dd>
      {clock === null ? (
        <>
          <dt>Rotor carries</dt>
          <dd className="num">{formatNumber(carries, 2)} of the weight</dd>
        </>
      ) : (
        <>
          <dt>One engine at</dt>
          <dd className="num">
            {clock.band === -1 ? "above all ratings" : (use?.name ?? "–")}
            {use && use.left_s !== null && `, ${formatNumber(use.left_s)} s left`}
          </dd>
        </>
      )}
    </>
  );
}

function pathLength_m(path: readonly number[]): number {
  let sum = 0;
  for (let i = 2; i + 1 < path.length; i += 2) sum += Math.hypot(path[i] - path[i - 2], path[i + 1] - path[i - 1]);
  return sum;
}
