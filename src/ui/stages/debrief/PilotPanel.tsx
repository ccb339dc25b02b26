"use client";
import { useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import { type OwnFigure, ownFiguresOf, pilotFigures } from "@/core/debrief/pilot-figures";
import { degrees } from "@/core/quantities/angle";
import { formatNumber } from "@/core/quantities/units";
import { Pilot } from "@/core/situation/situation-document";
import type { ListedFlight } from "@/server/flights";
import { send } from "@/ui/kit/request";
import { type Format, useFormat } from "@/ui/kit/units/units-store";
import { useSituation } from "@/ui/situation/situation-store";
import { dayWords } from "./debrief-words";
import { useLogs } from "./logs-store";

const seconds = ({ mean, spread, count }: OwnFigure) =>
  `${formatNumber(mean, 1)} s${count > 1 ? ` ±${formatNumber(spread, 1)}` : ""}`;
const bank = ({ mean, spread, count }: OwnFigure) =>
  `${formatNumber(degrees(mean))}°${count > 1 ? ` ±${formatNumber(degrees(spread))}` : ""}`;

const around = (format: Format, kind: "speed" | "length", { mean, spread, count }: OwnFigure) => {
  const mid = `${mean < 0 ? "−" : ""}${format(kind, Math.abs(mean))}`;
  return count > 1 ? `${mid} ±${format(kind, spread, "up")} from ${count}` : mid;
};

/** The pilot's own reaction and bank, of logs and of the simulator; the situation plans with them when told to. */
export function PilotPanel() {
  const logs = useLogs((state) => state.logs);
  const [flights, setFlights] = useState<readonly ListedFlight[]>([]);
  useEffect(() => {
    let here = true;
    void send<{ flights: ListedFlight[] }>("GET", "/api/flights").then((answer) => {
      if (here && answer.ok) setFlights(answer.value.flights);
    });
    return () => {
      here = false;
    };
  }, []);
  const own = useMemo(
    () =>
      pilotFigures(
        logs?.flatMap(({ summary }) => summary.hands.map((hand) => ({ ...hand, at_s: summary.begins_s }))) ?? [],
        flights.map(({ result, flownAt }) => ({ ...result, at_s: Date.parse(flownAt) / 1000 })),
      ),
    [logs, flights],
  );
  const current = useSituation((state) => state.current.pilot);
  const format = useFormat();
  if (!own) return null;
  const planned = Pilot.safeParse({
    ...current,
    ...(own.reaction_s ? { reaction_s: own.reaction_s.mean } : {}),
    ...(own.bank_rad ? { bank_rad: own.bank_rad.mean } : {}),
    own: ownFiguresOf(own),
  });
  const figures = [own.reaction_s && seconds(own.reaction_s), own.bank_rad && bank(own.bank_rad)].filter(Boolean);
  const from = [
    own.flown > 0 ? `${own.flown} flown` : "",
    own.simulated > 0 ? `${own.simulated} simulated` : "",
  ].filter(Boolean);
  return (
    <section className="border-t border-rule px-4 py-2" aria-label="Your own figures">
      <h2 className="text-[14px] font-bold">Your own: {figures.join(" · ")}</h2>
      <p className="pb-1.5 text-[13px] text-ink2">
        Until you act, and the bank of your turns: from {from.join(" and ")}, each counted alike
        {own.last_s === null ? "" : `, the last on ${dayWords(own.last_s)}`}.
      </p>
      {(own.speed_mps || own.spot_m) && (
        <dl className="grid grid-cols-[1fr_auto] pb-1.5 text-[13px]">
          {own.speed_mps && (
            <>
              <dt className="text-ink2">Speed beside the one to hold</dt>
              <dd className="num">{around(format, "speed", own.speed_mps)}</dd>
            </>
          )}
          {own.spot_m && (
            <>
              <dt className="text-ink2">Touched past the threshold</dt>
              <dd className="num">{around(format, "length", own.spot_m)}</dd>
            </>
          )}
        </dl>
      )}
      {planned.success && (
        <button
          type="button"
          className="btn"
          onClick={() => {
            useSituation.getState().change({ pilot: planned.data });
            toast("The situation plans with your own figures. Undo (Ctrl Z) brings back what it had.");
          }}
        >
          Plan with them
        </button>
      )}
    </section>
  );
}
