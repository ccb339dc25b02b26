import { readFile } from "node:fs/promises";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";

/** Every word of a PDF, page by page, with single spaces between. */
export async function pdfText(file: string): Promise<string> {
  const document = await getDocument({ data: new Uint8Array(await readFile(file)), useSystemFonts: false }).promise;
  const pages = await Promise.all(
    Array.from({ length: document.numPages }, async (_, i) => {
      const content = await (await document.getPage(i + 1)).getTextContent();
      return content.items.map((item) => ("str" in item ? item.str : "")).join(" ");
    }),
  );
  return pages.join("\n").replace(/\s+/g, " ");
}
