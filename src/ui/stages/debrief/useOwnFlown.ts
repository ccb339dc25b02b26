"use client";
import { useEffect, useState } from "react";
import type { ListedFlight } from "@/server/flights";
import type { ListedLog } from "@/server/logs";
import type { ListedRun } from "@/server/runs";
import { send } from "@/ui/kit/request";
import { loadLogs, useLogs } from "./logs-store";

/** Most of each that a choice offers: the latest. */
const MOST = 60;

/** Drills, flights by hand and logs of the account, the latest first; empty until they have come. */
export function useOwnFlown(): {
  readonly runs: readonly ListedRun[];
  readonly flights: readonly ListedFlight[];
  readonly logs: readonly ListedLog[];
} {
  const logs = useLogs((state) => state.logs);
  const [runs, setRuns] = useState<readonly ListedRun[]>([]);
  const [flights, setFlights] = useState<readonly ListedFlight[]>([]);
  useEffect(() => {
    if (useLogs.getState().logs === null) void loadLogs();
    void send<{ runs: ListedRun[] }>("GET", "/api/runs").then((answer) => answer.ok && setRuns(answer.value.runs));
    void send<{ flights: ListedFlight[] }>("GET", "/api/flights").then(
      (answer) => answer.ok && setFlights(answer.value.flights),
    );
  }, []);
  return { runs: runs.slice(0, MOST), flights: flights.slice(0, MOST), logs: (logs ?? []).slice(0, MOST) };
}

/** A drill and a flight by hand, by their days. */
export const runWords = ({ beganAt, procedure }: ListedRun): string => `${beganAt.slice(0, 10)} ${procedure}`;
/** @see runWords */
export const flightWords = ({ flownAt, words }: ListedFlight): string => `${flownAt.slice(0, 10)} ${words}`;
