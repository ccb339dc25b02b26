/** Hands a text to the browser as a file. */
export function download(name: string, type: string, text: string): void {
  downloadBlob(name, new Blob([text], { type }));
}

/** Hands anything to the browser as a file. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A file name from a title: letters, digits and hyphens. */
export function fileName(title: string): string {
  return (
    title
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "") || "utrimax"
  );
}
