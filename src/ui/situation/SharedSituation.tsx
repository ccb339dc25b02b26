"use client";
import { useEffect } from "react";
import { toast } from "sonner";
import { firstConfiguration } from "@/core/aircraft/configuration";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { situationOfLink } from "./shared-link";
import { useSituation } from "./situation-store";

/** Applies what a shared address carries, as a change that can be undone, and cleans the address. */
export function SharedSituation() {
  const aircraft = useLibraryAircraft();
  useEffect(() => {
    const { current, change } = useSituation.getState();
    const shared = situationOfLink(location.search, current);
    if (!shared) return;
    history.replaceState(history.state, "", location.pathname);
    if ("fault" in shared) {
      toast(shared.fault);
      return;
    }
    const next = aircraft.find((candidate) => candidate.id === shared.change.aircraftId)?.document;
    if (!next) {
      toast("The link names an aircraft that is not in your library; it was not used.");
      return;
    }
    change({
      ...shared.change,
      ...(shared.change.aircraftId === current.aircraftId ? {} : { configuration: firstConfiguration(next) }),
    });
    toast("The link’s aircraft, place, wind and air are in use. Undo brings yours back.");
  }, [aircraft]);
  return null;
}
