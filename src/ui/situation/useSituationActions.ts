"use client";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { Issue } from "@/core/outcome";
import type { SituationDocument } from "@/core/situation/situation-document";
import type { StoredAircraft } from "@/server/aircraft";
import type { Library } from "@/server/library";
import { fetchAircraft, useLibraryAircraft } from "@/ui/library/library-aircraft";
import { download, fileName } from "@/ui/kit/download";
import { type Answer, send } from "@/ui/kit/request";
import { draftOf, keepDraft } from "./draft";
import { writeSituationFile } from "./write-situation-file";
import { tellTabs } from "@/ui/kit/tabs";
import { rememberSituation } from "./last-situation";
import { type Opened, useSituation } from "./situation-store";

/** Hands a situation out as a file, with its aircraft when that is the account's own. */
export function downloadSituation(document: SituationDocument, aircraft: readonly StoredAircraft[]): void {
  const own = aircraft.find((candidate) => candidate.id === document.aircraftId && !candidate.shared);
  download(`${fileName(document.name)}.json`, "application/json", writeSituationFile(document, own?.document ?? null));
}

function say(issues: readonly Issue[]): void {
  toast(issues.map((issue) => issue.message).join(" "));
}

/** Opens a situation: what was left unsaved of it in this browser comes back too. */
export function openSituation(stored: Opened): void {
  rememberSituation(stored.id);
  useSituation.getState().open(stored, draftOf(stored.id));
}

/** What can be done with situations as a whole; each says what went wrong and changes nothing then. */
export function useSituationActions() {
  const router = useRouter();
  const aircraft = useLibraryAircraft();

  const add = async (document: SituationDocument): Promise<boolean> => {
    const answer = await send<{ id: string; version: number }>("POST", "/api/situations", document);
    if (!answer.ok) {
      say(answer.issues);
      return false;
    }
    openSituation({ ...answer.value, document });
    changed();
    return true;
  };
  const changed = () => {
    tellTabs({ kind: "changed" });
    router.refresh();
  };

  return {
    /** Adds a situation and opens it; false when it could not be stored. */
    add,
    /** Opens a situation of the account; false when it cannot be had. */
    open: async (id: string): Promise<boolean> => {
      const answer = await send<Opened>("GET", `/api/situations/${id}`);
      if (!answer.ok) {
        say(answer.issues);
        return false;
      }
      const { aircraftId } = answer.value.document;
      // One that has gone is told on the page, with the aircraft that stands in for it.
      if (!aircraft.some((candidate) => candidate.id === aircraftId)) await fetchAircraft(aircraftId);
      openSituation(answer.value);
      return true;
    },
    /** A copy of what is on the screen, opened; the original stays as it is saved. */
    copy: async (): Promise<boolean> => {
      const { current } = useSituation.getState();
      const name = `Copy of ${current.name}`.slice(0, 80);
      const added = await add({ ...current, name });
      if (added) toast(`“${name}” is open.`);
      return added;
    },
    importFile: async (file: File, library: Library) => {
      const reader = await import("./situation-file").catch(() => null);
      if (!reader) {
        toast("What reads situations could not be loaded. Try again when the network is back.");
        return;
      }
      const { readSituationFile } = reader;
      const read =
        file.size > 4 * 1024 * 1024
          ? readSituationFile("x".repeat(1024 * 1024 + 1))
          : readSituationFile(await file.text());
      if (!read.ok) return say([read.issue]);
      const { aircraft: brought } = read.value;
      let { document } = read.value;
      const known =
        aircraft.some((candidate) => candidate.id === document.aircraftId) ||
        (await fetchAircraft(document.aircraftId)).ok;
      if (!known && brought) {
        const answer: Answer<{ id: string }> = await send("POST", "/api/aircraft", brought);
        if (!answer.ok) return say(answer.issues);
        document = { ...document, aircraftId: answer.value.id };
      }
      if (!known && !brought)
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
      changed();
      return true;
    },
  };
}
