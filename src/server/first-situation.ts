import { demoSituation } from "./demo-library";
import { type StoredSituation, addSituation, latestSituations, situationOf } from "./situations";

/**
 * The situation that a page opens with: the one worked on last in this browser, otherwise the account's latest. When
 * all were deleted, or none can be read, it starts again from the demo's rather than from an empty page.
 *
 * @param last - its id, from the browser
 */
export async function firstSituation(accountId: string, last: string | null): Promise<StoredSituation> {
  const remembered = last === null ? null : await situationOf(accountId, last).catch(() => null);
  if (remembered) return remembered;
  const [latest] = await latestSituations(accountId);
  if (latest) return latest;
  const id = await addSituation(accountId, await demoSituation());
  const added = await situationOf(accountId, id);
  if (!added) throw new Error(`firstSituation: expected the situation ${id} just added, got none`);
  return added;
}
