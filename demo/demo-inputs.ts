// A valid question for every calculation, about the demo world: for tests of the registry and for the fuzz, which
// changes them.
import { EXERCISES } from "../src/core/exercise/library";
import { jetFire } from "../src/core/procedure/library/jet";
import { isAerodrome } from "@/core/places/place";
import { landingEnds } from "@/core/landing/landing-end";
import { rotorReachQuestion } from "../src/core/landing/rotor-reach";
import { reachQuestion } from "@/core/landing/reach-question";
import { cleanGlide } from "@/core/aircraft/configuration";
import { driftQuestion } from "@/core/drift/asked-drift";
import { routeQuestion } from "@/core/route/asked-route";
import { demoDepartureQuestion } from "./demo-departure";
import { demoTakeOffQuestion } from "./demo-take-off";
import { demoTwinQuestion } from "./demo-twin";
import { demoLog } from "./read-logs";
import { demoSeries } from "./demo-series";
import { turnBackLegs } from "../src/core/simulation/turn-back-legs";
import { demoAircraft, demoGyroplane, demoHelicopter, demoPlaces, demoSituation } from "./read-demo";

const alder = demoAircraft("alder-s1");
const places = demoPlaces();
const aerodromes = places.filter(isAerodrome);
const situation = demoSituation();
const { configuration, air, wind, pilot } = situation;

/** A drift-down has two altitudes of its own. */
function withoutAltitude({ altitude_m, ...question }: ReturnType<typeof demoTwinQuestion>): Record<string, unknown> {
  if (altitude_m !== 0) throw new Error(`withoutAltitude: expected sea level, got ${altitude_m}`);
  return question;
}

function withoutConfiguration({
  flap: _flap,
  gearDown: _gear,
  setting: _setting,
  ...question
}: ReturnType<typeof demoTwinQuestion>): Record<string, unknown> {
  return question;
}

function withoutEnds({ ends: [end], ...question }: ReturnType<typeof reachQuestion>): Record<string, unknown> {
  return { ...question, end };
}

const route = routeQuestion(situation, alder, places);
const larch = demoAircraft("larch-t2");
const twin = { ...situation, mass_kg: larch.mass.maximum_kg, configuration: cleanGlide(larch) };

const hazel = demoHelicopter();
const hover = { aircraft: hazel, mass_kg: 2800, altitude_m: 300, air: situation.air };
const gyro = { aircraft: demoGyroplane(), mass_kg: 450, altitude_m: 300, air: situation.air };

/** A flown flight needs no route, only what counts as a place. */
function flownOver({ route: { overhead_m, places: counted, points }, ...question }: typeof route): object {
  const [from, to] = [points[0].position, points[1].position];
  const track = Array.from({ length: 13 }, (_, i) => ({
    time_s: 18 * i,
    position: {
      latitude_deg: from.latitude_deg + ((to.latitude_deg - from.latitude_deg) * i) / 12,
      longitude_deg: from.longitude_deg + ((to.longitude_deg - from.longitude_deg) * i) / 12,
    },
    altitude_m: 762,
    groundSpeed_mps: 50,
    phase: "level",
  }));
  return { ...question, route: { overhead_m, places: counted }, track };
}

/** By the calculation's name. */
export const DEMO_INPUTS: Readonly<Record<string, object>> = {
  atmosphere: { altitude_m: 1524, deviation_K: 19.906 },
  airspeed: { from: "cas", value: 128.61, altitudePressure_m: 3048 },
  metar: { text: "TRSK 241200Z 25014KT 9999 12/08 Q1016", elevation_m: 19 },
  fit: {
    mass_kg: 1100,
    wingArea_m2: 16.5,
    span_m: 11,
    vbg_mps: 34.33,
    bestGlideRatio: 9,
    stall_mps: [{ flap: "up", speed_mps: 26.68 }],
    points: [{ eas_mps: 45, sink_mps: 6 }],
  },
  cover: { ...route, points: [situation.position, route.route.points[0].position] },
  route: { ...route, at_m: 20_000 },
  "one-engine-route": { ...driftQuestion(twin, larch, places), at_m: 20_000 },
  "equal-time": {
    points: route.route.points,
    first: route.route.points[0].position,
    second: route.route.points[route.route.points.length - 1].position,
    tas_mps: 40,
    altitude_m: 1500,
    wind,
  },
  loading: { plan: alder.loading, load: situation.load },
  polar: { aircraft: alder, mass_kg: 1100, configuration },
  turn: {
    aircraft: alder,
    mass_kg: 1100,
    configuration,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    altitude_m: 0,
    bank_rad: Math.PI / 4,
    eas_mps: 34.661113,
  },
  glide: {
    aircraft: alder,
    mass_kg: 1100,
    configuration,
    air,
    wind,
    altitude_m: 700,
    trackTrue_rad: 2.4,
    bank_rad: pilot.bank_rad,
    stallMargin: pilot.stallMargin,
  },
  path: { ...reachQuestion(situation, alder, landingEnds(places).slice(0, 4)), day: situation.day },
  turnback: { ...demoDepartureQuestion(), height_m: 200 },
  departure: { ...demoDepartureQuestion(), heights_m: [50, 150, 300] },
  control: { ...demoTwinQuestion(), eas_mps: 41.67 },
  vmca: { ...demoTwinQuestion(), bank_rad: 0.0873 },
  "one-engine-climb": { ...demoTwinQuestion({ gearDown: true }) },
  ceilings: { ...demoTwinQuestion({ deadPropeller: "feathered" }) },
  driftdown: {
    ...withoutAltitude(demoTwinQuestion({ deadPropeller: "feathered" })),
    from_m: 4267.2,
    to_m: 2743.2,
    eas_mps: 41.67,
  },
  "zero-thrust": { ...demoTwinQuestion(), eas_mps: 43 },
  accelerate: demoTakeOffQuestion({ mass_kg: 1600 }),
  segments: {
    aircraft: demoAircraft("cedar-j2"),
    mass_kg: 41_000,
    altitude_m: 2500,
    air: { qnh_Pa: 101_325, deviation_K: 25 },
  },
  "restart-budget": {
    aircraft: alder,
    mass_kg: 1000,
    configuration,
    air,
    altitude_m: 1200,
    commit_m: 450,
    ground_m: 20,
    reaction_s: 4,
  },
  relight: {
    aircraft: demoAircraft("cedar-j2"),
    mass_kg: 41_000,
    configuration: { ...configuration, propeller: "windmilling", flap: 0, gearDown: false },
    air,
    altitude_m: 4267,
    commit_m: 900,
    ground_m: 20,
    chance: 0.4,
  },
  "minutes-left": {
    aircraft: alder,
    mass_kg: 1000,
    configuration,
    air,
    wind,
    altitude_m: 1200,
    ground_m: 20,
    left_s: 300,
  },
  sites: { ...reachQuestion(situation, alder, landingEnds(places).slice(0, 4)), day: situation.day },
  keys: { ...withoutEnds(reachQuestion(situation, alder, landingEnds(places).slice(0, 1))) },
  "lose-height": {
    aircraft: alder,
    mass_kg: 1000,
    configuration,
    air,
    elevation_m: 20,
    height_m: 300,
    lose_m: 90,
    tailwind_mps: -4,
    bank_rad: pilot.bank_rad,
    stallMargin: pilot.stallMargin,
  },
  "one-engine-approach": { ...withoutConfiguration(demoTwinQuestion({ deadPropeller: "feathered" })) },
  touchdown: {
    aircraft: alder,
    mass_kg: 1000,
    configuration,
    air,
    elevation_m: 20,
    tailwind_mps: -4,
    flap: null,
    length_m: 150,
    surface: "grass",
    stopping: 0.3,
  },
  ditching: {
    aircraft: demoAircraft("cedar-j2"),
    mass_kg: 41_000,
    configuration: { ...configuration, propeller: "windmilling", flap: 0, gearDown: false },
    air,
    windFrom_rad: 4,
    wind_mps: 10,
    swells: situation.landing.swells,
    flap: null,
  },
  call: {
    plan: situation.landing.call,
    type: "Alder S1",
    position: situation.position,
    altitude_m: 700,
    headingTrue_rad: 0.7,
    variation_rad: 0.48,
    places: aerodromes.map(({ name, position }) => ({ name, position })),
    intention: "landing at Skerrow",
    station: null,
  },
  "departure-chance": { ...demoDepartureQuestion(), heights_m: [150, 250], samples: 20, hindsight: true },
  "oei-hover": { ...hover, wind_mps: 5, skids_m: 12, needed_s: 25 },
  ratings: {
    ...hover,
    samples: [
      { time_s: 0, power_W: 540_000 },
      { time_s: 20, power_W: 400_000 },
      { time_s: 60, power_W: 400_000 },
    ],
  },
  "fly-away": { ...hover, wind_mps: 5, rating: "30 s" },
  autorotation: { ...hover, headwind_mps: 5 },
  "rotor-path": rotorReachQuestion({ ...situation, mass_kg: 2800 }, hazel, landingEnds(places).slice(0, 4)),
  "gyro-glide": { ...gyro, headwind_mps: 5 },
  "gyro-recovery": { ...gyro, from_mps: 10 },
  "rudder-authority": gyro,
  "procedure-check": {
    procedure: jetFire,
    dead: "right",
    events: [
      { type: "say", actor: "monitoring" },
      { type: "say", actor: "flying" },
      { type: "name", actor: "monitoring", side: "left" },
    ],
  },
  "exercise-score": {
    exercise: EXERCISES[0],
    trace: {
      source: "log",
      time_s: [0, 10, 20, 30],
      channels: { height: [900, 915, 945, 910], heading: [6.2, 6.25, 0.02, 6.2] },
    },
    drill: { over: true, ground: false, took_s: 95, wrong: 0, slow: 1, back: 0, lost_m: 0 },
  },
  "track-read": { text: demoLog("turnback.igc") },
  "track-measure": {
    text: demoLog("turnback.igc"),
    aircraft: alder,
    mass_kg: 1000,
    deviation_K: 8,
    ends: landingEnds(places).slice(0, 4),
  },
  refit: {
    aircraft: alder,
    mass_kg: 1000,
    glides: [
      { eas_mps: 30.5, tas_mps: 32.6, sink_mps: 3.71, sinkSigma_mps: 0.12 },
      { eas_mps: 35.7, tas_mps: 38, sink_mps: 4.28, sinkSigma_mps: 0.12 },
      { eas_mps: 44.7, tas_mps: 47.5, sink_mps: 6.37, sinkSigma_mps: 0.12 },
    ],
  },
  exposure: flownOver(route),
  series: demoSeries(alder),
  simulate: {
    setUp: {
      aircraft: alder,
      mass_kg: 1000,
      centreOfGravity: 0.5,
      air,
      wind,
      ground_m: 0,
      turbulence: 0.5,
      seed: 1,
      begin: {
        north_m: 0,
        east_m: 0,
        altitude_m: 400,
        heading_rad: 1,
        speed_mps: 36,
        hovers: false,
        flap: 0,
        gearDown: true,
        throttle: 0.6,
        fuel_kg: 60,
      },
    },
    legs: turnBackLegs(alder, { height_m: 300, bank_rad: 0.78, reaction_s: 3 }).slice(4, 6),
  },
  "trim-tab": {
    checks: [
      { tab_rad: 0, string: 0.14 },
      { tab_rad: 0.087, string: 0.07 },
    ],
  },
};
