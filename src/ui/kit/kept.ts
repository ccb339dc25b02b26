// What the browser keeps between visits, under the account that it belongs to.
import type { StateStorage } from "zustand/middleware";

const PREFIX = "utrimax:";

let owner = "";

/** Says whose things are kept and read from now on. */
export function keepFor(accountId: string): void {
  owner = accountId;
}

/** The key of something of the account. */
export function keptAs(name: string): string {
  return `${PREFIX}${owner}:${name}`;
}

/** Storage of the account, for stores that keep themselves. */
export const accountStorage: StateStorage = {
  getItem: (name) => localStorage.getItem(keptAs(name)),
  setItem: (name, value) => localStorage.setItem(keptAs(name), value),
  removeItem: (name) => localStorage.removeItem(keptAs(name)),
};

/** Forgets all that was kept in this browser, of every account. */
export function forgetAllKept(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key);
  for (const name of document.cookie.split("; ").map((cookie) => cookie.split("=")[0]))
    if (name.startsWith("utrimax_")) document.cookie = `${name}=; path=/; max-age=0; samesite=lax`;
}
