"use client";
import { useRouter } from "next/navigation";
import { type FormEvent, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { type LatLon, destination } from "@/core/earth/geodesic";
import { magneticVariation } from "@/core/earth/magnetic-variation";
import { newAerodrome } from "@/core/places/new-place";
import { Aerodrome, GroundSurface, isAerodrome } from "@/core/places/place";
import { placeFaults } from "@/core/places/place-faults";
import { runwayNumber, stripLine } from "@/core/places/strip-line";
import { radians, wrapTurn } from "@/core/quantities/angle";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { NumberField } from "@/ui/kit/forms/NumberField";
import { PositionField } from "@/ui/kit/forms/PositionField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { TextField } from "@/ui/kit/forms/TextField";
import { checkBy, checkText } from "@/ui/kit/forms/fault";
import { usePlacesStore } from "@/ui/library/places-store";
import { chooseHome, useHome } from "@/ui/library/preferences";
import { useWorkspace } from "@/ui/library/workspace";
import type { SituationDocument } from "@/core/situation/situation-document";
import { useSituation } from "./situation-store";
import { useSituationActions } from "./useSituationActions";

const nameCheck = checkText(Aerodrome.shape.name);
const elevationCheck = checkBy(Aerodrome.shape.elevation_m);
const lengthCheck = (length_m: number) =>
  length_m >= 50 && length_m <= 6000 ? null : "A runway is 50 to 6 000 m long.";
const headingCheck = (heading_deg: number) =>
  heading_deg >= 0 && heading_deg <= 360 ? null : "A direction is 0° to 360°.";
const SURFACES = GroundSurface.options.map((value) => ({ value, label: value }));

/** Over the field the aircraft stands this high when the home is new, m: two thousand feet. */
const FIRST_HEIGHT_M = 609.6;

/** The one thing that a new account is asked. */
export function HomeDialog() {
  const { account } = useWorkspace();
  const show = useDialogs((state) => state.show);
  const shown = useDialogs((state) => state.shown);
  const placeId = useHome((state) => state.placeId);
  const none = usePlacesStore((state) => state.places.length === 0);
  const known = usePlacesStore((state) => state.known.size > 0);
  const asking = account.kind === "user" && account.preferences.home === undefined && placeId === undefined && none;
  useEffect(() => {
    if (asking && !known) show("home");
  }, [asking, known, show]);
  // Asked once: closing it is an answer too.
  const open = shown === "home";
  const wasOpen = useRef(false);
  useEffect(() => {
    if (wasOpen.current && !open && useHome.getState().placeId === undefined) chooseHome(null);
    wasOpen.current = open;
  }, [open]);
  return (
    <Panel name="home" title="Where do you fly from?">
      {open && <HomeForm />}
    </Panel>
  );
}

function HomeForm() {
  const router = useRouter();
  const show = useDialogs((state) => state.show);
  const { add } = useSituationActions();
  const stand = (place: Aerodrome) => openAt(place, add);
  const placeId = useHome((state) => state.placeId);
  const home = usePlacesStore((state) => state.places.find(({ id }) => id === placeId));
  const [name, setName] = useState("");
  const [position, setPosition] = useState<LatLon | null>(null);
  const [elevation_m, setElevation] = useState<number | null>(null);
  const [magnetic_deg, setMagnetic] = useState<number | null>(null);
  const [length_m, setLength] = useState<number | null>(null);
  const [surface, setSurface] = useState<Aerodrome["runways"][number]["surface"]>("grass");
  const [fault, setFault] = useState<string | null>(null);
  const [locating, setLocating] = useState(false);

  const locate = () => {
    setLocating(true);
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setLocating(false);
        setPosition({ latitude_deg: coords.latitude, longitude_deg: coords.longitude });
        if (coords.altitude !== null) setElevation(Math.round(coords.altitude));
      },
      () => {
        setLocating(false);
        setFault("The device does not tell its location: type the position.");
      },
      { timeout: 10_000 },
    );
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (nameCheck(name) !== null) return setFault("A name is needed.");
    if (!position) return setFault("A position is needed.");
    if (elevation_m === null) return setFault("An elevation is needed.");
    if (magnetic_deg === null || length_m === null) return setFault("One runway is needed: its direction and length.");
    const day = new Date();
    const heading_rad = wrapTurn(radians(magnetic_deg) + magneticVariation(position, day).variation_rad);
    const made = newAerodrome(
      [destination(position, heading_rad + Math.PI, length_m / 2), destination(position, heading_rad, length_m / 2)],
      { newId: () => crypto.randomUUID(), name, elevation_m, day },
    );
    const place: Aerodrome = {
      ...made,
      lookedAt: day.toISOString().slice(0, 10),
      runways: made.runways.map((runway) => ({ ...runway, surface })),
    };
    const wrong = placeFaults(place, day).find(({ severity }) => severity === "fault");
    if (wrong) return setFault(wrong.message);
    usePlacesStore.getState().put(place);
    chooseHome(place.id);
    show(null);
    void stand(place);
    toast(`${place.name} is yours. The aircraft stands 2 000 ft over it; drag it, or change the wind above.`);
    router.push("/landing");
  };

  return (
    <form className="flex flex-col gap-3" onSubmit={submit} noValidate>
      {home ? (
        <div className="flex flex-wrap items-center gap-2">
          <p className="mr-auto">
            You fly from <strong>{home.name}</strong>.
          </p>
          <button
            type="button"
            className="btn"
            onClick={() => {
              show(null);
              if (isAerodrome(home)) void stand(home);
            }}
          >
            Stand there
          </button>
        </div>
      ) : (
        <p>
          Name it, say where it is, and give one runway: everything is then worked out there. More places, fields and
          water can be added under Places.
        </p>
      )}
      <TextField label="Name" value={name} onChange={setName} fault={null} />
      <PositionField
        label="Position of the middle of the runway"
        value={position}
        onChange={setPosition}
        hint="Any usual form: 47°06.9′S 130°58.7′W, −47.115 −130.978, 470654S1305842W"
      />
      <button type="button" className="btn btn-quiet self-start" disabled={locating} onClick={locate}>
        {locating ? "Asking the device …" : "Use this device’s location"}
      </button>
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Elevation"
          kind="height"
          value={elevation_m}
          check={elevationCheck}
          onChange={setElevation}
        />
        <ChoiceField label="Surface" value={surface} choices={SURFACES} onChange={setSurface} />
        <NumberField
          label="Runway direction, magnetic"
          value={magnetic_deg}
          unit="°"
          digits={0}
          step={10}
          check={headingCheck}
          hint={magnetic_deg === null ? "either way" : `runway ${runwayNumber(radians(magnetic_deg))}`}
          onChange={setMagnetic}
        />
        <QuantityField label="Its length" kind="length" value={length_m} check={lengthCheck} onChange={setLength} />
      </div>
      {fault && (
        <p role="alert" className="text-brick">
          {fault}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-primary">
          Fly from here
        </button>
        <button type="button" className="btn btn-quiet" onClick={() => show(null)}>
          {placeId === undefined ? "Look at the demo world first" : "Not now"}
        </button>
      </div>
      <p className="text-sm text-ink2">
        The demo world of the Tarn Reach stays where it is, far out in the ocean: its situation opens from the list of
        situations (key o), and its places are never among yours.
      </p>
    </form>
  );
}

/** A situation of its own at the field: what was open before stays as it is. */
async function openAt(place: Aerodrome, add: (document: SituationDocument) => Promise<boolean>): Promise<void> {
  const { current, change } = useSituation.getState();
  const document = situationAt(place, current);
  // Without the server the open one goes there, rather than nothing.
  if (!(await add(document))) change(document);
}

/** The aircraft over a field, heading along its longest runway, in still standard air until told otherwise. */
function situationAt(place: Aerodrome, current: SituationDocument): SituationDocument {
  const runway = [...place.runways].sort((a, b) => stripLine(b.ends).length_m - stripLine(a.ends).length_m).at(0);
  return {
    ...current,
    name: place.name.slice(0, 80),
    position: place.position,
    altitude_m: place.elevation_m + FIRST_HEIGHT_M,
    heading_rad: runway ? stripLine(runway.ends).headingsTrue_rad[0] : current.heading_rad,
    terrainId: null,
    wind: { surface: { from_rad: 0, speed_mps: 0 }, layers: [] },
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    metar: null,
    departure: { ...current.departure, endId: null },
    day: new Date().toISOString().slice(0, 10),
  };
}
