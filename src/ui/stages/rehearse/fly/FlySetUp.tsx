"use client";
import { Play } from "lucide-react";
import { parseAsFloat, parseAsString, useQueryStates } from "nuqs";
import { useEffect, useMemo } from "react";
import { toast } from "sonner";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
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
import { GamepadFields } from "./gamepad/GamepadFields";
import { beginFlight, letGo } from "./flight-lane";
import { FAILURE_WORDS, setUpOf, setUpWords, speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";
import type { FlySet } from "./useFlySet";

const AIR = "air";
const NONE = "none";

/** What is flown, in one sentence and the few choices that it is made of. */
export function FlySetUp({ aircraft, set }: { aircraft: Aeroplane; set: FlySet }) {
  const format = useFormat();
  useAsked(set.departs?.id ?? null);
  const { choice, assistance } = useFly();
  const { choose, help } = useFly.getState();
  const { runways, situation } = set;
  const from = runways.find(({ id }) => id === choice.from) ?? null;
  const words = setUpWords({ ...choice, from: from?.id ?? AIR }, from, aircraft, format);
  const { exercises } = exercisesOf(aircraft);
  // Those that are flown from the air with these keys: not what needs a runway's approach or a crew.
  const aloft = exercises.filter(({ setUp }) => setUp.height_m > 500);
  const exercise = aloft.find(({ id }) => id === choice.exerciseId) ?? null;
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
      choice: { ...choice, from: from?.id ?? AIR },
      begins_m: exercise?.setUp.height_m ?? null,
      chance,
    });
    const under = { flown, words, exerciseId: exercise?.id ?? null, procedure, fails: planned.length > 0 };
    const issue = await beginFlight(under, planned, assistance);
    if (issue) toast(issue.message);
    else await letGo(true);
  };
  const failures = (Object.keys(FAILURE_WORDS) as FailureKind[]).map((value) => ({
    value,
    label: FAILURE_WORDS[value],
  }));
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
                    from: AIR,
                    failure: id.startsWith("engine-failure") ? "ignition" : NONE,
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
          value={from?.id ?? AIR}
          onChange={(value) => choose({ from: value })}
          choices={[
            { value: AIR, label: "in the air, as the situation stands" },
            ...runways.map(({ id, name }) => ({ value: id, label: `take-off, ${name}` })),
          ]}
        />
        <ChoiceField
          label="Fails"
          value={choice.failure}
          onChange={(value) => choose({ failure: value as FailureKind | "none" })}
          choices={[{ value: NONE, label: "nothing" }, ...failures]}
        />
        {choice.failure !== NONE && (
          <ChoiceField
            label="When"
            value={choice.known ? "known" : "surprise"}
            onChange={(value) => choose({ known: value === "known" })}
            choices={[
              { value: "known", label: from ? "at a height" : "in three seconds" },
              { value: "surprise", label: "as a surprise" },
            ]}
          />
        )}
        {choice.failure !== NONE && from && (
          <QuantityField
            label="Height above the runway"
            kind="height"
            value={choice.height_m}
            check={(value) => (value >= 15 && value <= 1500 ? null : "From 50 to 5 000 ft.")}
            onChange={(height_m) => choose({ height_m })}
          />
        )}
        {choice.failure !== NONE && aircraft.engines.count === 2 && (
          <ChoiceField
            label="Engine"
            value={choice.engine}
            onChange={(engine) => choose({ engine })}
            choices={[
              { value: "either", label: "one of the two" },
              { value: "left", label: "left" },
              { value: "right", label: "right" },
            ]}
          />
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
      <fieldset className="grid gap-1">
        <legend className="text-sm text-ink2">Help, written into the result</legend>
        <CheckField
          label="Keys hold an attitude; otherwise they move the stick"
          checked={assistance.attitude}
          onChange={(attitude) => help({ attitude })}
        />
        <CheckField label="The feet hold the ball" checked={assistance.ball} onChange={(ball) => help({ ball })} />
        <CheckField
          label={`The nose holds ${format("speed", speedToHold_mps(aircraft, situation.mass_kg))}`}
          checked={assistance.speed_mps !== null}
          onChange={(on) => help({ speed_mps: on ? speedToHold_mps(aircraft, situation.mass_kg) : null })}
        />
      </fieldset>
      <GamepadFields />
      <p>
        <button type="button" className="btn btn-primary" onClick={() => void fly()}>
          <Play size={15} aria-hidden="true" /> Fly
        </button>
      </p>
      {!aircraft.dynamics && (
        <p className="max-w-prose text-ink2">
          How it moves is usual of its kind, scaled by span and chord; its speeds, glide and climb are its own.
        </p>
      )}
    </div>
  );
}

/** What another stage has asked for by the address: where it begins, and at what height it fails. */
function useAsked(departs: string | null): void {
  const [{ begins, height }, setAsked] = useQueryStates({ begins: parseAsString, height: parseAsFloat });
  useEffect(() => {
    if (begins === null) return;
    const height_m = height !== null && height >= 15 && height <= 1500 ? { height_m: height } : {};
    useFly.getState().choose({ from: begins === "runway" ? (departs ?? AIR) : AIR, known: true, ...height_m });
    void setAsked({ begins: null, height: null });
  }, [begins, height, departs, setAsked]);
}
