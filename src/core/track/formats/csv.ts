// A table of times, positions and whatever else was recorded, as its layout says.
import Papa from "papaparse";
import { type Outcome, failure, success } from "../../outcome";
import { type FlightLog, LogBuilder, type LogColumn, NO_LOG, type ReadProgress } from "../log";
import { type CsvLayout, kindOf } from "./csv-layout";
import { CSV_UNITS } from "./csv-units";

/** Characters of a piece. */
const PIECE = 1 << 20;
const DAY_S = 86_400;
const NEXT_DAY_S = DAY_S / 2;

/** `2026-11-20`, `20.11.2026`, `11/20/2026` in s since 1970; NaN for none. Of slashes the month comes first. */
function dayOf_s(text: string): number {
  const iso = /^(\d{4})[-/](\d\d?)[-/](\d\d?)$/.exec(text);
  if (iso) return Date.UTC(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3])) / 1000;
  const dotted = /^(\d\d?)\.(\d\d?)\.(\d{4})$/.exec(text);
  if (dotted) return Date.UTC(Number(dotted[3]), Number(dotted[2]) - 1, Number(dotted[1])) / 1000;
  const slashed = /^(\d\d?)\/(\d\d?)\/(\d{4})$/.exec(text);
  return slashed ? Date.UTC(Number(slashed[3]), Number(slashed[1]) - 1, Number(slashed[2])) / 1000 : NaN;
}

/** `01:10:00.0` in seconds of the day; NaN for none. */
function ofDay_s(text: string): number {
  const parts = /^(\d\d?):(\d\d)(?::(\d\d(?:\.\d+)?))?$/.exec(text);
  if (!parts) return NaN;
  const [hour, minute, second] = [Number(parts[1]), Number(parts[2]), Number(parts[3] ?? 0)];
  return hour < 24 && minute < 60 && second < 60 ? hour * 3600 + minute * 60 + second : NaN;
}

/** `2026-11-20T01:10:00Z`, or with a blank; without a zone it is UTC. */
function momentOf_s(text: string): number {
  const parts = /^(\d{4}-\d\d-\d\d)[T ](\d\d:\d\d(?::\d\d(?:\.\d+)?)?)\s*(Z|[+-]\d\d:?\d\d)?$/.exec(text);
  return parts
    ? Date.parse(`${parts[1]}T${parts[2].length === 5 ? `${parts[2]}:00` : parts[2]}${parts[3] ?? "Z"}`) / 1000
    : NaN;
}

/** Times of rows: of a clock without a date, and past midnight, the day goes on. */
class RowClock {
  #day_s: number | null = null;
  #dated = NaN;
  #last_s = -Infinity;
  dated = false;

  at(date: string, clock: string): number {
    const day_s = date === "" ? NaN : dayOf_s(date);
    const time_s = ofDay_s(clock);
    if (Number.isNaN(time_s)) return NaN;
    if (!Number.isNaN(day_s) && day_s !== this.#dated) {
      this.#dated = day_s;
      this.#day_s = day_s;
      this.dated = true;
      this.#last_s = -Infinity;
    }
    this.#day_s ??= 0;
    if (time_s < this.#last_s - NEXT_DAY_S) this.#day_s += DAY_S;
    this.#last_s = time_s;
    return this.#day_s + time_s;
  }
}

interface ReadColumn {
  readonly at: number;
  readonly name: LogColumn;
  readonly factor: number;
  readonly offset: number;
}

function columnsOf({ columns }: CsvLayout): ReadColumn[] {
  return columns.flatMap(({ name, unit }, at) => {
    if (!name || name === "date" || name === "clock" || name === "moment" || name === "elapsed") return [];
    const kind = kindOf(name);
    if (!kind) return [{ at, name, factor: 1, offset: 0 }];
    const known = unit === null ? undefined : CSV_UNITS[kind][unit];
    return known ? [{ at, name, factor: known.factor, offset: known.offset ?? 0 }] : [];
  });
}

/**
 * Reads a table. A column whose unit is not known is left out.
 *
 * @param placed - without a single position it is no log; a second recorder of a flight may have none
 * @returns `no_fixes`, `cancelled`; `no_time` when the layout has none
 */
export function readCsv(
  text: string,
  layout: CsvLayout,
  progress: ReadProgress = () => true,
  placed = true,
): Outcome<FlightLog> {
  const log = new LogBuilder();
  const columns = columnsOf(layout);
  const place = (name: string) => layout.columns.findIndex((column) => column.name === name);
  const [date, clock, moment, elapsed] = ["date", "clock", "moment", "elapsed"].map(place);
  if (clock < 0 && moment < 0 && elapsed < 0)
    return failure("no_time", "No column of this table is its time.", "layout");
  const seconds = elapsed < 0 ? 1 : (CSV_UNITS.seconds[layout.columns[elapsed].unit ?? "s"]?.factor ?? 1);
  const rows = new RowClock();
  const figure = (text_: string) => {
    const value = text_ === "" ? NaN : Number(layout.decimalComma ? text_.replace(",", ".") : text_);
    return Number.isFinite(value) ? value : NaN;
  };
  const timeOf = (row: readonly string[]) => {
    if (moment >= 0) return momentOf_s((row[moment] ?? "").trim());
    if (clock >= 0) return rows.at((row[date] ?? "").trim(), (row[clock] ?? "").trim());
    return figure(row[elapsed] ?? "") * seconds;
  };
  const [latitude, longitude] = [
    columns.find(({ name }) => name === "latitude_deg"),
    columns.find(({ name }) => name === "longitude_deg"),
  ];
  let [line, fixes, full] = [0, 0, false];
  const take = (row: readonly string[]) => {
    line += 1;
    if (line <= layout.skip || full || (row.length === 1 && row[0].trim() === "")) return;
    const time_s = timeOf(row);
    if (!(Math.abs(time_s) < 1e11)) {
      log.fault(line, "The row has no time.");
      return;
    }
    if (!log.begin(time_s)) {
      full = true;
      return;
    }
    for (const { at, name, factor, offset } of columns) {
      const cell = row[at];
      const value = cell === undefined ? NaN : figure(cell.trim());
      if (Number.isNaN(value)) {
        if (cell === undefined || cell.trim() !== "") log.fault(line, `${name} is none.`);
      } else log.set(name, value * factor + offset, line);
    }
    if (!placed || (row[latitude?.at ?? -1]?.trim() && row[longitude?.at ?? -1]?.trim())) fixes += 1;
  };
  for (let from = 0; from < text.length;) {
    const cut = from + PIECE >= text.length ? text.length : text.indexOf("\n", from + PIECE) + 1 || text.length;
    const piece = text.slice(from, cut).replace(/\n$/, "");
    for (const row of Papa.parse<string[]>(piece, { delimiter: layout.separator, quoteChar: '"' }).data) take(row);
    from = cut;
    if (!progress(cut / text.length)) return { ok: false, issue: NO_LOG.cancelled };
  }
  if (fixes === 0) return { ok: false, issue: NO_LOG.empty };
  const dated = moment >= 0 || rows.dated;
  return success(log.log({ format: "csv", clock: dated ? "utc" : "elapsed", aircraft: null }));
}
