/** Cookie with the situation that was open last in this browser: the server sends that one with the page. */
export const LAST_SITUATION = "utrimax_situation";

/** Remembers which situation is open. */
export function rememberSituation(id: string): void {
  document.cookie = `${LAST_SITUATION}=${encodeURIComponent(id)}; path=/; max-age=31536000; samesite=lax`;
}
