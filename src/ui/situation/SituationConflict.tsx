"use client";
import { useMemo, useState } from "react";
import { ConflictDialog } from "@/ui/kit/dialogs/ConflictDialog";
import { differences } from "@/ui/kit/differences";
import { useFormat } from "@/ui/kit/units/units-store";
import { keepDraft } from "./draft";
import { type Opened, useSituation } from "./situation-store";
import { saveSituation } from "./useSaving";
import { useSituationActions } from "./useSituationActions";

/** Shown when the open situation was saved elsewhere while it was worked on here. */
export function SituationConflict() {
  const meanwhile = useSituation((state) => state.meanwhile);
  return meanwhile && <Choice theirs={meanwhile} />;
}

function Choice({ theirs }: { theirs: Opened }) {
  const { id, current, setMeanwhile, markSaved, open } = useSituation();
  const actions = useSituationActions();
  const format = useFormat();
  const [busy, setBusy] = useState(false);
  const differing = useMemo(() => differences(current, theirs.document, format), [current, theirs, format]);
  return (
    <ConflictDialog
      name={current.name}
      differences={differing}
      busy={busy}
      onMine={() => {
        // Saved over what is there now, and told again should that have changed once more.
        markSaved(theirs.document, theirs.version);
        void saveSituation();
      }}
      onTheirs={() => {
        keepDraft(id, null);
        open(theirs);
      }}
      onBoth={() => {
        setBusy(true);
        // The copy is opened, which ends this choice; the draft of the other has become the copy.
        void actions.copy().then((copied) => (copied ? keepDraft(id, null) : setBusy(false)));
      }}
      onLater={() => setMeanwhile(null)}
    />
  );
}
