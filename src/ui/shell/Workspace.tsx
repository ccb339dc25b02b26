"use client";
import dynamic from "next/dynamic";
import { type ReactNode, useEffect, useRef } from "react";
import { Toaster } from "sonner";
import { Tooltip } from "radix-ui";
import type { Preferences } from "@/server/accounts";
import type { StoredSituation } from "@/server/situations";
import { draftOf } from "@/ui/situation/draft";
import { useSituation } from "@/ui/situation/situation-store";
import { STAGES } from "@/ui/stages";
import { useSituationTerrain } from "@/ui/situation/useSituationTerrain";
import { useSaving } from "@/ui/situation/useSaving";
import { useUnits } from "@/ui/kit/units/units-store";
import { keepDrafts } from "@/ui/library/aircraft-drafts";
import { SituationStrip } from "./SituationStrip";
import { SkipLink } from "./SkipLink";
import { useUnreadableNotice } from "./UnreadableRows";
import { Spine } from "./Spine";
import { StatusBar } from "./StatusBar";
import { type WorkspaceData, WorkspaceProvider } from "@/ui/library/workspace";
import { ShellKeys } from "./ShellKeys";
import { adoptPreferences } from "@/ui/library/preferences";
import { SharedSituation } from "@/ui/situation/SharedSituation";

const Dialogs = dynamic(() => import("./Dialogs").then((module) => module.Dialogs), { ssr: false });

/** The frame around every stage: spine, situation strip, stage, status. */
export function Workspace({ children, ...data }: WorkspaceData & { children: ReactNode }) {
  return (
    <WorkspaceProvider value={data}>
      <OpenFirst situations={data.situations} preferences={data.account.preferences}>
        <Frame>{children}</Frame>
      </OpenFirst>
    </WorkspaceProvider>
  );
}

/** Opens the situation worked on last in this browser, or the account's latest, before anything reads the store. */
function OpenFirst({
  situations,
  preferences,
  children,
}: {
  situations: readonly StoredSituation[];
  preferences: Preferences;
  children: ReactNode;
}) {
  const ready = useSituation((state) => state.id !== "");
  const firstPreferences = useRef(preferences);
  useEffect(() => {
    void useUnits.persist.rehydrate();
    adoptPreferences(firstPreferences.current);
  }, []);
  useEffect(() => {
    const last = localStorage.getItem("utrimax:situation");
    const first = situations.find((situation) => situation.id === last) ?? situations[0];
    const { open, id } = useSituation.getState();
    if (!situations.some((situation) => situation.id === id)) open(first.id, first.document, draftOf(first.id));
  }, [situations]);
  return ready ? children : <p className="p-8 text-ink2">Opening …</p>;
}

function Frame({ children }: { children: ReactNode }) {
  useSaving();
  useSituationTerrain();
  useUnreadableNotice();
  useEffect(keepDrafts, []);
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
      {STAGES.map((stage) => stage.useAnswer && <KeptAnswer key={stage.slug} useAnswer={stage.useAnswer} />)}
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

/** Keeps a stage's answer up to date while another is open. */
function KeptAnswer({ useAnswer }: { useAnswer: () => void }) {
  useAnswer();
  return null;
}
