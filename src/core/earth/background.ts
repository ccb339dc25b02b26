// A background of one's own: square tiles of a map, as most map services hand them out.
import { z } from "zod";

/** Scheme and host are written out, so that the address leads to one place whatever tile is asked for. */
const FORM = /^https?:\/\/[a-z0-9.-]+(:\d{1,5})?\/[^\s{}]*(\{(x|y|-y|z)\}[^\s{}]*)+$/i;

/** Whether an address names a tile by its column, its row and its level. */
function namesTiles(address: string): boolean {
  const count = (part: string) => address.split(part).length - 1;
  return (
    FORM.test(address) &&
    count("{x}") === 1 &&
    count("{z}") === 1 &&
    count("{y}") + count("{-y}") === 1 &&
    hasHost(address)
  );
}

function hasHost(address: string): boolean {
  try {
    return new URL(address.replace(/[{}]/g, "")).host !== "";
  } catch {
    return false;
  }
}

/** Tiles laid under a map, of the web's usual projection (EPSG:3857). */
export const Background = z.strictObject({
  /** With {z}, {x} and {y} ({-y} where rows count from the south). */
  address: z
    .string()
    .max(300)
    .refine(namesTiles, "An address begins with http:// or https:// and holds {z}, {x} and {y} once each."),
  /** Share of the background in what is seen, over the relief. */
  opacity: z.number().min(0.1).max(1),
  /** Whose map it is; shown on it. */
  credit: z.string().max(120),
});
/** @see Background */
export type Background = z.infer<typeof Background>;

/** Where the tiles come from: scheme, host and port. */
export function originOf({ address }: Pick<Background, "address">): string {
  return new URL(address.replace(/[{}]/g, "")).origin;
}
