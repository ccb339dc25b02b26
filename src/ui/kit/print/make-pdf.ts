import { Font, pdf } from "@react-pdf/renderer";
import type { ReactElement } from "react";
import { downloadBlob } from "@/ui/kit/download";

const FAMILY = "Atkinson Hyperlegible Next";

/**
 * Registers the cards' face afresh. A face that has served one document must not serve another: the library keeps
 * shaped glyphs with it, and digits of the next document are lost ("8.3" printed as ".3" after "8:").
 *
 * @param regular - where the faces are found, as the library takes it
 */
export function freshFace(regular: string, bold: string): void {
  delete Font.getRegisteredFonts()[FAMILY];
  Font.register({
    family: FAMILY,
    fonts: [
      { src: regular, fontWeight: 400 },
      { src: bold, fontWeight: 700 },
    ],
  });
  // Words on a card are short; a broken one is hard to read at arm's length.
  Font.registerHyphenationCallback((word) => [word]);
}

/** Makes a PDF of a card and hands it to the user. */
export async function makePdf(document: ReactElement, name: string): Promise<void> {
  freshFace(
    new URL(
      "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff",
      import.meta.url,
    ).href,
    new URL(
      "@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff",
      import.meta.url,
    ).href,
  );
  downloadBlob(name, await pdf(document as Parameters<typeof pdf>[0]).toBlob());
}

/** Signs that the face has not, and spaces it draws too wide or not at all, as it can write them. */
export function forPaper(text: string): string {
  return text.replaceAll("\u202f", "\u00a0").replaceAll("−", "–").replaceAll("′", "'").replaceAll("″", '"');
}
