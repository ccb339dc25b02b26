import ImageSource from "ol/source/Image";
import type { ReliefView } from "@/workers/relief";

/** Drawn this much beyond the view on each side, so that a small pan shows no edge. */
const BEYOND = 0.2;

/** An image over the ground that a worker draws for what is in view. A source keeps its image. */
export function drawnSource(draw: (view: ReliefView) => Promise<ImageBitmap | null>): ImageSource {
  return new ImageSource({
    loader: async (extent, resolution, pixelRatio) => {
      const resolution_m = resolution / pixelRatio;
      const width = Math.ceil(((extent[2] - extent[0]) * (1 + 2 * BEYOND)) / resolution_m);
      const height = Math.ceil(((extent[3] - extent[1]) * (1 + 2 * BEYOND)) / resolution_m);
      const west_m = (extent[0] + extent[2] - width * resolution_m) / 2;
      const south_m = (extent[1] + extent[3] - height * resolution_m) / 2;
      const image =
        (await draw({ west_m, south_m, resolution_m, width, height })) ??
        (await createImageBitmap(new ImageData(1, 1)));
      return {
        image,
        extent: [west_m, south_m, west_m + width * resolution_m, south_m + height * resolution_m],
        resolution: resolution_m,
        pixelRatio,
      };
    },
  });
}
