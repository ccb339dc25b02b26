"use client";
import { Play } from "lucide-react";
import { parseAsFloat, parseAsString, useQueryStates } from "nuqs";
import { useEffect, useMemo } from "react";
import { toast } from "sonner";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import type { EndOnMap } from "@/core/exercise/flight-crew";
import type { LandingEnd } from "@/core/landing/landing-end";
import { procedureCategory } from "@/core/procedure/library/procedures";
import type { FailureKind } from "@/core/simulation/trouble";
import { CheckField } from "@/ui/kit/forms/CheckField";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { QuantityField } from "@/ui/kit/forms/QuantityField";
import { useFormat } from "@/ui/kit/units/units-store";
import { flyable } from "../editor/flyable";
import { useProcedures } from "@/ui/library/own/own-documents";
import { toleranceWords } from "@/ui/library/exercise-words";
import { exercisesOf } from "../exercises/useExercises";
import { FailFields } from "./FailFields";
import { GamepadFields } from "./gamepad/GamepadFields";
import { BankLimit } from "./BankLimit";
import { beginFlight, letGo } from "./flight-lane";
import {
  AIR,
  HOVER,
  chosenOf,
  failureWords,
  failuresOf,
  helpWords,
  setUpOf,
  setUpWords,
  speedToHold_mps,
} from "./fly-set-up";
import { useFly } from "./fly-store";
import { useOthers } from "./others/others";
import type { FlySet } from "./useFlySet";

const NONE = "none";
/** So many landing places are on the map of those who look on. */
const MOST_ENDS = 20;
/** Exercises in which an engine fails. */
const FAILS = /^(engine-failure|helicopter-hover|gyro-engine-out)/;

/** A landing place as far as a map shows it. */
const onMap = ({ id, name, threshold, headingTrue_rad, length_m, width_m, unprepared }: LandingEnd): EndOnMap => ({
  id,
  name,
  threshold,
  headingTrue_rad,
  length_m,
  width_m,
  unprepared,
});

/** What is flown, in one sentence and the few choices that it is made of. */
export function FlySetUp({ aircraft, set }: { aircraft: AircraftDocument; set: FlySet }) {
  const format = useFormat();
  useAsked(set.departs?.id ?? null);
  const { choice, assistance } = useFly();
  const { choose } = useFly.getState();
  const { runways, situation } = set;
  const from = runways.find(({ id }) => id === choice.from) ?? null;
  const helicopter = aircraft.category === "helicopter";
  const chosen = chosenOf(choice, aircraft, from);
  const { failure, from: begins } = chosen;
  const words = setUpWords(chosen, from, aircraft, format);
  const { exercises } = exercisesOf(aircraft);
  // Those that are flown from the air with these keys: not what needs a runway's approach or a crew.
  const aloft = exercises.filter(({ setUp }) => setUp.height_m > 500 || !isAeroplane(aircraft));
  const exercise = aloft.find(({ id }) => id === choice.exerciseId) ?? null;
  const begins_m = exercise?.setUp.height_m ?? situation.altitude_m - set.ground_m;
  const { own, draft } = useProcedures();
  const drills = useMemo(() => flyable(procedureCategory(aircraft), own, draft), [aircraft, own, draft]);
  const procedure = drills.find(({ id }) => id === choice.drillId) ?? null;
  const fly = async () => {
    const chance = () => Math.random();
    const { flown, planned } = setUpOf({
      aircraft,
      situation,
      plane: set.plane,
      ends: set.ends,
      ground_m: set.ground_m,
      choice: chosen,
      begins_m: exercise?.setUp.height_m ?? null,
      chance,
    });
    const { origin } = set.plane;
    const under = {
      flown,
      words,
      exerciseId: exercise?.id ?? null,
      procedure,
      // An instructor may let something fail: the drill waits for it.
      fails: planned.length > 0 || useOthers.getState().code !== null,
      map: { origin, ends: set.ends.slice(0, MOST_ENDS).map(onMap), wind: set.wind },
    };
    const issue = await beginFlight(under, planned, assistance);
    if (issue) toast(issue.message);
    else await letGo(true);
  };
  const failures = failuresOf(aircraft).map((value) => ({ value, label: failureWords(value, aircraft) }));
  return (
    <div
      className="grid min-h-0 content-start gap-4 overflow-auto px-5 py-4"
      tabIndex={0}
      role="region"
      aria-label="Set up"
    >
      <p className="max-w-prose text-[18px] leading-6">
        <strong>{words}</strong>
      </p>
      {exercise && (
        <p className="max-w-prose text-ink2">
          {exercise.purpose} From {format("height", exercise.setUp.height_m)} above the ground
          {exercise.setUp.hardDeck_m === null
            ? ""
            : `, never below ${format("height", exercise.setUp.hardDeck_m)}`}:{" "}
          {exercise.tolerances.map((tolerance) => toleranceWords(tolerance, format)).join("; ")}.
        </p>
      )}
      <div className="grid max-w-3xl grid-cols-2 gap-x-6 gap-y-2">
        <ChoiceField
          label="Exercise"
          value={exercise?.id ?? NONE}
          onChange={(id) =>
            choose(
              id === NONE
                ? { exerciseId: null, drillId: null }
                : {
                    exerciseId: id,
                    drillId: exercises.find((one) => one.id === id)?.procedure ?? null,
                    from: id === "helicopter-hover" ? HOVER : AIR,
                    failure: FAILS.test(id) ? "ignition" : NONE,
                  },
            )
          }
          choices={[
            { value: NONE, label: "none: fly freely" },
            ...aloft.map(({ id, name }) => ({ value: id, label: name })),
          ]}
        />
        <ChoiceField
          label="Drill done with it"
          value={procedure?.id ?? NONE}
          onChange={(id) => choose({ drillId: id === NONE ? null : id })}
          choices={[{ value: NONE, label: "none" }, ...drills.map(({ id, name }) => ({ value: id, label: name }))]}
        />
        <ChoiceField
          label="Begins"
          value={begins}
          onChange={(value) => choose({ from: value })}
          choices={[
            { value: AIR, label: "in the air, as the situation stands" },
            ...(helicopter ? [{ value: HOVER, label: "in the hover" }] : []),
            ...runways.map(({ id, name }) => ({ value: id, label: `take-off, ${name}` })),
          ]}
        />
        <ChoiceField
          label="Fails"
          value={failure}
          onChange={(value) => choose({ failure: value as FailureKind | "none" })}
          choices={[{ value: NONE, label: "nothing" }, ...failures]}
        />
        {begins === HOVER && (
          <QuantityField
            label="Skids above the ground"
            kind="height"
            value={choice.hover_m}
            check={(value) => (value >= 0.6 && value <= 600 ? null : "From 2 to 2 000 ft.")}
            onChange={(hover_m) => choose({ hover_m })}
          />
        )}
        {failure !== NONE && (
          <FailFields aircraft={aircraft} chosen={chosen} takesOff={from !== null} begins_m={begins_m} />
        )}
        <ChoiceField
          label="Air"
          value={String(choice.turbulence)}
          onChange={(value) => choose({ turbulence: Number(value) })}
          choices={[
            { value: "0", label: "smooth" },
            { value: "0.5", label: "light gusts of this wind" },
            { value: "1", label: "gusts of this wind over open country" },
            { value: "2", label: "rough: twice that" },
          ]}
        />
      </div>
      <HelpFields aircraft={aircraft} held_mps={speedToHold_mps(aircraft, situation.mass_kg)} />
      <GamepadFields />
      <p>
        <button type="button" className="btn btn-primary" onClick={() => void fly()}>
          <Play size={15} aria-hidden="true" /> Fly
        </button>
      </p>
      <UsualWords aircraft={aircraft} />
    </div>
  );
}

/** What helps the hands. */
function HelpFields({ aircraft, held_mps }: { aircraft: AircraftDocument; held_mps: number }) {
  const format = useFormat();
  const assistance = useFly((state) => state.assistance);
  const { help } = useFly.getState();
  const words = helpWords(aircraft);
  return (
    <fieldset className="grid gap-1">
      <legend className="text-sm text-ink2">Help, written into the result</legend>
      <CheckField
        label={`${words.attitude}; ${isAeroplane(aircraft) ? "otherwise they move the stick" : "keys ask for an attitude"}`}
        checked={assistance.attitude}
        onChange={(attitude) => help({ attitude })}
      />
      <CheckField label={words.ball} checked={assistance.ball} onChange={(ball) => help({ ball })} />
      <CheckField
        label={`The nose holds ${format("speed", held_mps)}`}
        checked={assistance.speed_mps !== null}
        onChange={(on) => help({ speed_mps: on ? held_mps : null })}
      />
      <div className="w-56">
        <BankLimit bank_rad={assistance.bank_rad} onChange={(bank_rad) => help({ bank_rad })} />
      </div>
    </fieldset>
  );
}

/** What of its motion is not its own. */
function UsualWords({ aircraft }: { aircraft: AircraftDocument }) {
  if (isAeroplane(aircraft) && aircraft.dynamics) return null;
  return (
    <p className="max-w-prose text-ink2">
      {isAeroplane(aircraft)
        ? "How it moves is usual of its kind, scaled by span and chord; its speeds, glide and climb are its own."
        : "How it turns and leans is usual of its kind; what its rotor carries, takes and loses is its own. The rotor is one disc here: no blade stalls by itself, the ground does not shake it, the tail stands in no wake."}
    </p>
  );
}

/** What another stage has asked for by the address: where it begins, and at what height it fails. */
function useAsked(departs: string | null): void {
  const [{ begins, height }, setAsked] = useQueryStates({ begins: parseAsString, height: parseAsFloat });
  useEffect(() => {
    if (begins === null) return;
    const hovers = begins === HOVER;
    const height_m = height !== null && height >= 15 && height <= 1500 ? { height_m: height } : {};
    const hover_m = height !== null && height >= 0.6 && height <= 600 ? { hover_m: height } : {};
    useFly.getState().choose({
      from: hovers ? HOVER : begins === "runway" ? (departs ?? AIR) : AIR,
      when: "set",
      ...(hovers ? hover_m : height_m),
    });
    void setAsked({ begins: null, height: null });
  }, [begins, height, departs, setAsked]);
}
