import { toast } from "sonner";
import { create } from "zustand";
import type { z } from "zod";
import { issuesOf } from "@/core/outcome";
import type { OwnDocument } from "@/server/own-documents";
import { keptAs } from "@/ui/kit/kept";
import { send } from "@/ui/kit/request";

/** Steps that can be taken back. */
const MOST_UNDONE = 100;

interface OwnState<T> {
  /** One's own; null until they have come. */
  readonly own: readonly OwnDocument<T>[] | null;
  /** What is edited; null while nothing is. */
  readonly draft: T | null;
  /** As it was saved last; null for one that never was. */
  readonly saved: OwnDocument<T> | null;
  readonly past: readonly T[];
  readonly future: readonly T[];
  load(): Promise<void>;
  /** Edits one's own, or something new. */
  edit(document: T, saved: OwnDocument<T> | null): void;
  change(document: T): void;
  undo(): void;
  redo(): void;
  /** Saves what is edited; what is not valid, or was saved elsewhere meanwhile, is told and nothing is lost. */
  save(): Promise<void>;
  remove(): Promise<void>;
  close(): void;
}

const words = (issues: readonly { readonly message: string }[]) => issues.map(({ message }) => message).join(" ");

/** Most that the browser keeps, so that they are there without a network. */
const MOST_KEPT = 20;

/** What the browser keeps of one kind; what is no document of it any more is left out. */
function keptDocuments<T>(name: string, schema: z.ZodType<T>): OwnDocument<T>[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(keptAs(name)) ?? "[]");
    if (!Array.isArray(list)) return [];
    return (list as OwnDocument<unknown>[]).flatMap(({ id, version, document }) => {
      const read = schema.safeParse(document);
      return read.success ? [{ id: String(id), version: Number(version), document: read.data }] : [];
    });
  } catch {
    return [];
  }
}

/**
 * Documents of one's own of one kind, and the one that is edited.
 *
 * @param kept - the name that they are kept in the browser by; left out they are not
 */
export function ownDocumentsStore<T extends { readonly id: string; readonly name: string }>(
  path: string,
  schema: z.ZodType<T>,
  kept?: string,
) {
  const nothing = { draft: null, saved: null, past: [], future: [] };
  return create<OwnState<T>>()((set, get) => ({
    own: null,
    ...nothing,
    load: async () => {
      const answer = await send<{ documents: OwnDocument<T>[] }>("GET", path);
      if (answer.ok && kept !== undefined)
        localStorage.setItem(keptAs(kept), JSON.stringify(answer.value.documents.slice(0, MOST_KEPT)));
      set({
        own: answer.ok
          ? answer.value.documents
          : (get().own ?? (kept === undefined ? [] : keptDocuments(kept, schema))),
      });
    },
    edit: (draft, saved) => set({ ...nothing, draft, saved }),
    change: (draft) =>
      set(({ draft: before, past }) => ({
        draft,
        past: before ? [...past.slice(-MOST_UNDONE), before] : past,
        future: [],
      })),
    undo: () =>
      set(({ draft, past, future }) => {
        const before = past.at(-1);
        return before && draft ? { draft: before, past: past.slice(0, -1), future: [draft, ...future] } : {};
      }),
    redo: () =>
      set(({ draft, past, future }) => {
        const [next, ...rest] = future;
        return next && draft ? { draft: next, past: [...past, draft], future: rest } : {};
      }),
    save: async () => {
      const { draft, saved } = get();
      if (!draft) return;
      const valid = schema.safeParse(draft);
      if (!valid.success) return void toast(`It is not saved. ${words(issuesOf(valid.error).slice(0, 3))}`);
      const answer = saved
        ? await send<{ version: number }>("PUT", `${path}/${draft.id}`, draft, { version: saved.version })
        : await send<{ version: number }>("POST", path, draft);
      if (!answer.ok) return void toast(`${words(answer.issues)} What you have here stays; export it to be sure.`);
      set({ saved: { id: draft.id, version: answer.value.version, document: draft } });
      await get().load();
    },
    remove: async () => {
      const { saved } = get();
      if (!saved) return;
      const mark = (deleted: boolean) => send("PATCH", `${path}/${saved.id}`, { deleted });
      const answer = await mark(true);
      if (!answer.ok) return void toast(words(answer.issues));
      set(nothing);
      await get().load();
      toast(`“${saved.document.name}” is deleted.`, {
        action: { label: "Undo", onClick: () => void mark(false).then(() => get().load()) },
      });
    },
    close: () => set(nothing),
  }));
}

/** A name that no document of anybody has. */
export const newOwnId = () => `own-${crypto.randomUUID()}`.slice(0, 40);
