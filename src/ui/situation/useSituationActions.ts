"use client";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { Issue } from "@/core/outcome";
import type { SituationDocument } from "@/core/situation/situation-document";
import type { Library } from "@/server/library";
import { download, fileName } from "@/ui/kit/download";
import { type Answer, send } from "@/ui/kit/request";
import { draftOf, keepDraft } from "./draft";
import { readSituationFile, writeSituationFile } from "./situation-file";
import { useSituation } from "./situation-store";

/** Hands a situation out as a file, with its aircraft when that is the account's own. */
export function downloadSituation(document: SituationDocument, library: Library): void {
  const own = library.aircraft.find((aircraft) => aircraft.id === document.aircraftId && !aircraft.shared);
  download(`${fileName(document.name)}.json`, "application/json", writeSituationFile(document, own?.document ?? null));
}

function say(issues: readonly Issue[]): void {
  toast(issues.map((issue) => issue.message).join(" "));
}

/** Opens a situation: what was left unsaved of it in this browser comes back too. */
export function openSituation(id: string, document: SituationDocument): void {
  useSituation.getState().open(id, document, draftOf(id));
}

/** What can be done with situations as a whole; each says what went wrong and changes nothing then. */
export function useSituationActions() {
  const router = useRouter();

  const add = async (document: SituationDocument): Promise<boolean> => {
    const answer: Answer<{ id: string }> = await send("POST", "/api/situations", document);
    if (!answer.ok) {
      say(answer.issues);
      return false;
    }
    openSituation(answer.value.id, document);
    router.refresh();
    return true;
  };

  return {
    /** A copy of what is on the screen, opened; the original stays as it is saved. */
    copy: async () => {
      const { current } = useSituation.getState();
      const name = `Copy of ${current.name}`.slice(0, 80);
      if (await add({ ...current, name })) toast(`“${name}” is open.`);
    },
    importFile: async (file: File, library: Library) => {
      const read =
        file.size > 4 * 1024 * 1024
          ? readSituationFile("x".repeat(1024 * 1024 + 1))
          : readSituationFile(await file.text());
      if (!read.ok) return say([read.issue]);
      const { aircraft } = read.value;
      let { document } = read.value;
      const known = library.aircraft.some((candidate) => candidate.id === document.aircraftId);
      if (!known && aircraft) {
        const answer: Answer<{ id: string }> = await send("POST", "/api/aircraft", aircraft);
        if (!answer.ok) return say(answer.issues);
        document = { ...document, aircraftId: answer.value.id };
      }
      if (!known && !aircraft)
        return say([
          {
            code: "no_such_aircraft",
            path: "aircraftId",
            message: "The aircraft of this situation is neither in the file nor in your library. Nothing was imported.",
          },
        ]);
      if (!library.terrains.some((terrain) => terrain.id === document.terrainId))
        document = { ...document, terrainId: null };
      if (await add(document)) toast(`“${document.name}” is imported and open.`);
    },
    rename: (name: string) => useSituation.getState().change({ name }),
    /** Deletes a situation or brings it back. */
    mark: async (id: string, deleted: boolean): Promise<boolean> => {
      const answer = await send("PATCH", `/api/situations/${id}`, { deleted });
      if (!answer.ok) {
        say(answer.issues);
        return false;
      }
      if (deleted) keepDraft(id, null);
      router.refresh();
      return true;
    },
  };
}
