import type { Account } from "@/core/glide/glide-path";

/** Colour of each account, the same in the ledger and on the map; the reserve is hatched instead. */
export const ACCOUNT_FILL: Record<Account, string> = {
  reaction: "var(--plum)",
  turn: "var(--steel)",
  straight: "var(--sage)",
  attempt: "var(--wheat)",
  approach: "var(--clay)",
  reserve: "var(--ink2)",
};
