// What a slider of the Engine out stage asks for: the state at once, then the factor table and both charts; against the
// same minimum control speeds by a plain scan in small steps without halving, in shuffled rounds of one process.
import { performance } from "node:perf_hooks";
import { equilibriumAt } from "@/core/asymmetric/equilibrium";
import { CONTROLS, usedShare, vmca } from "@/core/asymmetric/vmca";
import { stallEas_mps } from "@/core/asymmetric/one-engine-climb";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT } from "@/core/quantities/constants";
import { engineOutNow, engineOutTables } from "@/core/asymmetric/engine-out";
import { demoTwin, demoTwinQuestion } from "../demo/demo-twin";

const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];
const timed = <T>(run: () => T): [T, number] => {
  const began = performance.now();
  return [run(), performance.now() - began];
};
const BANK_RAD = radians(3);
/** The plain scan finds the speed to a hundredth of a knot. */
const STEP_MPS = 0.01 * MPS_PER_KT;

function plain(flight: ReturnType<typeof demoTwin>): number | null {
  const stall = stallEas_mps(flight, 0);
  for (let eas = 1.9 * stall; eas > 0.4 * stall; eas -= STEP_MPS) {
    const state = equilibriumAt(flight, eas, flight.liveSide * BANK_RAD);
    if (!state || CONTROLS.some((control) => usedShare(flight, state, control) >= 1)) return eas;
  }
  return null;
}

const question = demoTwinQuestion({ gearDown: true });
const flight = demoTwin({ gearDown: true });
const now = engineOutNow(question, { kind: "bank", bank_rad: BANK_RAD }, null);
const stall = now.ok ? now.value.vmca.stall_mps : 30;
const times = { now: [] as number[], tables: [] as number[], ours: [] as number[], plain: [] as number[] };
let apart_kt = 0;
for (let round = 0; round < 30; round += 1) {
  const moved = { ...question, mass_kg: question.mass_kg - round };
  times.now.push(timed(() => engineOutNow(moved, { kind: "bank", bank_rad: BANK_RAD }, null))[1]);
  times.tables.push(timed(() => engineOutTables(moved, BANK_RAD, stall))[1]);
  const [ours, ours_ms] = timed(() => vmca(flight, BANK_RAD));
  const [scanned, plain_ms] = timed(() => plain(flight));
  times.ours.push(ours_ms);
  times.plain.push(plain_ms);
  apart_kt = Math.max(apart_kt, Math.abs((ours.eas_mps ?? NaN) - (scanned ?? NaN)) / MPS_PER_KT);
}
// The first rounds warm up.
const settled = (values: number[]) => median(values.slice(5));
console.log(
  `engine out: a slider's move ${settled(times.now).toFixed(1)} ms, factor table, both charts, rudder, climb by height and ceilings ${settled(times.tables).toFixed(0)} ms more (goal under 100 ms)`,
);
console.log(
  `minimum control speed ${settled(times.ours).toFixed(2)} ms, all four limits; plain scan to the first ${settled(times.plain).toFixed(2)} ms: ${(settled(times.plain) / settled(times.ours)).toFixed(1)} times; apart by ${apart_kt.toFixed(3)} kt`,
);
