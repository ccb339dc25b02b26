import { attachmentOf, deleteAttachment } from "@/server/attachments";
import { refuse, requireAccount, route } from "@/server/route";

interface Context {
  params: Promise<{ id: string }>;
}

const missing = () => refuse(404, "no_such_file", "There is no such file of your own.");

/** A file of the account, handed out to be saved: nothing of it runs in the page. */
export const GET = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  const file = await attachmentOf(account.id, (await params).id.slice(0, 36));
  if (!file) return missing();
  return new Response(new Uint8Array(file.content), {
    headers: {
      "content-type": file.type,
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(file.name)}`,
      "x-content-type-options": "nosniff",
      "content-security-policy": "sandbox; default-src 'none'",
    },
  });
});

/** Takes it away. */
export const DELETE = route<Context>(async (_, { params }) => {
  const account = await requireAccount();
  return (await deleteAttachment(account.id, (await params).id.slice(0, 36))) ? Response.json({ ok: true }) : missing();
});
