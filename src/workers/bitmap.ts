import * as Comlink from "comlink";
import type { ReliefView } from "./relief";

/** Pixels as an image that is handed over to the page, not copied. */
export async function bitmap(
  pixels: Uint8ClampedArray<ArrayBuffer>,
  { width, height }: Pick<ReliefView, "width" | "height">,
): Promise<ImageBitmap> {
  const image = await createImageBitmap(new ImageData(pixels, width, height));
  return Comlink.transfer(image, [image]);
}
