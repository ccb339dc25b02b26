// Take-offs of the demo world's twins and jet, for tests and benchmarks.
import { landingEnds } from "@/core/landing/landing-end";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_ONE_ENGINE } from "@/core/situation/one-engine-plan";
import { DEFAULT_TAKE_OFF, type TakeOffPlan } from "@/core/situation/take-off-plan";
import { type TakeOffDay, type TakeOffQuestion, takeOffDay } from "@/core/take-off/take-off-day";
import { demoAircraft, demoPlaces } from "./read-demo";

/** What a test may want otherwise. */
interface Otherwise extends Partial<Omit<TakeOffQuestion, "plan" | "aircraft" | "wind">> {
  readonly name?: string;
  readonly headwind_kt?: number;
  readonly plan?: Partial<TakeOffPlan>;
}

/**
 * The question: Larch T2 from Skerrow 29 in still standard air, centre of gravity in the middle. The jet leaves from
 * Cape Orrin 26.
 */
export function demoTakeOffQuestion({
  name = "larch-t2",
  headwind_kt = 0,
  plan,
  ...change
}: Otherwise = {}): TakeOffQuestion {
  const places = demoPlaces();
  const runway = landingEnds(places).find((end) => end.name === (name === "cedar-j2" ? "Cape Orrin 26" : "Skerrow 29"));
  if (!runway) throw new Error("demoTakeOffQuestion: expected the runway, got none");
  const aircraft = demoAircraft(name);
  const reverse = (runway.headingTrue_rad + Math.PI) % (2 * Math.PI);
  return {
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    centreOfGravity: 0.5,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    runway,
    intersection_m: 0,
    flap: null,
    failed: "left",
    wind: {
      surface:
        headwind_kt === 0
          ? null
          : {
              from_rad: headwind_kt > 0 ? runway.headingTrue_rad : reverse,
              speed_mps: Math.abs(headwind_kt) * MPS_PER_KT,
            },
      layers: [],
    },
    plan: { ...DEFAULT_TAKE_OFF, ...plan },
    oneEngine: DEFAULT_ONE_ENGINE,
    ...change,
  };
}

/** The same, set up. */
export function demoTakeOff(otherwise: Otherwise = {}): TakeOffDay {
  const day = takeOffDay(demoTakeOffQuestion(otherwise));
  if (!day.ok) throw new Error(`demoTakeOff: expected a take-off, got ${day.issue.message}`);
  return day.value;
}
