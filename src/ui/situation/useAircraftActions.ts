"use client";
import { useRouter } from "next/navigation";
import { toast } from "sonner";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { AircraftOfAnyVersion } from "@/core/aircraft/aircraft-versions";
import { firstConfiguration } from "@/core/aircraft/configuration";
import { newAircraft } from "@/core/aircraft/new-aircraft";
import { issuesOf } from "@/core/outcome";
import { download, fileName } from "@/ui/kit/download";
import type { StoredAircraft } from "@/server/aircraft";
import { send } from "@/ui/kit/request";
import { tellTabs } from "@/ui/kit/tabs";
import { useAircraftConflict } from "@/ui/library/aircraft-conflict";
import { forgetAircraft, noteAircraft } from "@/ui/library/library-aircraft";
import { useSituation } from "./situation-store";
import { NEW_ID, useDrafts } from "@/ui/library/aircraft-drafts";

/** Largest file read, bytes; a real one is under 10 kB. */
const LIMIT = 1024 * 1024;

/** Makes an aircraft the situation's: its mass and configuration follow. */
export function flyAircraft(id: string, document: AircraftDocument): void {
  useSituation.getState().change({
    aircraftId: id,
    mass_kg: document.mass.usual_kg,
    load: null,
    configuration: firstConfiguration(document),
  });
}

/** What can be done with aircraft as a whole; each says what went wrong and changes nothing then. */
export function useAircraftActions() {
  const router = useRouter();
  const changed = () => {
    tellTabs({ kind: "changed" });
    router.refresh();
  };
  const add = async (document: AircraftDocument, says: string): Promise<string | null> => {
    const answer = await send<{ id: string; version: number }>("POST", "/api/aircraft", document);
    if (!answer.ok) {
      toast(
        answer.away
          ? "The database is away: the aircraft is kept in this browser. Save again when it is back."
          : answer.issues.map((issue) => issue.message).join(" "),
      );
      return null;
    }
    noteAircraft([{ ...answer.value, shared: false, document }]);
    changed();
    toast(says);
    return answer.value.id;
  };
  return {
    create: () => {
      useDrafts.getState().put(NEW_ID, newAircraft("New aeroplane"), 0);
    },
    /** A copy of one's own; the original stays as it is. */
    copy: async (document: AircraftDocument): Promise<boolean> => {
      const name = `Copy of ${document.name}`.slice(0, 60);
      const id = await add({ ...document, name }, `“${name}” is in your library.`);
      if (id) flyAircraft(id, document);
      return id !== null;
    },
    /**
     * Saves an aircraft: in place when it is the account's own, otherwise as one of its own, which becomes the
     * situation's aircraft.
     *
     * @param version - that the document was made from
     * @returns under which id and as which version; null when it could not be saved
     */
    save: async (
      id: string,
      shared: boolean,
      document: AircraftDocument,
      version: number,
    ): Promise<{ readonly id: string; readonly version: number } | null> => {
      if (id === NEW_ID || shared) {
        const added = await add(document, `“${document.name}” is saved and current.`);
        if (!added) return null;
        flyAircraft(added, document);
        return { id: added, version: 1 };
      }
      const answer = await send<{ version: number }>("PUT", `/api/aircraft/${id}`, document, { version });
      if (!answer.ok) {
        if (answer.stored) {
          useAircraftConflict.setState({ conflict: { mine: document, theirs: answer.stored as StoredAircraft } });
          return null;
        }
        toast(
          answer.away
            ? "The database is away: the changes are kept in this browser. Save again when it is back."
            : answer.issues.map((issue) => issue.message).join(" "),
        );
        return null;
      }
      const { mass_kg } = useSituation.getState().current;
      if (!(mass_kg >= document.mass.minimum_kg && mass_kg <= document.mass.maximum_kg))
        useSituation.getState().change({ mass_kg: document.mass.usual_kg, load: null });
      noteAircraft([{ id, shared: false, version: answer.value.version, document }]);
      changed();
      toast(`“${document.name}” is saved.`);
      return { id, version: answer.value.version };
    },
    export: (document: AircraftDocument) =>
      download(`${fileName(document.name)}.json`, "application/json", JSON.stringify(document, null, 1)),
    importFile: async (file: File) => {
      if (file.size > LIMIT)
        return toast("An aircraft file is smaller than 1 MB; this is something else. Nothing was imported.");
      let value: unknown;
      try {
        value = JSON.parse(await file.text());
      } catch {
        return toast("This file is not JSON: it is damaged or something else. Nothing was imported.");
      }
      const parsed = AircraftOfAnyVersion.safeParse(value);
      if (!parsed.success) {
        const [first] = issuesOf(parsed.error);
        return toast(
          `This is not a Utrimax aircraft (${first.path || "the file"}: ${first.message}). Nothing was imported.`,
        );
      }
      const id = await add(parsed.data, `“${parsed.data.name}” is imported and current.`);
      if (id) flyAircraft(id, parsed.data);
    },
    /** Deletes an aircraft of one's own; the message offers the way back. */
    remove: async (id: string, name: string): Promise<void> => {
      const answer = await send("PATCH", `/api/aircraft/${id}`, { deleted: true });
      if (!answer.ok) {
        toast(answer.issues.map((issue) => issue.message).join(" "));
        return;
      }
      forgetAircraft(id);
      changed();
      toast(`“${name}” is deleted.`, {
        action: {
          label: "Undo",
          onClick: () => void send("PATCH", `/api/aircraft/${id}`, { deleted: false }).then(changed),
        },
      });
    },
  };
}
