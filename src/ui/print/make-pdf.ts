import { Font, pdf } from "@react-pdf/renderer";
import type { ReactElement } from "react";
import { downloadBlob } from "@/ui/download";

const FAMILY = "Atkinson Hyperlegible Next";
let registered = false;

/** The faces of the cards, shipped with the app. */
function registerFonts(): void {
  if (registered) return;
  registered = true;
  Font.register({
    family: FAMILY,
    fonts: [
      { src: new URL("@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff", import.meta.url).href, fontWeight: 400 },
      { src: new URL("@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff", import.meta.url).href, fontWeight: 700 },
    ],
  });
  // Words on a card are short; a broken one is hard to read at arm's length.
  Font.registerHyphenationCallback((word) => [word]);
}

/** Makes a PDF of a card and hands it to the user. */
export async function makePdf(document: ReactElement, name: string): Promise<void> {
  registerFonts();
  downloadBlob(name, await pdf(document as Parameters<typeof pdf>[0]).toBlob());
}

/** Signs that the face has not, and spaces it draws too wide or not at all, as it can write them. */
export function forPaper(text: string): string {
  return text.replaceAll("\u202f", "\u00a0").replaceAll("−", "–");
}
