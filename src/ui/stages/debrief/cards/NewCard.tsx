"use client";
import { type ReactNode } from "react";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { cleanGlide } from "@/core/aircraft/configuration";
import { M_PER_FT } from "@/core/quantities/constants";
import { newCard } from "@/core/series/new-card";
import type { SeriesKind } from "@/core/series/test-card";
import { useSituation } from "@/ui/situation/situation-store";
import { useAircraft } from "@/ui/situation/useAircraft";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { useCardLook, useCards } from "./cards-store";

/** Runs are broken off here until the pilot says otherwise: 2 500 ft. Common practice. */
const DECK_M = 2500 * M_PER_FT;

const KINDS: readonly { kind: SeriesKind; name: string; words: string }[] = [
  {
    kind: "half-turn",
    name: "Half turns, engine idle",
    words: "What 180° cost in height by bank, beside what the polar says: the number behind every turn back.",
  },
  {
    kind: "glide",
    name: "Glides, engine idle",
    words: "Sink by speed on a straight glide, beside the polar: the number behind every reach.",
  },
];

/** What a new card may be of; it takes the situation's aircraft, mass and air. */
export function NewCard({ onDone, children }: { onDone: () => void; children: ReactNode }) {
  const { document } = useAircraft();
  const situation = useSituation((state) => state.current);
  const begin = (kind: SeriesKind) => {
    if (!isAeroplane(document)) return;
    const card = newCard(kind, newOwnId(), {
      aircraft: document,
      mass_kg: situation.mass_kg,
      deviation_K: situation.air.deviation_K,
      configuration: cleanGlide(document),
      deck_m: DECK_M,
    });
    useCards.getState().edit(card, null);
    useCardLook.setState({ mode: "plan", run: null });
    onDone();
  };
  return (
    <div className="min-h-0 overflow-auto p-5" tabIndex={0} role="region" aria-label="A new card">
      <h2 className="text-[17px] font-bold">A new card for {document.name}</h2>
      {isAeroplane(document) ? (
        <ul className="mt-2 grid max-w-3xl gap-3 sm:grid-cols-2">
          {KINDS.map(({ kind, name, words }) => (
            <li key={kind} className="panel flex flex-col items-start gap-2 p-4">
              <h3 className="font-bold">{name}</h3>
              <p className="text-[15px] text-ink2">{words}</p>
              <button type="button" className="btn mt-auto" onClick={() => begin(kind)}>
                Plan it
              </button>
            </li>
          ))}
        </ul>
      ) : (
        <p className="mt-2 max-w-prose text-ink2">
          Cards are for aeroplanes: choose one in the strip above. What a helicopter or a gyroplane loses is in its own
          stages.
        </p>
      )}
      <div className="mt-4">{children}</div>
    </div>
  );
}
