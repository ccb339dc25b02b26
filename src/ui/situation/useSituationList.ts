"use client";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { Page } from "@/server/page";
import type { ListedSituation } from "@/server/situations";
import { send } from "@/ui/kit/request";
import { useWorkspace } from "@/ui/library/workspace";

/** The account's situations by name, the ones saved last first. */
interface SituationList {
  readonly items: readonly ListedSituation[];
  /** What the names are searched for. */
  readonly name: string;
  /** There are so many that a search helps. */
  readonly searchable: boolean;
  readonly busy: boolean;
  find(name: string): void;
  /** Fetches the next; null when all are there. */
  readonly more: (() => Promise<void>) | null;
}

interface Fetched extends Page<ListedSituation> {
  /** The page's own list when it was fetched. */
  readonly since: unknown;
}

/** A search begins when nothing was typed for this long, ms. */
const REST_MS = 250;

const withName = ({ items, next }: Page<ListedSituation>, name: string): Page<ListedSituation> =>
  name === "" ? { items, next } : { items: items.filter((entry) => entry.name.includes(name)), next };

/** The list: its first page comes with the page itself, the others when they are asked for. */
export function useSituationList(): SituationList {
  const first = useWorkspace().situations;
  const [name, setName] = useState("");
  const [fetched, setFetched] = useState<Fetched | null>(null);
  const [busy, setBusy] = useState(false);
  const newest = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  // What was added or deleted since is in the page's own list alone.
  const shown = fetched?.since === first ? fetched : withName(first, name);

  const fetchPage = async (wanted: string, after: string | null, before: readonly ListedSituation[]) => {
    const turn = (newest.current += 1);
    setBusy(true);
    const query = new URLSearchParams({ name: wanted, ...(after === null ? {} : { after }) });
    const answer = await send<{ situations: ListedSituation[]; next: string | null }>(
      "GET",
      `/api/situations?${query}`,
    );
    if (turn !== newest.current) return;
    setBusy(false);
    if (answer.ok)
      setFetched({ since: first, items: [...before, ...answer.value.situations], next: answer.value.next });
    else toast(answer.issues.map((issue) => issue.message).join(" "));
  };
  return {
    items: shown.items,
    name,
    searchable: first.next !== null,
    busy,
    find: (wanted) => {
      setName(wanted);
      clearTimeout(timer.current);
      if (wanted === "") setFetched(null);
      else timer.current = setTimeout(() => void fetchPage(wanted, null, []), REST_MS);
    },
    more: shown.next === null ? null : () => fetchPage(name, shown.next, shown.items),
  };
}
