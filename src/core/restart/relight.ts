// Lighting a jet engine again: the envelope in calibrated speed and pressure altitude, attempts at windmilling speed
// and with auxiliary power at gliding speed, what dive and slowing down cost, and how many attempts end above the
// commit height.
import { type RelightDescent, type RelightPoint, relightDescent } from "./relight-descent";
import type { EnvelopeCorner } from "./relight-envelope";
import { z } from "zod";
import { polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { airspeedsFromCas, airspeedsFromEas } from "../air/airspeed";
import { bestGlide } from "../glide/straight-glide";
import { type Outcome, failure, success } from "../outcome";
import { RestartQuestion } from "./restart-budget";

/** What a relight is planned from. */
export const RelightQuestion = RestartQuestion.omit({ reaction_s: true, flow: true }).extend({
  /** Chance of one attempt, as the user judges it. */
  chance: z.number().min(0, "A chance is 0 to 1.").max(1, "A chance is 0 to 1."),
  /** With auxiliary power, where it differs. */
  assistedChance: z.number().min(0, "A chance is 0 to 1.").max(1, "A chance is 0 to 1.").optional(),
});
/** @see RelightQuestion */
export type RelightQuestion = z.infer<typeof RelightQuestion>;

/** How an attempt is made. */
export type RelightKind = "windmill" | "assisted";

/** One attempt. */
export interface RelightAttempt {
  readonly from: RelightPoint;
  readonly to: RelightPoint;
}

/** Attempts of one kind as far as height allows. */
export interface RelightPlan {
  readonly kind: RelightKind;
  readonly cas_mps: number;
  readonly attempts: readonly RelightAttempt[];
  /** Height that the dive takes beyond gliding the same time, m. */
  readonly dive_m: number;
  /**
   * What levelling off and slowing down to best glide after the last attempt is worth: the height a glide would lose
   * meanwhile, m.
   */
  readonly back_m: number;
  /** Altitude left over the commit height after the last attempt, slowing down not counted. */
  readonly left_m: number;
  /** That one of them succeeds. */
  readonly chance: number;
  readonly path: readonly RelightPoint[];
  /** Why there is no attempt; null when there is one. */
  readonly why: string | null;
}

/**
 * The plan of one kind: recognition at gliding speed, the dive to windmilling speed or the wait for auxiliary power,
 * then attempts with the gap between them while each ends above the commit height and inside the envelope.
 *
 * @returns failures of the polar; `not_subsonic` when glide or attempt would be; `no_relight` for aircraft without an
 *   envelope; `commit_below_ground`
 */
export function relightPlan(question: RelightQuestion, kind: RelightKind): Outcome<RelightPlan> {
  const { aircraft, mass_kg, configuration, air, altitude_m, commit_m, ground_m } = question;
  const { relight } = aircraft;
  if (!relight) return failure("no_relight", `${aircraft.name} has no relight envelope.`, "aircraft");
  if (!(commit_m > ground_m))
    return failure(
      "commit_below_ground",
      "The commit height is at or below the ground: it must leave height to land with.",
      "commit_m",
    );
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const { polar } = configured.value;
  const gliding = airspeedsFromEas(bestGlide(polar).eas_mps, airAtAltitude(altitude_m, air));
  if (!gliding.ok) return gliding;
  const envelope = relight[kind];
  const target_mps =
    kind === "windmill" ? relight.windmillSpeed_mps : Math.max(gliding.value.cas_mps, slowestOf_mps(envelope));
  // Lower down the Mach number of a calibrated speed falls: what is subsonic here stays so.
  const attempting = airspeedsFromCas(target_mps, airAtAltitude(altitude_m, air));
  if (!attempting.ok) return attempting;

  const descent = relightDescent(polar, air, target_mps, altitude_m, commit_m);
  descent.glide(relight.recognition_s, "present");
  if (kind === "assisted") descent.glide(Math.max(relight.auxiliaryPower_s - relight.recognition_s, 0), "present");
  const dive = descent.dive();
  const { attempts, why } = dive.there
    ? attemptsOf(descent, relight, envelope, commit_m)
    : { attempts: [], why: "It does not reach this speed in a dive before the commit height." };
  const last_m = attempts.at(-1)?.to.altitude_m ?? null;
  return success({
    kind,
    cas_mps: target_mps,
    attempts,
    dive_m: dive.cost_m,
    back_m: last_m === null ? 0 : descent.slowing_m(last_m),
    path: descent.path(),
    why,
    left_m: (last_m ?? altitude_m) - commit_m,
    chance: 1 - (1 - chanceOf(question, kind)) ** attempts.length,
  });
}

/** Attempts while each ends above the commit height and inside the envelope, and why there is none. */
function attemptsOf(
  descent: RelightDescent,
  { attempt_s, gap_s }: { readonly attempt_s: number; readonly gap_s: number },
  envelope: readonly EnvelopeCorner[],
  commit_m: number,
): Pick<RelightPlan, "attempts" | "why"> {
  const attempts: RelightAttempt[] = [];
  // Every attempt lasts, so that the commit height ends this.
  for (;;) {
    descent.glideInto(envelope);
    const from = descent.point();
    const flown = descent.isIn(envelope);
    const ended = descent.keepIf(
      () =>
        flown && descent.glide(attempt_s, "target") && descent.isIn(envelope) && descent.point().altitude_m >= commit_m,
    );
    if (!ended) {
      const none = flown
        ? "The first attempt would end below the commit height."
        : "The speed and height are outside the envelope all the way down to the commit height.";
      return { attempts, why: attempts.length > 0 ? null : none };
    }
    attempts.push({ from, to: descent.point() });
    descent.glide(gap_s, "target");
  }
}

function chanceOf({ chance, assistedChance }: RelightQuestion, kind: RelightKind): number {
  return kind === "assisted" ? (assistedChance ?? chance) : chance;
}

function slowestOf_mps(envelope: readonly EnvelopeCorner[]): number {
  return Math.min(...envelope.map((corner) => corner.speedCalibrated_mps));
}

/** Both plans, and the one with the better chance; with equal chance the one that leaves more height. */
export function relightPlans(
  question: RelightQuestion,
): Outcome<{ windmill: RelightPlan; assisted: RelightPlan; better: RelightKind | null }> {
  const windmill = relightPlan(question, "windmill");
  if (!windmill.ok) return windmill;
  const assisted = relightPlan(question, "assisted");
  if (!assisted.ok) return assisted;
  const [w, a] = [windmill.value, assisted.value];
  const better =
    w.attempts.length === 0 && a.attempts.length === 0
      ? null
      : w.chance > a.chance || (w.chance === a.chance && w.left_m > a.left_m)
        ? "windmill"
        : "assisted";
  return success({ windmill: w, assisted: a, better });
}
