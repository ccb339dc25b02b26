import { redirect } from "next/navigation";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import type { ReactNode } from "react";
import { demoSituation } from "@/server/demo-library";
import { currentAccount } from "@/server/sessions";
import { addSituation, listSituations } from "@/server/situations";
import type { UnreadableRow } from "@/server/readable-rows";
import { loadLibrary } from "@/server/library";
import { Workspace } from "@/ui/shell/Workspace";

export const dynamic = "force-dynamic";

export default async function WorkLayout({ children }: { children: ReactNode }) {
  const account = await currentAccount();
  if (!account) redirect("/");
  const unreadable: UnreadableRow[] = [];
  let situations = await listSituations(account.id, unreadable);
  if (situations.length === 0) {
    // All were deleted, or none can be read: start again from the demo's rather than from an empty page.
    await addSituation(account.id, await demoSituation());
    situations = await listSituations(account.id);
  }
  const library = await loadLibrary(account.id);
  return (
    <NuqsAdapter>
      <Workspace
        account={account}
        library={{ ...library, unreadable: [...library.unreadable, ...unreadable] }}
        situations={situations}
      >
        {children}
      </Workspace>
    </NuqsAdapter>
  );
}
