import { toast } from "sonner";
import { create } from "zustand";
import type { Share } from "@/server/shares";
import { send } from "@/ui/kit/request";

interface SharesState {
  readonly shares: readonly Share[];
  /** The code of the share begun last, to hand over: shown once. */
  readonly code: string | null;
  load(): Promise<void>;
  begin(name: string): Promise<void>;
  claim(code: string): Promise<boolean>;
  end(id: string): Promise<void>;
}

/** Who may read whose results. */
export const useShares = create<SharesState>()((set, get) => ({
  shares: [],
  code: null,
  load: async () => {
    const answer = await send<{ shares: Share[] }>("GET", "/api/shares");
    if (answer.ok) set({ shares: answer.value.shares });
  },
  begin: async (name) => {
    const answer = await send<{ code: string }>("POST", "/api/shares", { what: "results", name });
    if (answer.ok) set({ code: answer.value.code });
    else toast(answer.issues.map(({ message }) => message).join(" "));
    await get().load();
  },
  claim: async (code) => {
    const answer = await send("POST", "/api/shares/claim", { code });
    if (!answer.ok) toast(answer.issues.map(({ message }) => message).join(" "));
    await get().load();
    return answer.ok;
  },
  end: async (id) => {
    const answer = await send("DELETE", `/api/shares/${id}`);
    if (!answer.ok) toast(answer.issues.map(({ message }) => message).join(" "));
    set({ code: null });
    await get().load();
  },
}));
