// One tile of the stand-in's map: paper with meridians and parallels, so that it can be seen whether it lies right.
import { crc32, deflateSync } from "node:zlib";

const SIZE_PX = 256;
/** Degrees from one line to the next. */
const EVERY_DEG = 0.05;
/** Paper, and the lines on it. */
const PALETTE = Buffer.from([0xf3, 0xe3, 0xb8, 0xa6, 0x3d, 0x1f]);

/** Latitude at a row of pixels, counted from the north of the whole map. */
function latitude_deg(/** @type {number} */ row_px, /** @type {number} */ all_px) {
  return (Math.atan(Math.sinh(Math.PI * (1 - (2 * row_px) / all_px))) * 180) / Math.PI;
}

/** Whether a line lies between two pixels. */
const crossed = (/** @type {number} */ from_deg, /** @type {number} */ to_deg) =>
  Math.floor(from_deg / EVERY_DEG) !== Math.floor(to_deg / EVERY_DEG);

/** A chunk of a PNG (its specification, section 5.3). */
function chunk(/** @type {string} */ type, /** @type {Buffer} */ data) {
  const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(data.length);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE(crc32(body));
  return Buffer.concat([size, body, sum]);
}

/**
 * The picture of a tile.
 *
 * @param {number} level
 * @param {number} column
 * @param {number} row
 */
export function tile(level, column, row) {
  const all_px = SIZE_PX * 2 ** level;
  const meridian = Array.from({ length: SIZE_PX }, (_, x) => {
    const longitude_deg = ((column * SIZE_PX + x) / all_px) * 360 - 180;
    return crossed(longitude_deg, longitude_deg + 360 / all_px);
  });
  const pixels = Buffer.alloc(SIZE_PX * (SIZE_PX + 1));
  for (let y = 0; y < SIZE_PX; y += 1) {
    const north_px = row * SIZE_PX + y;
    const parallel = crossed(latitude_deg(north_px + 1, all_px), latitude_deg(north_px, all_px));
    for (let x = 0; x < SIZE_PX; x += 1) pixels[y * (SIZE_PX + 1) + 1 + x] = parallel || meridian[x] ? 1 : 0;
  }
  const head = Buffer.alloc(13);
  head.writeUInt32BE(SIZE_PX, 0);
  head.writeUInt32BE(SIZE_PX, 4);
  head.set([8, 3, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk("IHDR", head),
    chunk("PLTE", PALETTE),
    chunk("IDAT", deflateSync(pixels)),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}
