// Aircraft being changed, as they were left in this browser. What reads them is not needed for the first view.
import { z } from "zod";
import { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { upgradedAircraft } from "@/core/aircraft/aircraft-versions";
import { keptAs } from "@/ui/kit/kept";
import { forgetHistory, useDrafts } from "./aircraft-drafts";

const KEY = "aircraft-drafts";
const BASES_KEY = "aircraft-draft-versions";

/**
 * Figures outside their range, or against each other, are what drafts are for, and what a type does not know of; all
 * else has to be right.
 */
const DRAFTED = ["too_small", "too_big", "custom"];

function isDraft(value: unknown): value is AircraftDocument {
  const parsed = AircraftDocument.safeParse(value);
  return parsed.success || parsed.error.issues.every(({ code }) => DRAFTED.includes(code));
}

/** Until drafts were kept by account they were nobody's: whoever comes first takes them. */
function takeOfNobody(): string | null {
  const key = "utrimax:aircraft-drafts";
  const stored = localStorage.getItem(key);
  localStorage.removeItem(key);
  return stored;
}

/** Takes up what was left in this browser, and keeps what is changed from now on. Damaged drafts count as none. */
export function keepDrafts(): () => void {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(keptAs(KEY)) ?? takeOfNobody() ?? "{}");
    if (typeof stored === "object" && stored !== null) {
      const drafts = Object.entries(stored).flatMap(([id, value]) => {
        const upgraded = upgradedAircraft(value);
        return isDraft(upgraded) ? [[id, upgraded] as const] : [];
      });
      const bases = z
        .record(z.string(), z.number())
        .safeParse(JSON.parse(localStorage.getItem(keptAs(BASES_KEY)) ?? "{}"));
      // What was begun before this came is newer than what was kept.
      if (drafts.length > 0)
        useDrafts.setState((now) => ({
          drafts: { ...Object.fromEntries(drafts), ...now.drafts },
          bases: { ...(bases.success ? bases.data : {}), ...now.bases },
        }));
    }
  } catch {
    localStorage.removeItem(keptAs(KEY));
  }
  forgetHistory();
  return useDrafts.subscribe(({ drafts, bases }) => {
    localStorage.setItem(keptAs(KEY), JSON.stringify(drafts));
    localStorage.setItem(keptAs(BASES_KEY), JSON.stringify(bases));
  });
}
