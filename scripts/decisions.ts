// npm run -s decisions [-- AIRCRAFT …]: headline, decision and call of every stage for forty situations of each
// aircraft with wings, to be read as an instructor would. Nothing is judged here; a sentence that a pilot would object
// to is a bug. Departures and flights do not depend on the height and are said with the first of the five.
import { isAerodrome } from "@/core/places/place";
import { cleanGlide } from "@/core/aircraft/configuration";
import { departureCalculation } from "@/core/calculations/departure";
import { departureChanceCalculation } from "@/core/calculations/departure-chance";
import { departureQuestion, departureRunways } from "@/core/departure/departure-question";
import { localPlane } from "@/core/earth/local-plane";
import { magneticVariation } from "@/core/earth/magnetic-variation";
import { elevationAt_m } from "@/core/earth/terrain";
import { approachKeys } from "@/core/landing/approach-keys";
import { distressCall } from "@/core/landing/distress-call";
import { ditching, ditchingQuestion } from "@/core/landing/ditching";
import { landingEnds } from "@/core/landing/landing-end";
import { landingChoice } from "@/core/landing/landing-choice";
import { landingQuestion } from "@/core/landing/landing-question";
import type { Site } from "@/core/landing/sites";
import { degrees, threeFigures } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { restartBudget } from "@/core/restart/restart-budget";
import { routeQuestion } from "@/core/route/asked-route";
import { detours } from "@/core/route/detour";
import { routeAnswer } from "@/core/route/route-answer";
import { routeField } from "@/core/route/route-field";
import { routeHere } from "@/core/route/route-here";
import { commitHeight, restartQuestion } from "@/core/restart/restart-question";
import type { SituationDocument } from "@/core/situation/situation-document";
import { gateDecision, gateHeadline } from "@/ui/answers/departure-words";
import { flightInWords, gapInWords, hereInWords, underInWords } from "@/ui/stages/en-route/route-words";
import { engineOutDecision, engineOutHeadline } from "@/ui/stages/engine-out/engine-out-words";
import { landingDecision, landingHeadline, landingIntention, whereInWords } from "@/ui/stages/landing/landing-words";
import { budgetHeadline, budgetSentence } from "@/ui/stages/restart/restart-words";
import { returnInWords, takeOffDecision, takeOffHeadline } from "@/ui/answers/take-off-words";
import { formatIn } from "@/ui/kit/units/units-store";
import { engineOutNow } from "@/core/asymmetric/engine-out";
import { takeOffAnswer } from "@/core/take-off/take-off-answer";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../demo/read-demo";

const FLEET = ["alder-s1", "rowan-r1", "thorn-v12", "larch-t2", "hornbeam-t2c", "cedar-j2"] as const;
const chosen = process.argv.slice(2);
const format = formatIn(DEFAULT_UNITS);
const places = demoPlaces();
const aerodromes = places.filter(isAerodrome);
const ends = landingEnds(places);
const terrain = demoTerrain();
const base = demoSituation();
const variation_rad = magneticVariation(base.position, new Date(`${base.day}T00:00:00Z`)).variation_rad;
const here = localPlane(terrain.origin).toPlane(base.position);
const ground_m = elevationAt_m(terrain, here.x_m, here.y_m) ?? 0;
/** Draws for the chance of turning back: enough to say a gate. */
const SAMPLES = 60;

/**
 * Mass by share of its range, temperature off the standard, surface wind, height: every pair of the extremes and what
 * lies between.
 */
const MASSES = [
  ["light", 0],
  ["heavy", 1],
] as const;
const AIRS = [
  ["cold", -30],
  ["hot", 25],
] as const;
const WINDS = [
  ["calm", 0, 0],
  ["45 kt from 250", 4.363, 45],
] as const;
const HEIGHTS = [
  ["far too low", 150],
  ["low", 450],
  ["demo", 700],
  ["high", 2440],
  ["far too high", 10_000],
] as const;

/** At how much of a flight its sentences are said. */
const SHARES = [0.02, 0.45, 0.75];

for (const name of chosen.length > 0 ? chosen : FLEET) {
  const aircraft = demoAircraft(name);
  for (const [mass, share] of MASSES)
    for (const [heat, deviation_K] of AIRS)
      for (const [blow, from_rad, wind_kt] of WINDS)
        for (const [i, [height, altitude_m]] of HEIGHTS.entries()) {
          const situation: SituationDocument = {
            ...base,
            aircraftId: name,
            altitude_m,
            configuration: cleanGlide(aircraft),
            mass_kg: aircraft.mass.minimum_kg + share * (aircraft.mass.maximum_kg - aircraft.mass.minimum_kg),
            air: { ...base.air, deviation_K },
            wind: { surface: wind_kt === 0 ? null : { from_rad, speed_mps: wind_kt * MPS_PER_KT }, layers: [] },
          };
          console.log(
            `\n${aircraft.name}: ${mass} ${format("mass", situation.mass_kg)}, ${heat}, ${blow}, ${height} ${format("height", altitude_m)}`,
          );
          if (i === 0) {
            if (aircraft.asymmetric) takeOff(situation);
            else departure(situation);
          }
          if (i === 0) enRoute(situation);
          if (aircraft.asymmetric) engineOut(situation);
          const site = landing(situation);
          restart(situation, site);
          if (i === 0) water(situation);
        }
}

function say(stage: string, ...lines: readonly string[]): void {
  for (const line of lines) console.log(`  ${stage.padEnd(10)} ${line.replace(/[\u00a0\u202f]/g, " ")}`);
}

function departure(situation: SituationDocument): void {
  const question = departureQuestion(situation, demoAircraft(situation.aircraftId), ends);
  if (!question.ok) return say("departure", question.issue.message);
  const scan = departureCalculation.run(departureCalculation.input.parse(question.value));
  if (!scan.ok) return say("departure", scan.issue.message);
  const chance = departureChanceCalculation.run(
    departureChanceCalculation.input.parse({ ...question.value, samples: SAMPLES }),
  );
  const told = {
    plan: question.value.plan,
    bands: scan.value.bands,
    gates: chance.ok ? chance.value.gates : null,
    computing: false,
  };
  const said = gateDecision(told, format);
  say("departure", `${question.value.runway.name}: ${gateHeadline(told, format).text}`, `${said.lead} ${said.rest}`);
}

function takeOff(situation: SituationDocument): void {
  const { departure: plan, oneEngine, mass_kg, centreOfGravity, air, wind } = situation;
  const [runway] = departureRunways(situation, ends);
  const answer = takeOffAnswer(
    {
      aircraft: demoAircraft(situation.aircraftId),
      mass_kg,
      centreOfGravity,
      air,
      wind,
      runway,
      intersection_m: plan.intersection_m,
      flap: plan.flap,
      failed: "left",
      plan: plan.twoEngines,
      oneEngine,
    },
    terrain,
  );
  if (!answer.ok) return say("departure", answer.issue.message);
  const said = takeOffDecision(answer.value, format);
  say(
    "departure",
    `${runway.name}: ${takeOffHeadline(answer.value, format).text}`,
    `${said.lead} ${said.rest}`,
    `return: ${returnInWords(answer.value.back, oneEngine.turns, format)}`,
  );
}

function enRoute(situation: SituationDocument): void {
  const question = routeQuestion(situation, demoAircraft(situation.aircraftId), places);
  const cover = routeField(question, terrain, terrain.origin, "nominal");
  if (!cover.ok) return say("en route", cover.issue.message);
  const flight = routeAnswer(question, cover.value, terrain);
  if (!flight.ok) return say("en route", flight.issue.message);
  const round = detours(question, cover.value, flight.value, terrain);
  const under = underInWords(flight.value, format);
  say("en route", flightInWords(flight.value, format), ...(under ? [under] : []));
  for (const share of SHARES) {
    const now = routeHere(question, cover.value, flight.value, share * flight.value.length_m);
    const said = hereInWords(now, now.point.track_rad, variation_rad, format);
    const gap = gapInWords(flight.value, round, now.point, question.route.altitude_m, format);
    say("en route", `${said.headline} ${said.text} ${gap ? `${gap.headline} ${gap.text}` : "No more gaps."}`);
  }
}

function engineOut({ aircraftId, mass_kg, centreOfGravity, altitude_m, air }: SituationDocument): void {
  const aircraft = demoAircraft(aircraftId);
  const jet = aircraft.engines.kind === "jet";
  const now = engineOutNow(
    {
      aircraft,
      mass_kg,
      centreOfGravity,
      altitude_m,
      air,
      failed: "left",
      gearDown: true,
      flap: 0,
      items: [],
      setting: 1,
      deadPropeller: jet ? "none" : "windmilling",
    },
    { kind: "bank", bank_rad: 0 },
    null,
  );
  if (!now.ok) return say("engine out", now.issue.message);
  const told = { ...now.value, jet, ground_m };
  const said = engineOutDecision(told, format);
  say("engine out", engineOutHeadline(told, format).text, `${said.lead} ${said.rest}`);
}

function landing(situation: SituationDocument): Site | null {
  const aircraft = demoAircraft(situation.aircraftId);
  const question = landingQuestion(situation, aircraft, ends);
  const choice = landingChoice(question, terrain);
  if (!choice.ok) {
    say("landing", choice.issue.message);
    return null;
  }
  const [best] = choice.value.sites.sites;
  const { ends: _ends, landing: plan, day: _day, ...input } = question;
  const keys = approachKeys(input, best.end, terrain.origin);
  const said = landingDecision(
    {
      site: best,
      best,
      reserve_m: situation.plan.reserve_m,
      tailwindLimit_mps: plan.tailwindLimit_mps,
      crosswindLimit_mps: choice.value.sites.crosswindLimit_mps,
      intoWind_mps: choice.value.sites.intoWind_mps,
      elevation_m: best.end.elevation_m,
      advice: keys.ok ? keys.value.advice : null,
    },
    format,
  );
  say(
    "landing",
    landingHeadline(best, format).text,
    `${said.headline} ${said.text}`,
    whereInWords(best.reach, situation.heading_rad, variation_rad, format),
  );
  call(situation, landingIntention(best, plan.call.nature));
  return best;
}

function call(
  { aircraftId, position, altitude_m, heading_rad, landing: { call: plan } }: SituationDocument,
  intention: string,
): void {
  const outcome = distressCall({
    plan,
    type: demoAircraft(aircraftId).name,
    position,
    altitude_m,
    headingTrue_rad: heading_rad,
    variation_rad,
    places: aerodromes.map((place) => ({ name: place.name, position: place.position })),
    intention,
    station: null,
  });
  say("call", outcome.ok ? outcome.value.lines.map((line) => line.text).join(". ") : outcome.issue.message);
}

function restart(situation: SituationDocument, site: Site | null): void {
  const aircraft = demoAircraft(situation.aircraftId);
  for (const stopped of aircraft.asymmetric ? (["left", "both"] as const) : (["left"] as const)) {
    const asked = { ...situation, restart: { ...situation.restart, stopped } };
    const commit = commitHeight(asked, aircraft, site, ground_m);
    const question = restartQuestion(asked, aircraft, commit.altitude_m, ground_m);
    const budget = restartBudget(question);
    const stage = aircraft.asymmetric ? `${stopped} dead` : "restart";
    if (!budget.ok) say(stage, budget.issue.message);
    else {
      const said = budgetSentence(budget.value, question, situation.oneEngine.leastHeight_m, format);
      say(
        stage,
        `${budgetHeadline(budget.value, question).text} — commit ${format("height", commit.altitude_m)}: ${said.lead} ${said.rest}`,
      );
    }
  }
}

function water(situation: SituationDocument): void {
  const question = ditchingQuestion(situation, demoAircraft(situation.aircraftId));
  const answer = question.ok ? ditching(question.value) : question;
  if (!answer.ok) return say("ditching", answer.issue.message);
  const { best, why, touchdownEas_mps } = answer.value;
  say(
    "ditching",
    `heading ${threeFigures(best.heading_rad - variation_rad)}° magnetic; ${why} Touchdown ${format("speed", touchdownEas_mps)}, ${format("speed", best.groundSpeed_mps)} over the water, crosswind ${format("speed", Math.abs(best.crosswind_mps))}; nose ${Math.round(degrees(answer.value.pitch_rad))}° up`,
  );
}
