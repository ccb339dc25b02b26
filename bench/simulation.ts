// How fast a flight is computed: seconds flown in a second, and what of a core it takes in real time.
import { demoFlight, flyBy, stillAir } from "../demo/demo-flight";
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
