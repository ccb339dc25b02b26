"use client";
import { useStore } from "zustand";
import { Cautions } from "@/ui/kit/page/Cautions";
import { draftSaved, useDrafts } from "@/ui/library/aircraft-drafts";
import { useAircraftActions } from "@/ui/situation/useAircraftActions";
import { AircraftList } from "./AircraftList";
import { useEditedAircraft } from "./useEdited";

const CAUTIONS = [
  "Figures come from the aircraft document, not from the approved flight manual. Where they differ, the manual is right.",
  "A fit says how the model meets the book, not how this aircraft flies today: seals, paint and propeller count.",
];

/**
 * What is beside every view: saving, the fleet, what looks wrong, cautions.
 *
 * @param missing - what the aircraft cannot be judged without
 */
export function Fleet({ missing }: { missing: readonly string[] }) {
  return (
    <aside className="flex min-h-0 flex-col border-l border-rule" aria-label="Fleet">
      <SaveBar />
      <AircraftList />
      <div className="mt-auto max-h-[45%] overflow-auto" tabIndex={0} role="region" aria-label="Doubts and cautions">
        <Doubts missing={missing} />
        <Cautions texts={CAUTIONS} />
      </div>
    </aside>
  );
}

/** What is not saved yet, and what to do about it. */
function SaveBar() {
  const { id, shared, document, version, changed, faults } = useEditedAircraft();
  const actions = useAircraftActions();
  const drop = useDrafts((state) => state.drop);
  const steps = useStore(useDrafts.temporal, (state) => state.pastStates.length);
  if (!changed) return null;
  return (
    <section aria-label="Changes" className="border-b border-rule bg-sheet px-4 py-2 text-[14px]">
      <p className="text-ochre">Changed, not saved: other stages use the saved figures.</p>
      {faults.length > 0 && <p className="text-brick">{faults[0].message}</p>}
      <div className="mt-1 flex gap-2 [&_.btn]:px-2 [&_.btn]:py-0.5">
        <button
          type="button"
          className="btn btn-primary"
          disabled={faults.length > 0}
          onClick={() =>
            void actions
              .save(id, shared, document, version)
              .then((saved) => saved && draftSaved(id, document, saved.id, saved.version))
          }
        >
          {shared ? "Save as my own" : "Save aircraft"}
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={steps === 0}
          onClick={() => useDrafts.temporal.getState().undo()}
        >
          Undo
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => drop(id)}>
          Discard
        </button>
      </div>
    </section>
  );
}

/** What looks wrong about its figures. */
function Doubts({ missing }: { missing: readonly string[] }) {
  const { doubts, faults } = useEditedAircraft();
  const texts = [...faults.map((fault) => fault.message), ...doubts.map((doubt) => doubt.message)];
  if (texts.length === 0 && missing.length > 0)
    return (
      <p className="border-t border-rule px-4 py-2 text-[13px] text-ink2">
        Nothing to check yet: {missing.join(", ")} {missing.length === 1 ? "is" : "are"} missing.
      </p>
    );
  if (texts.length === 0)
    return <p className="border-t border-rule px-4 py-2 text-[13px] text-pine">Its figures fit each other.</p>;
  return (
    <section aria-label="What looks wrong" className="border-t border-rule px-4 py-2 text-[13px]">
      <h2 className="font-bold">What looks wrong</h2>
      <ul className="mt-1 flex flex-col gap-1">
        {texts.map((text) => (
          <li key={text} className="border-l-4 border-ochre pl-2">
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
}
