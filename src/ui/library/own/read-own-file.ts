import type { z } from "zod";
import { issuesOf } from "@/core/outcome";

/** Of a file that is read, bytes. */
const MOST_BYTES = 200_000;

/** The document of a file, or why nothing of it was read. */
export async function readOwnFile<T>(file: File, schema: z.ZodType<T>, most = MOST_BYTES): Promise<T | string> {
  if (file.size > most) return "This file is larger than any document of its kind. Nothing was read.";
  let value: unknown = null;
  try {
    value = JSON.parse(await file.text());
  } catch {
    return "This file is not JSON: it is damaged or something else. Nothing was read.";
  }
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const [{ path, message }] = issuesOf(read.error);
  return `${path}: ${message} Nothing was read.`;
}
