"use client";
import { DepartureStage } from "./DepartureStage";
import { TakeOffStage } from "@/ui/stages/departure/take-off/TakeOffStage";
import { useHasTwoEngines } from "@/ui/answers/useTakeOffAnswer";

/** The Departure stage of the situation's aircraft: turning back for singles; stop, land or go with two engines. */
export function DepartureOfAircraft() {
  return useHasTwoEngines() ? <TakeOffStage /> : <DepartureStage />;
}
