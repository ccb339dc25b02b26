import { cookies, headers } from "next/headers";
import { notFound, redirect } from "next/navigation";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import type { ReactNode } from "react";
import { firstSituation } from "@/server/first-situation";
import { loadLibrary } from "@/server/library";
import { currentAccount } from "@/server/sessions";
import { pageOfSituations } from "@/server/situations";
import { SLUGS } from "@/ui/stages/slugs";
import { LAST_SITUATION } from "@/ui/situation/last-situation";
import { Workspace } from "@/ui/shell/Workspace";

export const dynamic = "force-dynamic";

/** Names that come with the page; the others come when they are asked for. */
const FIRST_PAGE = 40;

export default async function WorkLayout({ children }: { children: ReactNode }) {
  // Not in the page: what it throws comes after the head of the answer has gone.
  const slug = (await headers()).get("x-utrimax-path")?.slice(1);
  if (slug !== undefined && !SLUGS.includes(slug)) notFound();
  const account = await currentAccount();
  if (!account) redirect("/");
  const first = await firstSituation(account.id, (await cookies()).get(LAST_SITUATION)?.value ?? null);
  const [library, situations] = await Promise.all([
    loadLibrary(account.id, first.document.aircraftId),
    pageOfSituations(account.id, { after: null, limit: FIRST_PAGE, name: "" }),
  ]);
  return (
    <NuqsAdapter>
      <Workspace account={account} libraryText={JSON.stringify(library)} situations={situations} first={first}>
        {children}
      </Workspace>
    </NuqsAdapter>
  );
}
