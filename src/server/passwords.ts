// What a password must be.
import type { Issue } from "@/core/outcome";

/** Least length; the longest is bounded by the schema. */
export const LEAST_LENGTH = 10;

let commonest: Promise<Set<string>> | undefined;

/** The commonest passwords, from a packaged list; loaded with the first password. */
async function commonPasswords(): Promise<Set<string>> {
  commonest ??= import("@zxcvbn-ts/language-common").then(
    ({ dictionary }) => new Set(dictionary["passwords-common"].map(String)),
  );
  return commonest;
}

/** Why a password is not good enough; null when it is. */
export async function faultOfPassword(password: string, email: string): Promise<Issue | null> {
  const plain = password.trim().toLowerCase();
  const [name] = email.toLowerCase().split("@");
  const fault = (message: string): Issue => ({ code: "weak_password", path: "password", message });
  if (plain.includes(email.toLowerCase()) || plain.replace(/[^a-z]/g, "") === name.replace(/[^a-z]/g, ""))
    return fault("The e-mail address is no password.");
  // A common one with figures or signs at its end is tried first as well.
  const bare = plain.replace(/[^a-z]+$/, "");
  const tail = plain.slice(bare.length);
  const common = await commonPasswords();
  if (common.has(plain) || (bare.length >= 4 && common.has(bare) && (tail.length < 5 || common.has(tail))))
    return fault("This is among the commonest passwords: a few words in a row are better.");
  if (new Set(plain).size < 5) return fault("A password has at least five different characters.");
  return null;
}
