"use client";
import { createPortal } from "react-dom";
import { formatWind } from "@/ui/situation/wind-words";
import { useAircraft } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat, useUnits } from "@/ui/units/units-store";
import { formatMargin } from "./margin";
import { shownEnd, useReach } from "./reach-store";
import { useAirspeed } from "./useAirspeed";
import { firstMove, wayInWords } from "./way";

/** The kneeboard card: A5, black only; seen on paper alone. */
export function LandingCard() {
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const situation = useSituation((state) => state.current);
  const units = useUnits((state) => state.units);
  const { document } = useAircraft();
  const format = useFormat();
  const airspeed = useAirspeed();
  const end = shownEnd({ answer, pinnedId });
  if (!end?.path || !answer?.reach) return null;
  const { surface } = situation.wind;
  return createPortal(
    <article className="print-card" aria-hidden="true">
      <h1>
        {end.name}: {firstMove(end)}
      </h1>
      <p>
        {document.name}, {format("mass", situation.mass_kg)}, from {format("height", situation.altitude_m)}; wind {surface ? formatWind(surface, units) : "calm"}; QNH {format("pressure", situation.air.qnh_Pa)}
      </p>
      <p className="print-large">
        Glide {end.glide && airspeed(end.glideCalibrated_mps ?? end.glide.eas_mps)} · turns {airspeed(answer.reach.turn.eas_mps)} · stall in the turn {airspeed(answer.reach.turn.stallEas_mps)}
      </p>
      <table>
        <tbody>
          <tr>
            <th>You have over the aim point</th>
            <td>{format("height", end.path.have_m)}</td>
            <td />
          </tr>
          {end.path.ledger.map((entry) => (
            <tr key={entry.name}>
              <th>{entry.name}</th>
              <td>{format("height", entry.height_m)}</td>
              <td>{entry.time_s > 0 && `${Math.round(entry.time_s)} s`}</td>
            </tr>
          ))}
          <tr className="print-large">
            <th>{end.path.margin_m >= 0 ? "Margin" : "Short"}</th>
            <td>{formatMargin(end.path.margin_m, format)}</td>
            <td />
          </tr>
        </tbody>
      </table>
      <h2>Others</h2>
      <table>
        <tbody>
          {answer.reach.ends
            .filter((other) => other.endId !== end.endId && other.path)
            .slice(0, 6)
            .map((other) => (
              <tr key={other.endId}>
                <th>{other.name}</th>
                <td>{other.path && formatMargin(other.path.margin_m, format)}</td>
                <td>{wayInWords(other)}</td>
              </tr>
            ))}
        </tbody>
      </table>
      <p>Estimate for planning and practice. The approved flight manual, local rules and a qualified instructor come first.</p>
    </article>,
    globalThis.document.body,
  );
}
