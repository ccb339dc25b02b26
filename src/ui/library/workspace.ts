"use client";
import { createContext, useContext } from "react";
import type { Account } from "@/server/accounts";
import type { Library } from "@/server/library";
import type { Page } from "@/server/page";
import type { ListedSituation, StoredSituation } from "@/server/situations";

/** What the server gave the page to work with. */
export interface WorkspaceData {
  readonly account: Pick<Account, "id" | "kind" | "email" | "preferences">;
  readonly library: Library;
  /** Those saved last, by name. */
  readonly situations: Page<ListedSituation>;
  /** The one to open. */
  readonly first: StoredSituation;
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
