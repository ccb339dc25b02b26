import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import { withoutNames } from "@/core/logbook/without-names";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import type { Format } from "@/ui/kit/units/units-store";
import type { ReportContent } from "./ReportPdf";
import { entryParts, entrySub } from "./entry-lines";

/**
 * Entries as a report.
 *
 * @param nameless - everybody's role in place of his name
 */
export function reportContent(entries: readonly LogbookEntry[], nameless: boolean, format: Format): ReportContent {
  const told = nameless ? entries.map(withoutNames) : entries;
  const days = told.map(({ at }) => Date.parse(at));
  const [first, last] = [Math.min(...days), Math.max(...days)];
  const span =
    dayInWords(first) === dayInWords(last) ? dayInWords(first) : `${dayInWords(first)} to ${dayInWords(last)}`;
  return {
    title: "What failed, and what was learnt",
    sub: `${told.length} ${told.length === 1 ? "entry" : "entries"}, ${span}${nameless ? "; names left out" : ""}`,
    entries: told.map((entry) => ({ name: entry.name, sub: entrySub(entry), parts: entryParts(entry, format) })),
  };
}

/** Prints a report. The library of it is large and comes when it is asked for. */
export async function printReport(entries: readonly LogbookEntry[], nameless: boolean, format: Format): Promise<void> {
  const [{ makePdf }, { ReportPdf }, { createElement }] = await Promise.all([
    import("@/ui/kit/print/make-pdf"),
    import("./ReportPdf"),
    import("react"),
  ]);
  await makePdf(createElement(ReportPdf, { content: reportContent(entries, nameless, format) }), "logbook-report.pdf");
}
