"use client";
import { createContext, useContext, useMemo } from "react";
import { type LandingEnd, landingEnds } from "@/core/landing/landing-end";
import type { Account } from "@/server/accounts";
import type { StoredAircraft } from "@/server/aircraft";
import type { Library } from "@/server/library";
import type { StoredSituation } from "@/server/situations";
import { useSituation } from "@/ui/situation/situation-store";

/** What the server gave the page to work with. */
export interface WorkspaceData {
  readonly account: Pick<Account, "kind" | "email" | "preferences">;
  readonly library: Library;
  readonly situations: readonly StoredSituation[];
}

const Context = createContext<WorkspaceData | null>(null);

/** Gives the workspace to everything below. */
export const WorkspaceProvider = Context.Provider;

/** The workspace's data. */
export function useWorkspace(): WorkspaceData {
  const data = useContext(Context);
  if (!data) throw new Error("useWorkspace: expected a workspace above, got none");
  return data;
}

/** The aircraft that the situation names. One that has gone from the library is replaced by the library's first. */
export function useAircraft(): StoredAircraft {
  const { aircraft } = useWorkspace().library;
  const id = useSituation((state) => state.current.aircraftId);
  return aircraft.find((candidate) => candidate.id === id) ?? aircraft[0];
}

/** Every end that can be landed on. */
export function useLandingEnds(): LandingEnd[] {
  const { aerodromes, sites } = useWorkspace().library;
  return useMemo(() => landingEnds(aerodromes, sites), [aerodromes, sites]);
}
