import { redirect } from "next/navigation";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import type { ReactNode } from "react";
import { demoSituation } from "@/server/demo-library";
import { currentAccount } from "@/server/sessions";
import { addSituation, listSituations } from "@/server/situations";
import { loadLibrary } from "@/server/library";
import { Workspace } from "@/ui/shell/Workspace";

export const dynamic = "force-dynamic";

export default async function WorkLayout({ children }: { children: ReactNode }) {
  const account = await currentAccount();
  if (!account) redirect("/");
  let situations = await listSituations(account.id);
  if (situations.length === 0) {
    // All were deleted: start again from the demo's rather than from an empty page.
    await addSituation(account.id, await demoSituation());
    situations = await listSituations(account.id);
  }
  return (
    <NuqsAdapter>
      <Workspace account={account} library={await loadLibrary(account.id)} situations={situations}>
        {children}
      </Workspace>
    </NuqsAdapter>
  );
}
