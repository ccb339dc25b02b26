// How fast a flight is computed: seconds flown in a second, and what of a core it takes in real time.
import { FLAT, demoFlight, flyBy, rotorcraftSetUp, stillAir, wildHands } from "../demo/demo-flight";
import { demoAircraft, demoGyroplane, demoHelicopter } from "../demo/read-demo";
import { isAeroplane } from "../src/core/aircraft/aircraft-kind";
import type { Flight } from "../src/core/simulation/flight";
import { setUpFlight } from "../src/core/simulation/flight-set-up";
import { flyLegs, freshPilot, legOf } from "../src/core/simulation/pilot";
import * as S from "../src/core/simulation/state";
import { stepFlight } from "../src/core/simulation/step-flight";

const GOAL = 500;
/** Seconds flown for each measure; the first is to warm up. */
const FLOWN_S = 240;

for (const [id, mass_kg] of [
  ["alder-s1", 1000],
  ["larch-t2", 1600],
] as const) {
  let [stepped, handled] = [0, 0];
  for (let round = 0; round < 3; round += 1) {
    const free = demoFlight(id, { mass_kg, tas_mps: 50, throttle: 0.7, altitude_m: 2000, column: stillAir(1) });
    let began = performance.now();
    for (let step = 0; step < FLOWN_S * 120 && !free.ended; step += 1) stepFlight(free);
    stepped = FLOWN_S / ((performance.now() - began) / 1000);
    const held = demoFlight(id, { mass_kg, tas_mps: 50, throttle: 0.7, altitude_m: 2000 });
    began = performance.now();
    flyBy(held, FLOWN_S, { speed_mps: () => 50 });
    handled = FLOWN_S / ((performance.now() - began) / 1000);
  }
  const share = (100 / handled).toFixed(2);
  console.log(
    `simulation, ${id}: ${stepped.toFixed(0)} times real time, by a pilot ${handled.toFixed(0)} (goal ${GOAL}); at 120 Hz ${share} % of a core (goal 1 %)`,
  );
}

for (const [id, begin] of [
  ["hazel-h2", { altitude_m: 300, hovers: true }],
  ["osier-g1", { altitude_m: 900, speed_mps: 25 }],
] as const) {
  const aircraft = id === "hazel-h2" ? demoHelicopter() : demoGyroplane();
  let handled = 0;
  for (let round = 0; round < 3; round += 1) {
    const flight = setUpFlight(rotorcraftSetUp(aircraft, begin, { turbulence: 1 }), FLAT);
    if (!flight.ok) throw new Error(flight.issue.message);
    const leg = legOf({
      name: "held",
      vertical: id === "hazel-h2" ? { hold: "hover" } : { hold: "speed", speed_mps: 25 },
      lateral: { hold: "bank", bank_rad: 0 },
      collective: id === "hazel-h2" ? { hold: "climb", value: 0 } : null,
      until: { what: "time", value: FLOWN_S },
    });
    const began = performance.now();
    flyLegs(flight.value, freshPilot([leg]));
    handled = flight.value.state[S.TIME] / ((performance.now() - began) / 1000);
  }
  console.log(`simulation, ${id}: by a pilot ${handled.toFixed(0)} times real time (goal ${GOAL})`);
}

const FLEET = ["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "thorn-v12", "cedar-j2"];
const AIRCRAFT = [...FLEET.map((id) => demoAircraft(id)), demoHelicopter(), demoGyroplane()];
const aloft = (n: number, altitude_m: number): Flight => {
  const aircraft = AIRCRAFT[n % AIRCRAFT.length];
  const speed_mps = isAeroplane(aircraft) ? 1.5 * (aircraft.handbook.vs1_mps ?? 30) : 30;
  const made = setUpFlight(
    rotorcraftSetUp(aircraft, { altitude_m, speed_mps, throttle: 0.6 }, { turbulence: 2, seed: n }),
    FLAT,
  );
  if (!made.ok) throw new Error(made.issue.message);
  return made.value;
};

let differ = 0;
for (let n = 0; n < 1000; n += 1) {
  const [first, again] = [aloft(n, 60 + (n % 900)), aloft(n, 60 + (n % 900))];
  wildHands(first, 20, n);
  wildHands(again, 20, n);
  if (first.state.some((value, i) => !Object.is(value, again.state[i]))) differ += 1;
}
console.log(`simulation: of 1 000 random flights flown twice ${differ} differ in a bit (none may)`);

let unsound = 0;
for (let n = 0; n < AIRCRAFT.length * 3; n += 1) {
  const flight = aloft(n, 3000);
  wildHands(flight, 600, n);
  if (!flight.state.every(Number.isFinite) || flight.state[S.DOWN] > 4) unsound += 1;
}
console.log(`simulation: ten minutes of random hands in every aircraft, ${unsound} unsound (none may be)`);

const hour = aloft(2, 3000);
const level = legOf({
  name: "hour",
  vertical: { hold: "climb", climb_mps: 0 },
  lateral: { hold: "bank", bank_rad: 0.05 },
  throttle: [0.7, 0.7],
  until: { what: "time", value: 850 },
});
flyLegs(hour, freshPilot([level]));
globalThis.gc?.();
const before = process.memoryUsage().heapUsed;
for (let quarter = 0; quarter < 4; quarter += 1) flyLegs(hour, freshPilot([level]));
globalThis.gc?.();
const grown_MB = (process.memoryUsage().heapUsed - before) / 1e6;
console.log(
  `simulation: after an hour more in the air (${Math.round(hour.state[S.TIME] / 60)} min) the model's memory has grown by ${grown_MB.toFixed(1)} MB`,
);
if (differ > 0 || unsound > 0) process.exitCode = 1;
