// npm run -s decisions [-- AIRCRAFT …]: headline, decision and call of the stages for forty situations of each aircraft with wings, to be
// read as an instructor would. Nothing is judged here; a sentence that a pilot would object to is a bug.
import { cleanGlide } from "@/core/aircraft/configuration";
import { magneticVariation } from "@/core/earth/magnetic-variation";
import { approachKeys } from "@/core/landing/approach-keys";
import { distressCall } from "@/core/landing/distress-call";
import { landingEnds } from "@/core/landing/landing-end";
import { landingChoice, landingQuestion } from "@/core/landing/landing-choice";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import type { SituationDocument } from "@/core/situation/situation-document";
import { landingDecision, landingHeadline, landingIntention, whereInWords } from "@/ui/landing/landing-words";
import { formatIn } from "@/ui/units/units-store";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../demo/read-demo";

const FLEET = ["alder-s1", "rowan-r1", "thorn-v12", "larch-t2", "hornbeam-t2c", "cedar-j2"] as const;
const chosen = process.argv.slice(2);
const format = formatIn(DEFAULT_UNITS);
const { aerodromes, sites } = demoPlaces();
const ends = landingEnds(aerodromes, sites);
const terrain = demoTerrain();
const base = demoSituation();
const variation_rad = magneticVariation(base.position, new Date(`${base.day}T00:00:00Z`)).variation_rad;

/** Mass by share of its range, temperature off the standard, surface wind, height: every pair of the extremes and what lies between. */
const MASSES = [["light", 0], ["heavy", 1]] as const;
const AIRS = [["cold", -30], ["hot", 25]] as const;
const WINDS = [["calm", 0, 0], ["45 kt from 250", 4.363, 45]] as const;
const HEIGHTS = [["far too low", 150], ["low", 450], ["demo", 700], ["high", 2440], ["far too high", 10_000]] as const;

for (const name of chosen.length > 0 ? chosen : FLEET) {
  const aircraft = demoAircraft(name);
  for (const [mass, share] of MASSES) for (const [heat, deviation_K] of AIRS) for (const [blow, from_rad, wind_kt] of WINDS) for (const [height, altitude_m] of HEIGHTS) {
    const situation: SituationDocument = {
      ...base, aircraftId: name, altitude_m, configuration: cleanGlide(aircraft),
      mass_kg: aircraft.mass.minimum_kg + share * (aircraft.mass.maximum_kg - aircraft.mass.minimum_kg),
      air: { ...base.air, deviation_K }, wind: { surface: wind_kt === 0 ? null : { from_rad, speed_mps: wind_kt * MPS_PER_KT }, layers: [] },
    };
    console.log(`\n${aircraft.name}: ${mass} ${format("mass", situation.mass_kg)}, ${heat}, ${blow}, ${height} ${format("height", altitude_m)}`);
    landing(situation);
  }
}

function say(stage: string, ...lines: readonly string[]): void {
  for (const line of lines) console.log(`  ${stage.padEnd(10)} ${line.replace(/[\u00a0\u202f]/g, " ")}`);
}

function landing(situation: SituationDocument): void {
  const aircraft = demoAircraft(situation.aircraftId);
  const question = landingQuestion(situation, aircraft, ends);
  const choice = landingChoice(question, terrain);
  if (!choice.ok) return say("landing", choice.issue.message);
  const [best] = choice.value.sites.sites;
  const { ends: _ends, landing: plan, day: _day, ...input } = question;
  const keys = approachKeys(input, best.end, terrain.origin);
  const said = landingDecision({ site: best, best, reserve_m: situation.plan.reserve_m, tailwindLimit_mps: plan.tailwindLimit_mps, crosswindLimit_mps: choice.value.sites.crosswindLimit_mps, intoWind_mps: choice.value.sites.intoWind_mps, elevation_m: best.end.elevation_m, advice: keys.ok ? keys.value.advice : null }, format);
  const call = distressCall({ plan: plan.call, type: aircraft.name, position: situation.position, altitude_m: situation.altitude_m, headingTrue_rad: situation.heading_rad, variation_rad, places: aerodromes.map(({ name, position }) => ({ name, position })), intention: landingIntention(best, plan.call.nature), station: null });
  say("landing", landingHeadline(best, format).text, `${said.headline} ${said.text}`, whereInWords(best.reach, situation.heading_rad, variation_rad, format), call.ok ? (call.value.lines.find((line) => line.part === "intention")?.text ?? "") : call.issue.message);
}
