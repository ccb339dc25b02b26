import { redirect } from "next/navigation";
import { currentAccount } from "@/server/sessions";
import { Welcome } from "@/ui/shell/Welcome";

export const dynamic = "force-dynamic";

export default async function HomePage() {
  if (await currentAccount()) redirect("/landing");
  return <Welcome />;
}
