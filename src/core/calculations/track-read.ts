import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { cleanLog } from "../track/clean/clean-log";
import { CsvLayout, recogniseLayout } from "../track/formats/csv-layout";
import { formatOf, readLog } from "../track/formats/read-log";
import { logWorking } from "../track/track-working";
import { WorkingStep } from "../working";

/** Most characters of a log that is asked about. */
export const MOST_LOG_CHARACTERS = 4_000_000;

/** What a flight log is and what is wrong with it. */
export const trackReadCalculation = calculation({
  name: "track-read",
  cost: "long",
  question: "What does this flight log hold, and which of its lines cannot be read?",
  sources: [
    "FAI, Technical Specification for IGC-Approved GNSS Flight Recorders (memory)",
    "GPX 1.1 schema (memory)",
    "NMEA 0183 (memory)",
  ],
  input: z.strictObject({
    text: z.string().max(MOST_LOG_CHARACTERS, "A log asked about here has at most four million characters."),
    /** Of a table; null takes what is recognised. */
    layout: CsvLayout.nullable().default(null),
  }),
  output: z.object({
    format: z.string(),
    clock: z.string(),
    fixes: z.int(),
    duration_s: z.number(),
    interval_s: z.number(),
    columns: z.array(z.string()),
    holes: z.array(z.object({ from_s: z.number(), to_s: z.number() })),
    leftOut: z.object({ repeated: z.int(), setBack: z.int(), jumped: z.int(), withoutPlace: z.int() }),
    faults: z.array(z.object({ line: z.int(), message: z.string() })),
    faultCount: z.int(),
    /** Headings of a table whose unit is not known. */
    asked: z.array(z.string()),
    layout: z.unknown(),
    working: z.array(WorkingStep),
  }),
  run({ text, layout }, progress = () => true) {
    const recognised = !layout && formatOf(text) === "csv" ? recogniseLayout(text) : null;
    const log = readLog(text, layout ?? recognised?.layout ?? null, (share) => progress(0.8 * share));
    if (!log.ok) return log;
    const clean = cleanLog(log.value);
    if (!clean.ok) return clean;
    const { time_s, interval_s, holes, leftOut } = clean.value;
    return success({
      format: log.value.format,
      clock: log.value.clock,
      fixes: time_s.length,
      duration_s: time_s[time_s.length - 1],
      interval_s,
      columns: Object.keys(clean.value.columns),
      holes: holes.slice(0, 1000).map((hole) => ({ ...hole })),
      leftOut: { ...leftOut },
      faults: log.value.faults.map((fault) => ({ ...fault })),
      faultCount: log.value.faultCount,
      asked: recognised?.asked.map((i) => recognised.layout.columns[i].heading) ?? [],
      layout: layout ?? recognised?.layout ?? null,
      working: logWorking(clean.value),
    });
  },
});
