// Files beside the entries of a logbook. What a file is its bytes say, whatever it is called.
import { fileTypeFromBuffer } from "file-type";
import type { RowDataPacket } from "mysql2/promise";
import { ATTACHMENT_TYPES, type AttachmentType } from "@/core/logbook/logbook-entry";
import { type Outcome, failure, success } from "@/core/outcome";
import { type Queryable, database } from "./database";

/** A file as a list shows it. */
export interface ListedAttachment {
  readonly id: string;
  readonly entryId: string;
  readonly name: string;
  readonly type: AttachmentType;
  readonly bytes: number;
}

const isKnown = (type: string): type is AttachmentType => (ATTACHMENT_TYPES as readonly string[]).includes(type);

/** Text as people write it: UTF-8 without characters that no text has. */
function isText(bytes: Uint8Array): boolean {
  try {
    const text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    return text.length > 0 && !/[\u0000-\u0008\u000e-\u001f]/u.test(text);
  } catch {
    return false;
  }
}

/**
 * What a file is.
 *
 * @param says - the type that it was sent as
 * @returns `attachment_type` for what is neither PDF, PNG, JPEG nor text; `attachment_differs` where it says another
 */
export async function attachmentType(bytes: Uint8Array, says: string): Promise<Outcome<AttachmentType>> {
  // What breaks off in its first bytes is told by throwing.
  const told = await fileTypeFromBuffer(bytes).catch(() => undefined);
  const found = told?.mime ?? (isText(bytes) ? "text/plain" : null);
  if (!found || !isKnown(found))
    return failure(
      "attachment_type",
      "A PDF, a PNG, a JPEG or plain text can be kept here. Nothing was stored.",
      "type",
    );
  const said = says.split(";")[0].trim().toLowerCase();
  const agrees = said === found || (found === "text/plain" && said.startsWith("text/"));
  return agrees
    ? success(found)
    : failure(
        "attachment_differs",
        `The file says that it is ${said || "nothing"}, and is ${found}. Nothing was stored.`,
        "type",
      );
}

/** Keeps a file of an entry of the account; false when it has no such entry. */
export async function addAttachment(
  accountId: string,
  { id, entryId, name, type }: Omit<ListedAttachment, "bytes">,
  content: Uint8Array,
  connection: Queryable = database(),
): Promise<boolean> {
  const [result] = await connection.execute(
    `INSERT IGNORE INTO attachments (account_id, id, entry_id, name, type, content)
       SELECT account_id, ?, id, ?, ?, ? FROM logbook_entries WHERE id = ? AND account_id = ? AND deleted_at IS NULL`,
    [id, name, type, Buffer.from(content), entryId, accountId],
  );
  if ((result as { affectedRows: number }).affectedRows > 0) return true;
  return (await attachmentOf(accountId, id, connection)) !== null;
}

/** Files of an account. */
export async function listAttachments(accountId: string): Promise<ListedAttachment[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, entry_id, name, type, bytes FROM attachments WHERE account_id = ? ORDER BY kept_at, id LIMIT 400",
    [accountId],
  );
  return rows.flatMap((row) =>
    isKnown(String(row.type))
      ? [{ id: row.id, entryId: row.entry_id, name: row.name, type: row.type, bytes: Number(row.bytes) }]
      : [],
  );
}

/** One file of an account; null when it has none of that id. */
export async function attachmentOf(
  accountId: string,
  id: string,
  connection: Queryable = database(),
): Promise<{ readonly name: string; readonly type: string; readonly content: Buffer } | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT name, type, content FROM attachments WHERE account_id = ? AND id = ?",
    [accountId, id],
  );
  const row = rows.at(0);
  return row ? { name: String(row.name), type: String(row.type), content: row.content as Buffer } : null;
}

/** All files of an account, as they go out with it. */
export async function everyAttachment(
  accountId: string,
): Promise<{ entryId: string; name: string; type: AttachmentType; content: string }[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT entry_id, name, type, content FROM attachments WHERE account_id = ? ORDER BY kept_at, id",
    [accountId],
  );
  return rows.flatMap((row) =>
    isKnown(String(row.type))
      ? [{ entryId: row.entry_id, name: row.name, type: row.type, content: (row.content as Buffer).toString("base64") }]
      : [],
  );
}

/** Takes a file away; false when the account has none of that id. */
export async function deleteAttachment(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM attachments WHERE account_id = ? AND id = ?", [accountId, id]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
