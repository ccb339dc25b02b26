// What a demo account has rehearsed before: two runs and some cards, of which five are due. Made up.
import { randomUUID } from "node:crypto";
import type { DrillRun } from "@/core/procedure/drill-run";
import { singleForcedLanding, singleInCruise } from "@/core/procedure/library/single";
import type { Procedure } from "@/core/procedure/procedure";
import { rightRun } from "@/core/procedure/right-way";
import type { Grade } from "@/core/recall/memory";
import { recallCards } from "@/core/recall/recall-cards";
import type { StoredAircraft } from "./aircraft";
import type { Queryable } from "./database";
import { addReviews } from "./reviews";
import { addRun } from "./runs";
import type { SentRun } from "./sent-run";

const DAY_MS = 24 * 3600 * 1000;

/** A run of some days ago; each step takes a second more or less than the one before. */
function ranBefore(procedure: Procedure, aircraft: string, days: number, pace_s: number, now_ms: number): SentRun {
  const begun: DrillRun = {
    procedure,
    dead: null,
    propeller: "windmilling",
    height_m: 700,
    speed_mps: 34.5,
    climb_mps: -3.7,
    lampGoes: true,
    events: [],
  };
  // Of “does it run?” it does not; there is no height for another try.
  const { run, until_s } = rightRun(begun, (done) => pace_s + (done % 3), { running: 1, height: 1 });
  return {
    id: randomUUID(),
    beganAt: new Date(now_ms - days * DAY_MS).toISOString(),
    role: "single",
    aircraft,
    until_s,
    // Once the pump was tried before the tank.
    run: {
      ...run,
      events:
        days > 5
          ? run.events.flatMap((event, i) => (i === 2 ? [{ time_s: event.time_s, event: PUMP_FIRST }, event] : [event]))
          : [...run.events],
    },
  };
}

const PUMP_FIRST = { type: "set", actor: "single", control: "pump", side: null, position: "on" } as const;

/** Answers of some days ago, card after card: the first five are due by now. */
const ANSWERED: readonly (readonly (readonly [number, Grade])[])[] = [
  [[12, "sure"]],
  [[11, "sure"]],
  [
    [9, "sure"],
    [8.9, "missed"],
    [8.8, "effort"],
  ],
  [[14, "sure"]],
  [[10, "sure"]],
  [[6, "at-once"]],
  [[5, "sure"]],
  [[3, "at-once"]],
];

/** Adds them to an account that has just been made, of the aircraft that it flies first. */
export async function addDemoRehearsal(
  accountId: string,
  { id, document }: Pick<StoredAircraft, "id" | "document">,
  connection: Queryable,
): Promise<void> {
  const now_ms = Date.now();
  const { name } = document;
  await addRun(accountId, ranBefore(singleInCruise, name, 9, 4, now_ms), connection);
  await addRun(accountId, ranBefore(singleForcedLanding, name, 2, 3, now_ms), connection);
  const cards = recallCards(id, document);
  await addReviews(
    accountId,
    ANSWERED.flatMap((answers, i) =>
      answers.map(([days, grade]) => ({
        id: randomUUID(),
        // From the beginning, the middle and the end: order, what next, numbers.
        card: cards[(i * 7) % cards.length].id,
        at_ms: Math.round(now_ms - days * DAY_MS),
        grade,
        took_s: 5,
      })),
    ),
    connection,
  );
}
