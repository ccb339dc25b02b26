"use client";
import { useRouter, useSelectedLayoutSegment } from "next/navigation";
import { toast } from "sonner";
import { chooseAndTellAppearance } from "@/ui/library/preferences";
import { printCard } from "@/ui/kit/print/card-store";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { downloadSituation, useSituationActions } from "@/ui/situation/useSituationActions";
import { situationLink } from "@/ui/situation/shared-link";
import { useSituation } from "@/ui/situation/situation-store";
import { saveSituation } from "@/ui/situation/useSaving";
import { shownAppearance } from "@/ui/kit/appearance/appearance";
import { useDialogs } from "@/ui/kit/dialogs/dialogs-store";
import type { Command, History } from "@/ui/stages/stage-face";
import { useFaces } from "./useFaces";

/** All of them: the one list behind the keys, the palette and the list of keys. */
export function useCommands(): Command[] {
  const router = useRouter();
  const aircraft = useLibraryAircraft();
  const show = useDialogs((state) => state.show);
  const { copy } = useSituationActions();
  const slug = useSelectedLayoutSegment();
  const { stages, beside } = useFaces();
  const faces = [...stages, ...beside];
  const open = faces.find((stage) => stage.slug === slug);
  // A stage's own changes are undone first.
  const history = (): History => open?.history?.() ?? useSituation.temporal.getState();
  return [
    ...stages.map(({ slug, name }, i): Command => ({
      title: name,
      group: "Stages",
      keys: String(i + 1),
      keyLabel: String(i + 1),
      run: () => router.push(`/${slug}`),
    })),
    ...beside.map(({ slug, name }, i): Command => ({
      title: name,
      group: "Stages",
      keys: String((9 + i) % 10),
      keyLabel: String((9 + i) % 10),
      run: () => router.push(`/${slug}`),
    })),
    {
      title: "Save the situation",
      group: "Situation",
      keys: "ctrl+s, meta+s",
      keyLabel: "Ctrl S",
      run: () => void saveSituation(),
    },
    { title: "Undo", group: "Situation", keys: "ctrl+z, meta+z", keyLabel: "Ctrl Z", run: () => history().undo() },
    {
      title: "Redo",
      group: "Situation",
      keys: "ctrl+shift+z, meta+shift+z, ctrl+y",
      keyLabel: "Ctrl Shift Z",
      run: () => history().redo(),
    },
    {
      title: "Open, rename, delete or import situations",
      group: "Situation",
      keys: "o",
      keyLabel: "o",
      run: () => show("situations"),
    },
    { title: "Copy the situation", group: "Situation", keys: "", keyLabel: "", run: () => void copy() },
    {
      title: "Export the situation as JSON",
      group: "Situation",
      keys: "",
      keyLabel: "",
      run: () => downloadSituation(useSituation.getState().current, aircraft),
    },
    {
      title: "Copy a link to this situation",
      group: "Situation",
      keys: "",
      keyLabel: "",
      run: () =>
        void navigator.clipboard.writeText(situationLink(location.href, useSituation.getState().current)).then(
          () => toast("The link is on the clipboard. It holds aircraft, mass, place, wind and air."),
          () => toast("The browser does not let the page use the clipboard."),
        ),
    },
    ...faces.flatMap((stage) => stage.commands ?? []),
    { title: "Home: where I fly from", group: "Page", keys: "h", keyLabel: "h", run: () => show("home") },
    { title: "Commands", group: "Page", keys: "/, shift+/", keyLabel: "/", run: () => show("commands") },
    { title: "List of keys", group: "Page", keys: "?, shift+?", keyLabel: "?", run: () => show("keys") },
    { title: "Units", group: "Page", keys: "u", keyLabel: "u", run: () => show("units") },
    { title: "Background of the maps", group: "Page", keys: "", keyLabel: "", run: () => show("background") },
    { title: "Print the card", group: "Page", keys: "p", keyLabel: "p", run: printCard },
    {
      title: "Day or night",
      group: "Page",
      keys: "t",
      keyLabel: "t",
      run: () => chooseAndTellAppearance(shownAppearance() === "day" ? "night" : "day"),
    },
    {
      title: "Account, export and import of everything",
      group: "Page",
      keys: "",
      keyLabel: "",
      run: () => show("account"),
    },
  ];
}
