import { airState } from "../air/atmosphere";
import { pressureAltitudeOnQnh_m } from "../air/altimetry";
import { type Outcome, failure, success } from "../outcome";
import { G0, P0_PA, T0_K } from "../quantities/constants";
import type { AsymmetricQuestion } from "./asymmetric-question";
import type { AsymmetricCase } from "./asymmetric-case";
import { deadDragArea_m2 } from "../engine/engine-force";
import { rudderPower } from "./rudder-power";

/**
 * Sets up one-engine flight. @returns `not_a_twin`, `no_such_flap`, `no_such_propeller_state`, `outside_atmosphere`,
 * `no_anchor`
 */
export function asymmetricCase(question: AsymmetricQuestion): Outcome<AsymmetricCase> {
  const { aircraft } = question;
  if (
    !aircraft.asymmetric ||
    !aircraft.wing ||
    !aircraft.polar ||
    (aircraft.engines.kind !== "propeller" && aircraft.engines.kind !== "jet") ||
    aircraft.engines.count !== 2
  )
    return failure(
      "not_a_twin",
      `${aircraft.name} has no two engines with the figures that control on one of them needs.`,
      "aircraft",
    );
  const outcome = unanchored(question);
  if (!outcome.ok) return outcome;
  // The certification case of the published speed: 14 CFR 23.149 as it was before 2017 (memory).
  const certified = unanchored({
    ...question,
    mass_kg: aircraft.mass.calibration_kg ?? aircraft.mass.minimum_kg,
    centreOfGravity: 1,
    altitude_m: 0,
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    flap: aircraft.polar.takeOffFlap,
    gearDown: false,
    items: [],
    deadPropeller: aircraft.engines.kind === "jet" ? "none" : "windmilling",
    failed: "left",
    setting: 1,
  });
  if (!certified.ok) return certified;
  const cnDeltaR = rudderPower({ ...certified.value, cnDeltaR: 0 });
  if (cnDeltaR === null)
    return failure(
      "no_anchor",
      "No rudder power makes this aeroplane's published minimum control speed: check it, the engines' arm and power.",
      "aircraft",
    );
  return success({ ...outcome.value, cnDeltaR });
}

/**
 * The same aeroplane in another state of affairs: its rudder's power is known already. @returns failures as
 * `asymmetricCase` without the anchor's
 */
export function caseOfSameRudder(question: AsymmetricQuestion, cnDeltaR: number): Outcome<AsymmetricCase> {
  const outcome = unanchored(question);
  return outcome.ok ? success({ ...outcome.value, cnDeltaR }) : outcome;
}

/** Everything but the rudder's power, which is anchored on the published speed. */
function unanchored(question: AsymmetricQuestion): Outcome<Omit<AsymmetricCase, "cnDeltaR">> {
  const { aircraft, altitude_m, air } = question;
  const { asymmetric, wing, polar, engines } = aircraft;
  if (!asymmetric || !wing || !polar) throw new Error("unanchored: expected a twin, got none");
  const flap = polar.flaps[question.flap];
  if (!flap) return failure("no_such_flap", `${aircraft.name} has no flap setting ${question.flap}.`, "flap");
  const deadArea_m2 = deadDragArea_m2(aircraft, question.deadPropeller);
  if (deadArea_m2 === null)
    return failure(
      "no_such_propeller_state",
      `The propeller of ${aircraft.name} cannot be ${question.deadPropeller}.`,
      "deadPropeller",
    );
  const pressureAltitude = pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa);
  if (!(pressureAltitude > -2000 && pressureAltitude < 20_000))
    return failure(
      "outside_atmosphere",
      "The atmosphere model holds from −2 000 m to 20 000 m (about 65 000 ft).",
      "altitude_m",
    );
  const state = airState(pressureAltitude, air.deviation_K);
  const criticalHeight_m = engines.kind === "propeller" ? engines.criticalHeight_m : null;
  const s = question.failed === "left" ? 1 : -1;
  const rotations = engines.kind === "propeller" ? engines.propeller.rotation : [];
  return success({
    question,
    asymmetric,
    wing,
    state,
    deadArea_m2,
    liveSide: s,
    weight_N: question.mass_kg * G0,
    engineAir: {
      density: state.density,
      delta: state.pressure_Pa / P0_PA,
      theta: state.temperature_K / T0_K,
      speedOfSound_mps: state.speedOfSound_mps,
    },
    sigmaCritical: criticalHeight_m === null ? null : airState(criticalHeight_m, 0).sigma,
    cd0:
      polar.cd0 +
      flap.deltaCd +
      (question.gearDown ? polar.gear.deltaCd : 0) +
      polar.items.reduce((sum, item) => sum + (question.items.includes(item.id) ? item.deltaCd : 0), 0),
    k: polar.k,
    clMax: flap.clMax,
    flapCl0: flap.deltaCl0,
    rotation: rotations[s === 1 ? rotations.length - 1 : 0] ?? 0,
    cg_m: (1 - question.centreOfGravity) * asymmetric.forwardCg_m,
  });
}
