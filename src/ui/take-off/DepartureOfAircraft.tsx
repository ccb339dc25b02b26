"use client";
import { DepartureStage } from "@/ui/departure/DepartureStage";
import { TakeOffStage } from "./TakeOffStage";
import { useHasTwoEngines } from "./useTakeOffAnswer";

/** The Departure stage of the situation's aircraft: turning back for singles; stop, land or go with two engines. */
export function DepartureOfAircraft() {
  return useHasTwoEngines() ? <TakeOffStage /> : <DepartureStage />;
}
