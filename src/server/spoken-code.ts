// Codes that are handed over by word of mouth: typed in small letters, with blanks or without, they are the same.
import { createHash, randomInt } from "node:crypto";

/** Letters and digits that are not taken for one another. */
const ALPHABET = "ABCDEFGHJKMNPQRSTVWXYZ23456789";

/** A new code in two halves, such as "VCPZ-S5WE". */
export function spokenCode(length: number): string {
  const code = Array.from({ length }, () => ALPHABET[randomInt(ALPHABET.length)]).join("");
  return `${code.slice(0, length / 2)}-${code.slice(length / 2)}`;
}

/** Of a code as it is typed: the table holds this alone, so that a copy of it opens nothing. */
export const spokenCodeHash = (code: string): Buffer =>
  createHash("sha256")
    .update(code.toUpperCase().replaceAll(/[^A-Z0-9]/g, ""))
    .digest();
