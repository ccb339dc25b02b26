import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { type DrillEvent, afterEvent, beginDrill, isOver } from "../procedure/drill";
import { Procedure } from "../procedure/procedure";
import { WRITTEN } from "../procedure/library/procedures";
import { procedureFaults } from "../procedure/procedure-faults";
import { HandEventDocument } from "../procedure/run-document";
import { withCalls } from "../procedure/with-calls";
import { WorkingStep } from "../working";

const side = z.enum(["left", "right"]);
const name = z.string().max(40);
const Flown = z.strictObject({
  time_s: z.number().min(0).max(36_000),
  height_m: z.number().min(-500).max(20_000),
  speed_mps: z.number().min(0).max(400),
});
const Event = z.union([HandEventDocument, z.strictObject({ type: z.literal("passes"), flown: Flown })]);

/** Whether a procedure is sound, and what comes of what is done by it. */
export const procedureCheckCalculation = calculation({
  name: "procedure-check",
  cost: "instant",
  question: "Is this procedure sound, and what comes of these actions by it?",
  sources: ["common practice; the flight manual and the operator’s checklist come first"],
  input: z.strictObject({
    procedure: Procedure,
    /** The engine that fails, of two. */
    dead: side.nullable().default(null),
    propeller: name.default("windmilling"),
    flown: Flown.default({ time_s: 0, height_m: 900, speed_mps: 40 }),
    events: z.array(Event).max(500, "At most 500 events.").default([]),
  }),
  output: z.object({
    sound: z.boolean(),
    faults: z.array(z.object({ path: z.string(), message: z.string() })),
    over: z.boolean(),
    /** What is due; null when it is over, or not sound. */
    due: z.string().nullable(),
    log: z.array(
      z.object({
        step: z.string(),
        outcome: z.string(),
        time_s: z.number(),
        height_m: z.number(),
        took_s: z.number(),
        /** The step that what was done belongs to, when that is another. */
        meant: z.string().nullable(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ procedure: written, dead, propeller, flown, events }) {
    const whole = withCalls(written, WRITTEN);
    const none = { sound: false, over: false, due: null, log: [], working: [] };
    if (!whole.ok) return success({ ...none, faults: [{ path: whole.issue.path, message: whole.issue.message }] });
    const procedure = whole.value;
    const faults = procedureFaults(procedure).map(({ path, message }) => ({ path: path ?? "", message }));
    if (faults.length > 0) return success({ ...none, faults });
    const begun = beginDrill(procedure, { dead, flown, propeller });
    const drill = events.reduce((now, event: DrillEvent) => afterEvent(procedure, now, event, dead), begun);
    return success({
      sound: true,
      faults,
      over: isOver(procedure, drill),
      due: procedure.steps.at(drill.at)?.id ?? null,
      log: drill.log.map((entry) => ({ ...entry })),
      working: drill.log.map(({ step, outcome, took_s }) => ({
        figure: "log",
        symbol: step,
        meaning: outcome,
        formula: "",
        value: took_s,
        unit: "s",
        source: procedure.source,
      })),
    });
  },
});
