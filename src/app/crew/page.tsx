import type { Metadata } from "next";
import { CrewPage } from "@/ui/stages/rehearse/crew/CrewPage";

export const dynamic = "force-dynamic";
export const metadata: Metadata = { title: "Crew" };

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** A crew of two on two browsers: no account is needed to be of it. */
export default async function Page({ searchParams }: Props) {
  const { id, code } = await searchParams;
  const text = (value: typeof id, form: RegExp) => (typeof value === "string" && form.test(value) ? value : "");
  return <CrewPage id={text(id, /^[0-9a-f-]{36}$/)} code={text(code, /^[0-9A-Za-z -]{1,20}$/)} />;
}
