"use client";
import { Copy, Home, Ruler } from "lucide-react";
import { useState } from "react";
import { copyOf, newAerodrome } from "@/core/places/new-place";
import type { Place } from "@/core/places/place";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import "@/ui/library/place-judge";
import { usePlacesStore } from "@/ui/library/places-store";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "@/ui/situation/situation-store";
import { ExchangeButtons } from "./ExchangeButtons";
import { PlaceForm } from "./PlaceForm";
import { PlacesMap } from "./PlacesMap";
import { PlacesTable } from "./PlacesTable";
import { elevationNear_m } from "./elevation-near";
import { type Drawing, usePlacesView } from "./places-view-store";

const TOOLS: readonly { readonly label: string; readonly drawing: Drawing }[] = [
  { label: "Runway", drawing: { tool: "strip", makes: "aerodrome" } },
  { label: "Field", drawing: { tool: "strip", makes: "field" } },
  { label: "Field by outline", drawing: { tool: "outline", makes: "field" } },
  { label: "Beach", drawing: { tool: "strip", makes: "beach" } },
  { label: "Water", drawing: { tool: "outline", makes: "water" } },
  { label: "Helipad", drawing: { tool: "point", makes: "helipad" } },
];

/** One's own aerodromes, fields, beaches and water: on the map, in a table, as figures. */
export function PlacesStage() {
  const [search, setSearch] = useState("");
  const places = usePlacesStore((state) => state.places);
  const { places: stored } = useWorkspace().library;
  const { selectedId, drawing, draw } = usePlacesView();
  const show = useDialogs((state) => state.show);
  const own = places.find(({ id }) => id === selectedId);
  const lent = own ? undefined : stored.find(({ id, shared }) => shared && id === selectedId)?.document;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_432px] max-[1150px]:grid-cols-[minmax(0,1fr)_380px]">
      <section aria-label="Places" className="grid min-h-0 min-w-0 grid-rows-[auto_minmax(0,1.4fr)_auto_minmax(0,1fr)]">
        <header className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-rule bg-sheet px-4 py-1.5">
          <h1 className="text-[19px] font-bold">Where can I land, and what do I know of it?</h1>
          <div
            role="toolbar"
            aria-label="Draw"
            className="ml-auto flex flex-wrap gap-1.5 [&_.btn]:px-2 [&_.btn]:py-0.5 [&_.btn]:text-[13px]"
          >
            {TOOLS.map(({ label, drawing: makes }) => (
              <button
                key={label}
                type="button"
                className="btn btn-quiet"
                aria-pressed={drawing?.makes === makes.makes && drawing.tool === makes.tool}
                onClick={() => draw(makes)}
              >
                {label}
              </button>
            ))}
            <button
              type="button"
              className="btn btn-quiet"
              aria-pressed={drawing?.tool === "measure"}
              onClick={() => draw(drawing?.tool === "measure" ? null : { tool: "measure", makes: null })}
            >
              <Ruler size={14} aria-hidden="true" /> Measure
            </button>
          </div>
        </header>
        <PlacesMap />
        <div className="flex flex-wrap items-center gap-2 border-y border-rule bg-sheet px-4 py-1 [&_.btn]:px-2 [&_.btn]:py-0.5 [&_.btn]:text-[13px]">
          <label className="flex items-center gap-2 text-sm text-ink2">
            Search
            <input
              className="field w-44 py-0.5"
              value={search}
              onChange={(event) => setSearch(event.currentTarget.value)}
            />
          </label>
          <span className="num text-sm text-ink2">{places.length} of your own</span>
          <span className="ml-auto flex flex-wrap gap-1.5">
            <button type="button" className="btn btn-quiet" onClick={() => show("home")}>
              <Home size={14} aria-hidden="true" /> Home
            </button>
            <button type="button" className="btn btn-quiet" onClick={addByFigures}>
              Add by figures
            </button>
            <ExchangeButtons />
          </span>
        </div>
        <div className="min-h-0 overflow-auto px-4" tabIndex={0} role="region" aria-label="Table of places">
          <PlacesTable search={search} />
        </div>
      </section>
      <aside className="min-h-0 overflow-auto border-l border-rule px-4 py-3" aria-label="The place">
        {own && <PlaceForm key={own.id} place={own} />}
        {lent && <LentPlace place={lent} />}
        {!own && !lent && <Advice />}
      </aside>
    </div>
  );
}

/** An aerodrome at the aircraft's place, to be filled in. */
function addByFigures(): void {
  const { position } = useSituation.getState().current;
  const { places, put } = usePlacesStore.getState();
  const place = newAerodrome(position, {
    newId: () => crypto.randomUUID(),
    name: `New place ${places.length + 1}`,
    elevation_m: elevationNear_m(position, places),
    day: new Date(),
  });
  put(place);
  usePlacesView.getState().select(place.id, position);
}

function Advice() {
  return (
    <div className="flex max-w-prose flex-col gap-2">
      <h2 className="font-bold">No place is selected</h2>
      <p>Click a place on the map or in the table to see and change what is known of it.</p>
      <p>
        Draw a runway with two clicks: from one threshold to the other. It is numbered by its magnetic direction. A
        field drawn by its outline gets the longest strip that fits inside.
      </p>
      <p className="text-ink2">
        What is changed here is stored by itself, and Ctrl Z takes it back. A place looks the same from above whether it
        can be landed on or not: look at it from the ground, and ask who owns it.
      </p>
    </div>
  );
}

/** A place of the demo world. */
function LentPlace({ place }: { place: Place }) {
  const put = usePlacesStore((state) => state.put);
  const select = usePlacesView((state) => state.select);
  const copy = () => {
    const mine = copyOf(place, () => crypto.randomUUID());
    put({ ...mine, name: `${place.name} (mine)`.slice(0, 60) });
    select(mine.id);
  };
  return (
    <div className="flex flex-col gap-2">
      <h2 className="font-bold">{place.name}</h2>
      <p>A place of the demo world. It cannot be changed; a copy of it can.</p>
      <button type="button" className="btn btn-quiet self-start" onClick={copy}>
        <Copy size={14} aria-hidden="true" /> Copy to my places
      </button>
    </div>
  );
}
