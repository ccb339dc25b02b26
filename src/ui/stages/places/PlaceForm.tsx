"use client";
import { Plus, Trash2 } from "lucide-react";
import { destination } from "@/core/earth/geodesic";
import { outlineArea_m2 } from "@/core/places/outline";
import { newRunway } from "@/core/places/new-place";
import { Aerodrome, Hazard, type Place, isAerodrome, positionOf } from "@/core/places/place";
import { placeFaults } from "@/core/places/place-faults";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { PositionField } from "@/ui/kit/forms/PositionField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useFormat } from "@/ui/kit/units/units-store";
import { faultOfPlace } from "@/ui/library/place-fault";
import { usePlacesStore } from "@/ui/library/places-store";
import { StripForm } from "./StripForm";
import { stripName } from "./strip-names";
import { groundAt_m } from "@/ui/situation/ground-at";
import { moved } from "./moved";
import { usePlacesView } from "./places-view-store";
import { HAZARD_WORDS } from "@/ui/library/hazard-words";

const nameCheck = checkText(Aerodrome.shape.name);
const notesCheck = checkText(Aerodrome.shape.notes);
const lookedByCheck = checkText(Aerodrome.shape.lookedBy);
const elevationCheck = checkBy(Aerodrome.shape.elevation_m);

/** A runway that is added by hand is this long until its figures are typed, m. */
const FIRST_LENGTH_M = 600;

/** All that is known of a place of one's own. */
export function PlaceForm({ place }: { place: Place }) {
  const put = usePlacesStore((state) => state.put);
  const remove = usePlacesStore((state) => state.remove);
  const select = usePlacesView((state) => state.select);
  const draw = usePlacesView((state) => state.draw);
  const refused = usePlacesStore((state) => state.refused.get(place.id));
  const day = new Date();
  const faults = placeFaults(place, day);
  const stopped = faultOfPlace(place) ?? (refused?.place === place ? refused.reason : null);
  const change = (patch: object) => put({ ...place, ...patch } as Place);
  return (
    <div className="flex flex-col gap-3">
      <TextField label="Name" value={place.name} fault={nameCheck(place.name)} onChange={(name) => change({ name })} />
      {stopped && (
        <p role="alert" className="border-l-4 border-brick pl-2 text-brick">
          Not stored and not planned with until it is mended: {stopped}
        </p>
      )}
      {faults
        .filter(({ severity }) => severity === "caution")
        .map(({ path, message }) => (
          <p key={path + message} className="border-l-4 border-ochre pl-2 text-ochre">
            {message}
          </p>
        ))}
      <GroundCaution place={place} />
      {isAerodrome(place) ? (
        <>
          <PositionField label="Position" value={place.position} onChange={(position) => change({ position })} />
          <QuantityField
            label="Elevation"
            kind="height"
            value={place.elevation_m}
            check={elevationCheck}
            onChange={(elevation_m) => change({ elevation_m })}
          />
          {place.runways.map((runway, i) => (
            <section key={runway.id} aria-label={`Runway ${stripName(runway)}`} className="border-t border-ink2 pt-1">
              <div className="flex items-center justify-between">
                <h2 className="font-bold">Runway {stripName(runway)}</h2>
                <button
                  type="button"
                  className="rounded p-1.5 hover:bg-mark"
                  aria-label={`Remove runway ${stripName(runway)}`}
                  onClick={() => change({ runways: place.runways.filter(({ id }) => id !== runway.id) })}
                >
                  <Trash2 size={15} aria-hidden="true" />
                </button>
              </div>
              <StripForm
                strip={runway}
                prepared
                onChange={(strip) => change({ runways: place.runways.map((before, k) => (k === i ? strip : before)) })}
                onMove={(ends) => put(moved(place, `strip:${runway.id}`, ends, day))}
              />
            </section>
          ))}
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-quiet"
              disabled={place.runways.length >= 8}
              onClick={() => draw({ tool: "strip", makes: "runway" })}
            >
              Draw a runway
            </button>
            <button
              type="button"
              className="btn btn-quiet"
              disabled={place.runways.length >= 8}
              onClick={() => {
                const made = { newId: () => crypto.randomUUID(), elevation_m: place.elevation_m, day };
                const half = FIRST_LENGTH_M / 2;
                const ends = [
                  destination(place.position, -Math.PI / 2, half),
                  destination(place.position, Math.PI / 2, half),
                ] as const;
                change({ kind: "aerodrome", runways: [...place.runways, newRunway(ends, made)] });
              }}
            >
              <Plus size={14} aria-hidden="true" /> Add one by figures
            </button>
          </div>
        </>
      ) : (
        <>
          {place.kind !== "water" && (
            <ChoiceField
              label="Kind"
              value={place.kind}
              choices={[
                { value: "field", label: "field" },
                { value: "beach", label: "beach" },
              ]}
              onChange={(kind) => change({ kind })}
            />
          )}
          <StripForm
            strip={place.strip}
            prepared={false}
            onChange={(strip) => change({ strip })}
            onMove={(ends) => put(moved(place, `strip:${place.strip.id}`, ends, day))}
          />
          <div className="flex flex-wrap items-baseline gap-2">
            <button type="button" className="btn btn-quiet" onClick={() => draw({ tool: "outline", makes: "outline" })}>
              {place.outline ? "Draw the outline anew" : "Draw its outline"}
            </button>
            {place.outline && (
              <span className="text-sm text-ink2">
                {(outlineArea_m2(place.outline) / 10_000).toFixed(1)} ha, {place.outline.length} corners
              </span>
            )}
          </div>
          {place.kind !== "water" && (
            <fieldset className="border-t border-rule pt-1">
              <legend className="pr-2 font-semibold">What can hurt somebody there</legend>
              <div className="grid grid-cols-2 gap-1">
                {Hazard.options.map((hazard) => (
                  <CheckField
                    key={hazard}
                    label={HAZARD_WORDS[hazard]}
                    checked={place.hazards.includes(hazard)}
                    onChange={(there) =>
                      change({
                        hazards: there
                          ? [...place.hazards, hazard]
                          : place.hazards.filter((candidate) => candidate !== hazard),
                      })
                    }
                  />
                ))}
              </div>
            </fieldset>
          )}
        </>
      )}
      <TextField
        label="Notes"
        value={place.notes}
        fault={notesCheck(place.notes)}
        onChange={(notes) => change({ notes })}
      />
      <div className="grid grid-cols-2 gap-3">
        <label className="block text-sm text-ink2">
          Last looked at
          <input
            type="date"
            className="field num mt-0.5"
            value={place.lookedAt ?? ""}
            onChange={(event) => change({ lookedAt: event.currentTarget.value || null })}
          />
        </label>
        <TextField
          label="By"
          value={place.lookedBy}
          fault={lookedByCheck(place.lookedBy)}
          onChange={(lookedBy) => change({ lookedBy })}
        />
      </div>
      <button
        type="button"
        className="btn btn-quiet self-start"
        onClick={() => {
          remove(place.id);
          select(null);
        }}
      >
        <Trash2 size={14} aria-hidden="true" /> Delete {place.name}
      </button>
    </div>
  );
}

/** A place and the terrain in use that do not agree make ways that run into the ground, or through it. */
const GROUND_OFF_M = 30;

function GroundCaution({ place }: { place: Place }) {
  const format = useFormat();
  // Looked at again when another terrain has come.
  useTerrain((state) => state.grid);
  const elevation_m = isAerodrome(place) ? place.elevation_m : place.strip.ends[0].elevation_m;
  const ground_m = groundAt_m(positionOf(place));
  if (ground_m === null || Math.abs(ground_m - elevation_m) <= GROUND_OFF_M) return null;
  return (
    <p className="border-l-4 border-ochre pl-2 text-ochre">
      The terrain in use stands at {format("height", ground_m)} here, the place at {format("height", elevation_m)}:
      check the elevation, the position, or the terrain.
    </p>
  );
}
