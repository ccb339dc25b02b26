"use client";
import { AircraftConflict } from "@/ui/situation/AircraftConflict";
import { SituationConflict } from "@/ui/situation/SituationConflict";
import { HomeDialog } from "@/ui/situation/HomeDialog";
import { SituationsDialog } from "@/ui/situation/SituationsDialog";
import { AccountDialog } from "./AccountDialog";
import { BackgroundDialog } from "./BackgroundDialog";
import { CommandPalette } from "./CommandPalette";
import { KeyList } from "./KeyList";
import { UnitsDialog } from "./UnitsDialog";
import { WorkingPanel } from "./WorkingPanel";

/** Everything that opens over a stage. None of it is in the first view, so it comes after it. */
export function Dialogs() {
  return (
    <>
      <WorkingPanel />
      <CommandPalette />
      <KeyList />
      <SituationsDialog />
      <UnitsDialog />
      <BackgroundDialog />
      <AccountDialog />
      <HomeDialog />
      <SituationConflict />
      <AircraftConflict />
    </>
  );
}
