// How fast a flight is computed: seconds flown in a second, and what of a core it takes in real time.
import { FLAT, demoFlight, flyBy, rotorcraftSetUp, stillAir } from "../demo/demo-flight";
import { demoGyroplane, demoHelicopter } from "../demo/read-demo";
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
