import type { SituationDocument } from "@/core/situation/situation-document";
import type { Issue } from "@/core/outcome";
import { aircraftAmong } from "./aircraft";
import { hasTerrain } from "./terrains";

/** What a situation names that its account cannot use: another account's aircraft or terrain, or one that is gone. */
export async function missingReferences(
  accountId: string,
  { aircraftId, terrainId }: SituationDocument,
): Promise<Issue[]> {
  const issues: Issue[] = [];
  if (!(await aircraftAmong(accountId, [aircraftId])).has(aircraftId))
    issues.push({
      code: "no_such_aircraft",
      path: "aircraftId",
      message: "The aircraft of this situation is not in your library.",
    });
  if (terrainId !== null && !(await hasTerrain(accountId, terrainId)))
    issues.push({
      code: "no_such_terrain",
      path: "terrainId",
      message: "The terrain of this situation is not in your library.",
    });
  return issues;
}
