import type { Edited } from "./useEdited";

/** What the schema refuses at a place. */
export function faultAt({ faults }: Edited, path: string): string | null {
  return faults.find((fault) => fault.path === path)?.message ?? null;
}

/** What is refused or looks wrong at a place. */
export function noteAt(edited: Edited, path: string): string | undefined {
  return faultAt(edited, path) ?? edited.doubts.find((doubt) => doubt.path === path)?.message;
}
