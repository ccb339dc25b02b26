"use client";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { keepFor } from "@/ui/kit/kept";
import { hearTabs } from "@/ui/kit/tabs";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { Toaster } from "sonner";
import { Tooltip } from "radix-ui";
import type { Library } from "@/server/library";
import type { StoredSituation } from "@/server/situations";
import { draftOf } from "@/ui/situation/draft";
import { useSituation } from "@/ui/situation/situation-store";
import { useSituationTerrain } from "@/ui/situation/useSituationTerrain";
import { useSaving } from "@/ui/situation/useSaving";
import { useUnits } from "@/ui/kit/units/units-store";
import { usePlaceSaving } from "@/ui/library/usePlaceSaving";
import { SituationStrip } from "./SituationStrip";
import { SkipLink } from "./SkipLink";
import { useUnreadableNotice } from "./useUnreadableNotice";
import { Spine } from "./Spine";
import { StatusBar } from "./StatusBar";
import { type WorkspaceData, WorkspaceProvider } from "@/ui/library/workspace";
import { useFaces } from "./useFaces";
import { useOffline } from "./useOffline";
import { ShellKeys } from "./ShellKeys";
import { adoptPreferences } from "@/ui/library/preferences";

/** A link with a situation in it is rare: what opens it comes after the first view. */
const SharedSituation = dynamic(
  () => import("@/ui/situation/SharedSituation").then((module) => module.SharedSituation),
  { ssr: false },
);
const Dialogs = dynamic(() => import("./Dialogs").then((module) => module.Dialogs), { ssr: false });

/**
 * The frame around every stage: spine, situation strip, stage, status.
 *
 * @param libraryText - the library as JSON: to hand on a text costs the server a tenth of handing on what it says, and
 *   one that is as it was leaves everything below as it was
 */
export function Workspace({
  children,
  libraryText,
  ...rest
}: Omit<WorkspaceData, "library"> & { libraryText: string; children: ReactNode }) {
  const library = useMemo<Library>(() => JSON.parse(libraryText), [libraryText]);
  const data = { ...rest, library };
  return (
    <WorkspaceProvider value={data}>
      <OpenFirst first={data.first} account={data.account}>
        <Frame>{children}</Frame>
      </OpenFirst>
    </WorkspaceProvider>
  );
}

/** Opens the situation worked on last in this browser, or the account's latest, before anything reads the store. */
function OpenFirst({
  first,
  account,
  children,
}: {
  first: StoredSituation;
  account: WorkspaceData["account"];
  children: ReactNode;
}) {
  // Before anything below reads what is kept.
  useState(() => keepFor(account.id));
  const ready = useSituation((state) => state.id !== "");
  const atFirst = useRef({ first, preferences: account.preferences });
  useEffect(() => {
    void useUnits.persist.rehydrate();
    adoptPreferences(atFirst.current.preferences);
  }, []);
  useEffect(() => {
    const { open, id } = useSituation.getState();
    const situation = atFirst.current.first;
    // A page that comes back to the stages finds its situation still open.
    if (id !== situation.id) open(situation, draftOf(situation.id));
  }, [account.id]);
  return ready ? children : <p className="p-8 text-ink2">Opening …</p>;
}

function Frame({ children }: { children: ReactNode }) {
  useSaving();
  useSituationTerrain();
  usePlaceSaving();
  useUnreadableNotice();
  useOtherTabs();
  useOffline();
  useDraftsKept();
  const { kind, stages, beside } = useFaces();
  return (
    <Tooltip.Provider delayDuration={400}>
      <div className="grid h-full grid-cols-[196px_minmax(0,1fr)] max-[1150px]:grid-cols-[164px_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_auto] no-print">
        <SkipLink />
        <Spine />
        <SituationStrip />
        <main
          className="col-start-2 row-start-2 min-h-0 overflow-auto border-l border-rule outline-none"
          id="stage"
          tabIndex={-1}
        >
          {children}
        </main>
        <StatusBar />
      </div>
      {[...stages, ...beside].map(
        ({ slug, useAnswer }) => useAnswer && <KeptAnswer key={`${slug} ${kind}`} useAnswer={useAnswer} />,
      )}
      <ShellKeys />
      <SharedSituation />
      <Dialogs />
      <Toaster
        position="bottom-center"
        toastOptions={{ className: "panel !bg-sheet !text-ink !font-sans !text-[15px]", duration: 8000 }}
      />
    </Tooltip.Provider>
  );
}

/** Drafts of aircraft as they were left, and kept from then on; what reads them comes after the first view. */
function useDraftsKept(): void {
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("@/ui/library/kept-drafts").then(({ keepDrafts }) => {
      if (!gone) stop = keepDrafts();
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
}

/** What another tab adds or deletes is in the lists here too. */
function useOtherTabs(): void {
  const router = useRouter();
  useEffect(() => hearTabs(({ kind }) => kind === "changed" && router.refresh()), [router]);
}

/** Keeps a stage's answer up to date while another is open. */
function KeptAnswer({ useAnswer }: { useAnswer: () => void }) {
  useAnswer();
  return null;
}
