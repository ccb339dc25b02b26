import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { Edited } from "./useEdited";

/** What the schema refuses at a place. */
export function faultAt({ faults }: Edited, path: string): string | null {
  return faults.find((fault) => fault.path === path)?.message ?? null;
}

/** What is refused or looks wrong at a place. */
export function noteAt(edited: Edited, path: string): string | undefined {
  return faultAt(edited, path) ?? edited.doubts.find((doubt) => doubt.path === path)?.message;
}

/** What an aeroplane cannot be judged without; rotorcraft are not judged by these. */
export function missingFigures({
  wing,
  rotor,
  handbook,
}: Pick<AircraftDocument, "wing" | "rotor" | "handbook">): string[] {
  if (rotor) return [];
  return [
    wing === null && "the wing",
    handbook.vs1_mps === null && "the clean stall",
    handbook.vbg_mps === null && "best glide",
  ].filter((name): name is string => name !== false);
}
