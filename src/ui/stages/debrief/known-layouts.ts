// Layouts of tables as the user has confirmed them, kept in the browser by their headings.
import { z } from "zod";
import { CsvLayout } from "@/core/track/formats/csv-layout";
import { accountStorage } from "@/ui/kit/kept";

const NAME = "log-layouts";
/** So many are remembered. */
const MOST = 40;
const Known = z.array(CsvLayout).max(MOST);

const headings = (layout: CsvLayout) => layout.columns.map(({ heading }) => heading).join("\n");

function known(): CsvLayout[] {
  try {
    const read = Known.safeParse(JSON.parse(String(accountStorage.getItem(NAME) ?? "[]")));
    return read.success ? read.data : [];
  } catch {
    return [];
  }
}

/** The layout that was confirmed for a table of these headings; null for none. */
export function knownLayout(recognised: CsvLayout): CsvLayout | null {
  const same = known().find((layout) => headings(layout) === headings(recognised));
  // Where the figures begin is the file's own.
  return same ? { ...same, skip: recognised.skip, decimalComma: recognised.decimalComma } : null;
}

/** Remembers one. */
export function rememberLayout(layout: CsvLayout): void {
  const others = known().filter((one) => headings(one) !== headings(layout));
  try {
    void accountStorage.setItem(NAME, JSON.stringify([layout, ...others].slice(0, MOST)));
  } catch {
    // Without room in the browser it is asked again.
  }
}
