"use client";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { useId, useState } from "react";
import { geodesicBetween } from "@/core/earth/geodesic";
import { parsePosition } from "@/core/earth/parse-position";
import { positionOf } from "@/core/places/place";
import { threeFigures } from "@/core/quantities/angle";
import { formatClock } from "@/core/quantities/clock";
import { RoutePoint } from "@/core/situation/route-plan";
import { useRoute } from "@/ui/answers/route-store";
import { PositionField } from "@/ui/kit/forms/PositionField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { DataTable } from "@/ui/kit/tables/DataTable";
import type { Column } from "@/ui/kit/tables/column";
import { useFormat } from "@/ui/kit/units/units-store";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";
import { freeName, reversed, shifted, withPoint } from "./route-change";

const nameCheck = checkText(RoutePoint.shape.name);
const altitudeCheck = checkBy(RoutePoint.shape.altitude_m);

/** The points of the flight, typed, ordered and removed; each leg with its track, length and time. */
export function PointsView() {
  const points = useSituation((state) => state.current.route.points);
  const change = useSituation((state) => state.change);
  const answer = useRoute((state) => state.route?.answer ?? null);
  const variation_rad = useVariation()?.variation_rad ?? null;
  const format = useFormat();
  const set = (next: readonly RoutePoint[]) =>
    change((current) => ({ route: { ...current.route, points: [...next] } }));
  const patch = (i: number, fields: Partial<RoutePoint>) =>
    set(points.map((point, j) => (i === j ? { ...point, ...fields } : point)));
  const legs = points.slice(1).map((to, i) => geodesicBetween(points[i].position, to.position));
  const timeAt = (i: number) => {
    const flown = answer?.points;
    const at = i === points.length - 1 ? flown?.[flown.length - 1] : flown?.find(({ leg }) => leg === i);
    return at?.time_s ?? null;
  };
  const columns: Column<RoutePoint>[] = [
    {
      name: "Point",
      className: "min-w-36 px-1 py-1",
      cell: (point, i) => (
        <PointName label={`Name of point ${i + 1}`} name={point.name} onChange={(name) => patch(i, { name })} />
      ),
    },
    {
      name: "Position",
      kind: "words",
      className: "min-w-54 py-1",
      cell: (point, i) => (
        <PositionField
          bare
          label={`Position of point ${i + 1}`}
          value={point.position}
          onChange={(position) => patch(i, { position })}
        />
      ),
    },
    {
      name: "Altitude from here, if not the route’s",
      kind: "words",
      cell: (point, i) => (
        <QuantityField
          bare
          label={i === points.length - 1 ? "Altitude at the end" : `Altitude from point ${i + 1}`}
          kind="height"
          value={point.altitude_m}
          step={500}
          check={altitudeCheck}
          onChange={(altitude_m) => patch(i, { altitude_m })}
          onClear={() => patch(i, { altitude_m: null })}
        />
      ),
    },
    {
      name: "Leg, overhead after",
      cell: (_, i) => {
        const time_s = timeAt(i);
        return (
          <span className="block leading-tight whitespace-nowrap">
            {legs[i] && (
              <span className="block">
                {variation_rad === null
                  ? `${threeFigures(legs[i].azimuthStart_rad)}° true`
                  : `${threeFigures(legs[i].azimuthStart_rad - variation_rad)}°`}{" "}
                {format("distance", legs[i].distance_m)}
              </span>
            )}
            {time_s !== null && <span className="block text-ink2">{formatClock(time_s)}</span>}
          </span>
        );
      },
    },
    {
      name: "Order",
      head: <span className="sr-only">Order</span>,
      cell: ({ name }, i) => (
        <span className="flex justify-end gap-1">
          <button
            type="button"
            className="btn btn-quiet px-1.5"
            disabled={i === 0}
            aria-label={`Move ${name} up`}
            onClick={() => set(shifted(points, i, -1))}
          >
            <ArrowUp size={15} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="btn btn-quiet px-1.5"
            disabled={i === points.length - 1}
            aria-label={`Move ${name} down`}
            onClick={() => set(shifted(points, i, 1))}
          >
            <ArrowDown size={15} aria-hidden="true" />
          </button>
          <button
            type="button"
            className="btn btn-quiet px-1.5"
            aria-label={`Remove ${name}`}
            onClick={() => set(points.filter((_, j) => j !== i))}
          >
            <Trash2 size={15} aria-hidden="true" />
          </button>
        </span>
      ),
    },
  ];
  return (
    <div className="min-h-0 overflow-auto bg-sheet p-3" tabIndex={0} role="region" aria-label="Points of the flight">
      {points.length < 2 && (
        <p className="mb-3">
          <strong>No flight is planned yet.</strong> Add its points in the order in which they are flown, by the name of
          a place or by coordinates. The first and the last at an aerodrome begin and end there.
        </p>
      )}
      <AddPoint points={points} onAdd={(name, position) => set(withPoint(points, name, position))} />
      {points.length > 0 && (
        <DataTable
          className="mt-3 w-full text-[13px]"
          label="Points of the flight in their order"
          rows={points}
          rowKey={(_, i) => String(i)}
          columns={columns}
        />
      )}
      {points.length > 1 && (
        <p className="mt-3 flex gap-2">
          <button type="button" className="btn" onClick={() => set(reversed(points))}>
            The other way
          </button>
          <button type="button" className="btn btn-quiet" onClick={() => set([])}>
            Empty the route
          </button>
        </p>
      )}
    </div>
  );
}

/** A name as it is typed: what is none changes nothing, and says so. */
function PointName({ label, name, onChange }: { label: string; name: string; onChange: (name: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const fault = typed === null ? null : nameCheck(typed);
  return (
    <div onBlur={() => setTyped(null)}>
      <TextField
        bare
        label={label}
        value={typed ?? name}
        fault={fault}
        onChange={(text) => {
          setTyped(text);
          if (nameCheck(text) === null) onChange(text);
        }}
      />
    </div>
  );
}

/** A point by the name of a place, or by coordinates. */
function AddPoint({
  points,
  onAdd,
}: {
  points: readonly RoutePoint[];
  onAdd: (name: string, position: RoutePoint["position"]) => void;
}) {
  const id = useId();
  const places = useNearPlaces();
  const [typed, setTyped] = useState("");
  const place = places.find(({ name }) => name.toLowerCase() === typed.trim().toLowerCase());
  const read = typed.trim() === "" || place ? null : parsePosition(typed);
  const fault = read && !read.ok ? `No place of this name near here. ${read.issue.message}` : null;
  const add = () => {
    if (place) onAdd(place.name, positionOf(place));
    else if (read?.ok) onAdd(freeName(points), read.value);
    else return;
    setTyped("");
  };
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <div className="min-w-0 grow">
        <label htmlFor={id} className="block text-sm text-ink2">
          Next point: a place, or coordinates
        </label>
        <input
          id={id}
          className="field w-full!"
          list={`${id}-places`}
          autoComplete="off"
          value={typed}
          aria-invalid={fault ? true : undefined}
          aria-describedby={fault ? `${id}-fault` : undefined}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
        <datalist id={`${id}-places`}>
          {places.map(({ id: placeId, name }) => (
            <option key={placeId} value={name} />
          ))}
        </datalist>
        {fault && (
          <p id={`${id}-fault`} className="text-sm text-brick">
            {fault}
          </p>
        )}
      </div>
      <button type="submit" className="btn" disabled={points.length >= 200 || (!place && !read?.ok)}>
        Add
      </button>
    </form>
  );
}
