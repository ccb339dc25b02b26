"use client";
import { useMemo, useState } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { StoredAircraft } from "@/server/aircraft";
import { ConflictDialog } from "@/ui/kit/dialogs/ConflictDialog";
import { differences } from "@/ui/kit/differences";
import { useFormat } from "@/ui/kit/units/units-store";
import { useAircraftConflict } from "@/ui/library/aircraft-conflict";
import { draftSaved, useDrafts } from "@/ui/library/aircraft-drafts";
import { noteAircraft } from "@/ui/library/library-aircraft";
import { useAircraftActions } from "./useAircraftActions";

/** Shown when an aircraft was saved elsewhere while it was changed here. */
export function AircraftConflict() {
  const { conflict } = useAircraftConflict();
  return conflict && <Choice {...conflict} />;
}

const done = () => useAircraftConflict.setState({ conflict: null });

function Choice({ mine, theirs }: { mine: AircraftDocument; theirs: StoredAircraft }) {
  const actions = useAircraftActions();
  const format = useFormat();
  const [busy, setBusy] = useState(false);
  const differing = useMemo(() => differences(mine, theirs.document, format), [mine, theirs, format]);
  const takeTheirs = () => {
    noteAircraft([theirs]);
    useDrafts.getState().drop(theirs.id);
    done();
  };
  return (
    <ConflictDialog
      name={mine.name}
      differences={differing}
      busy={busy}
      onMine={() => {
        done();
        void actions.save(theirs.id, false, mine, theirs.version).then((saved) => {
          // A change of the cause check is no draft, and leaves one alone.
          if (saved && useDrafts.getState().drafts[theirs.id] === mine)
            draftSaved(theirs.id, mine, saved.id, saved.version);
        });
      }}
      onTheirs={takeTheirs}
      onBoth={() => {
        setBusy(true);
        void actions.copy(mine).then((copied) => (copied ? takeTheirs() : setBusy(false)));
      }}
      onLater={done}
    />
  );
}
