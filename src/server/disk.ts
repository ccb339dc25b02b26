// Room on the disk that the database and the log are on, looked at every few seconds at most.
import { statfs } from "node:fs/promises";

const MB = 1024 * 1024;
/** Below the first it is told, below the second nothing is stored any more: the database needs some to go on. */
const [LOW_MB, FULL_MB] = [500, 50];
/** How long one look serves, ms. */
const FRESH_MS = 3000;

/** Room that is left. */
export interface FreeSpace {
  readonly free_MB: number;
  readonly low: boolean;
  readonly full: boolean;
}

let seen: { readonly space: FreeSpace; readonly time: number } | null = null;

/** Room on the disk of `STATE_FOLDER`, the working directory unless it is set. */
export async function freeSpace(): Promise<FreeSpace> {
  if (seen && Date.now() - seen.time < FRESH_MS) return seen.space;
  const { bavail, bsize } = await statfs(process.env.STATE_FOLDER ?? process.cwd());
  const free_MB = Math.floor((bavail * bsize) / MB);
  const space = { free_MB, low: free_MB < LOW_MB, full: free_MB < FULL_MB };
  seen = { space, time: Date.now() };
  return space;
}
