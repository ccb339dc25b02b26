"use client";
import { Download, LogOut } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { FileButton } from "@/ui/kit/forms/FileButton";
import { type Answer, send, sendRaw } from "@/ui/kit/request";
import { Panel } from "@/ui/kit/dialogs/Panel";
import { useWorkspace } from "@/ui/library/workspace";
import { AccountSettings } from "./AccountSettings";
import { forgetAllKept } from "@/ui/kit/kept";
import { UnreadableRows } from "./UnreadableRows";
import { TerrainField } from "@/ui/situation/TerrainField";

/** Largest account file that is sent, bytes; the server refuses more too. */
const LIMIT = 40 * 1024 * 1024;

/** Who is signed in, everything as one file, terrain of one's own, and the way out. */
export function AccountDialog() {
  const { account } = useWorkspace();
  const router = useRouter();
  const [busy, setBusy] = useState(false);

  const importFile = async (chosen: File) => {
    if (chosen.size > LIMIT)
      return toast(
        `This file has ${Math.round(chosen.size / 1024 / 1024)} MB; at most 40 MB can be imported. Nothing was sent.`,
      );
    setBusy(true);
    const answer: Answer<Record<string, number>> = await sendRaw("POST", "/api/account/import", await chosen.text());
    setBusy(false);
    if (!answer.ok) return toast(answer.issues.map((issue) => issue.message).join(" "));
    toast(
      `Imported: ${Object.entries(answer.value)
        .map(([what, count]) => `${count} ${what}`)
        .join(", ")}.`,
    );
    router.refresh();
  };
  const signOut = async () => {
    const answer = await send("DELETE", "/api/session");
    if (!answer.ok) return toast(answer.issues.map((issue) => issue.message).join(" "));
    forgetAllKept();
    // A whole new page, which leads to the start: nothing of this account stays in memory.
    location.reload();
  };
  return (
    <Panel name="account" title="Account">
      <p>
        {account.kind === "guest"
          ? "You are a guest of the demo. Your work stays for 30 days and can be reached from this browser only."
          : `Signed in as ${account.email}.`}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <a className="btn btn-quiet" href="/api/account/export" download>
          <Download size={15} aria-hidden="true" /> Export everything
        </a>
        <FileButton
          label="Import everything"
          busyLabel="Importing …"
          fileLabel="Account file"
          accept="application/json,.json"
          busy={busy}
          onChoose={(chosen) => void importFile(chosen)}
        />
        <button type="button" className="btn" onClick={() => void signOut()}>
          <LogOut size={15} aria-hidden="true" /> Sign out
        </button>
      </div>
      <p className="mt-2 text-[13px] text-ink2">
        An import adds copies of what the file holds; nothing that is here is replaced.
      </p>
      <AccountSettings />
      <UnreadableRows />
      <TerrainField />
    </Panel>
  );
}
