// The pages for users speak of the interface by its own words: what stands in bold there stands on the screen.
import { existsSync, readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { SLUGS } from "@/ui/stages/slugs";

const ROOT = path.resolve(import.meta.dirname, "..");
const FOLDER = path.join(ROOT, "docs/guide");
const pages = readdirSync(FOLDER).map((name) => ({ name, text: readFileSync(path.join(FOLDER, name), "utf8") }));
const sources = readdirSync(path.join(ROOT, "src/ui"), { recursive: true, encoding: "utf8" })
  .filter((file) => /\.tsx?$/.test(file) && !file.includes(".test."))
  .map((file) => readFileSync(path.join(ROOT, "src/ui", file), "utf8"))
  .join("\n")
  .replaceAll(/\s+/g, " ");

/** Whether a label stands on the screen: as a text of its own in the source, not as a part of a sentence. */
function isLabel(label: string): boolean {
  const escaped = label.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");
  return new RegExp(`(["\`>] ?|/> )${escaped} ?["\`<{,:]`).test(sources);
}

describe("the pages for users", () => {
  it("are one for each stage", () => {
    const named = pages.map(({ name }) => name.replace(/^\d-|\.md$/g, ""));
    expect(SLUGS.filter((slug) => !named.includes(slug))).toEqual([]);
  });

  it.each(pages.map(({ name, text }) => [name, text]))("%s uses the labels of the interface", (_, text) => {
    const labels = [...text.matchAll(/\*\*([^*]+)\*\*/g)]
      .map(([, label]) => label)
      .filter((label) => label !== "bold" && !label.endsWith("."));
    expect(labels.filter((label) => !isLabel(label))).toEqual([]);
  });

  it.each(pages.map(({ name, text }) => [name, text]))("%s shows and names what is there", (_, text) => {
    const links = [...text.matchAll(/\]\(([^)#]+)\)/g)].map(([, link]) => link);
    expect(links.filter((link) => !existsSync(path.join(FOLDER, link)))).toEqual([]);
  });

  it("would notice a label that is gone", () => {
    expect([isLabel("Sink and speed"), isLabel("Sink and haste")]).toEqual([true, false]);
  });
});
