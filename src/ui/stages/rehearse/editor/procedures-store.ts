import { toast } from "sonner";
import { create } from "zustand";
import { type Procedure, Procedure as ProcedureSchema } from "@/core/procedure/procedure";
import type { StoredProcedure } from "@/server/procedures";
import { issuesOf } from "@/core/outcome";
import { send } from "@/ui/kit/request";

/** Steps that can be taken back. */
const MOST_UNDONE = 100;

interface ProceduresState {
  /** One's own; null until they have come. */
  readonly own: readonly StoredProcedure[] | null;
  /** What is edited; null while nothing is. */
  readonly draft: Procedure | null;
  /** As it was saved last; null for one that never was. */
  readonly saved: StoredProcedure | null;
  readonly past: readonly Procedure[];
  readonly future: readonly Procedure[];
  load(): Promise<void>;
  /** Edits one's own, or something new. */
  edit(procedure: Procedure, saved: StoredProcedure | null): void;
  change(procedure: Procedure): void;
  undo(): void;
  redo(): void;
  /** Saves what is edited; what is not valid, or was saved elsewhere meanwhile, is told and nothing is lost. */
  save(): Promise<void>;
  remove(): Promise<void>;
  close(): void;
}

const NOTHING = { draft: null, saved: null, past: [], future: [] } as const;
const words = (issues: readonly { readonly message: string }[]) => issues.map(({ message }) => message).join(" ");

/** Procedures of one's own, and the one that is edited. */
export const useProcedures = create<ProceduresState>()((set, get) => ({
  own: null,
  ...NOTHING,
  load: async () => {
    const answer = await send<{ procedures: StoredProcedure[] }>("GET", "/api/procedures");
    set({ own: answer.ok ? answer.value.procedures : (get().own ?? []) });
  },
  edit: (draft, saved) => set({ ...NOTHING, draft, saved }),
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
    const valid = ProcedureSchema.safeParse(draft);
    if (!valid.success) return void toast(words(issuesOf(valid.error).slice(0, 3)));
    const answer = saved
      ? await send<{ version: number }>("PUT", `/api/procedures/${draft.id}`, draft, { version: saved.version })
      : await send<{ version: number }>("POST", "/api/procedures", draft);
    if (!answer.ok) return void toast(`${words(answer.issues)} What you have here stays; export it to be sure.`);
    set({ saved: { id: draft.id, version: answer.value.version, document: draft } });
    await get().load();
  },
  remove: async () => {
    const { saved } = get();
    if (!saved) return;
    const mark = (deleted: boolean) => send("PATCH", `/api/procedures/${saved.id}`, { deleted });
    const answer = await mark(true);
    if (!answer.ok) return void toast(words(answer.issues));
    set(NOTHING);
    await get().load();
    toast(`“${saved.document.name}” is deleted.`, {
      action: { label: "Undo", onClick: () => void mark(false).then(() => get().load()) },
    });
  },
  close: () => set(NOTHING),
}));
