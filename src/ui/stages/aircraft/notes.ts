import type { Aeroplane } from "@/core/aircraft/aeroplane";
import type { Edited } from "./useEdited";

/** What the schema refuses at a place. */
export function faultAt({ faults }: Pick<Edited, "faults">, path: string): string | null {
  return faults.find((fault) => fault.path === path)?.message ?? null;
}

/** What is refused or looks wrong at a place. */
export function noteAt(edited: Pick<Edited, "faults" | "doubts">, path: string): string | undefined {
  return faultAt(edited, path) ?? edited.doubts.find((doubt) => doubt.path === path)?.message;
}

/** What an aeroplane cannot be judged without. */
export function missingFigures({ wing, handbook }: Pick<Aeroplane, "wing" | "handbook">): string[] {
  return [
    wing === null && "the wing",
    handbook.vs1_mps === null && "the clean stall",
    handbook.vbg_mps === null && "best glide",
  ].filter((name): name is string => name !== false);
}
