"use client";
import { useEffect } from "react";
import { mayDo } from "@/core/school/school";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { usePlacesStore } from "@/ui/library/places-store";
import { useFlightTests, useProcedures } from "@/ui/library/own/own-documents";
import { SHARED_WORDS } from "./school-words";
import { type School, share, takeCopy, unshare } from "./school-store";

/** What the school has in common; a member takes a copy, who teaches puts one there. */
export function SharedPanel({ school }: { school: School }) {
  const aircraft = useLibraryAircraft();
  const places = usePlacesStore((state) => state.places);
  const procedures = useProcedures((state) => state.own);
  const tests = useFlightTests((state) => state.own);
  useEffect(() => {
    void useProcedures.getState().load();
    void useFlightTests.getState().load();
  }, []);
  const puts = mayDo(school.role, "share");
  const choices = [
    ...aircraft
      .filter(({ shared }) => !shared)
      .map(({ id, document }) => ({
        id,
        label: `aircraft: ${document.name}`,
        put: () => share({ kind: "aircraft", document }),
      })),
    ...places.map((document) => ({
      id: document.id,
      label: `place: ${document.name}`,
      put: () => share({ kind: "place", document }),
    })),
    ...(procedures ?? []).map(({ id, document }) => ({
      id,
      label: `procedure: ${document.name}`,
      put: () => share({ kind: "procedure", document }),
    })),
    ...(tests ?? []).map(({ id, document }) => ({
      id,
      label: `flight test: ${document.name}`,
      put: () => share({ kind: "flight-test", document }),
    })),
  ];
  return (
    <div className="grid max-w-3xl gap-3">
      {puts && (
        <label className="text-sm text-ink2">
          <span className="mb-0.5 block">Put a copy of something of yours here</span>
          <select
            className="field w-96"
            value=""
            disabled={choices.length === 0}
            onChange={(event) => void choices.find(({ id }) => id === event.currentTarget.value)?.put()}
          >
            <option value="">{choices.length === 0 ? "nothing of your own yet" : "choose …"}</option>
            {choices.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </label>
      )}
      {school.documents.length === 0 ? (
        <p className="text-ink2">Nothing is in common yet.</p>
      ) : (
        <ul>
          {school.documents.map(({ id, kind, name }) => (
            <li key={id} className="flex items-center gap-3 border-t border-rule py-1">
              <span className="w-28 text-ink2">{SHARED_WORDS[kind]}</span>
              <strong className="min-w-0 flex-1 truncate">{name}</strong>
              <button type="button" className="btn btn-quiet py-0.5" onClick={() => void takeCopy(id)}>
                Copy into my library
              </button>
              {puts && (
                <button
                  type="button"
                  className="btn btn-quiet py-0.5"
                  aria-label={`Take ${name} away`}
                  onClick={() => void unshare(id)}
                >
                  ×
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
