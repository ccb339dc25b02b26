// What two documents differ in, in words: names of fields carry their units, and so do the words made of them.
import { degrees } from "@/core/quantities/angle";
import type { Format } from "./units/units-store";

/** One thing that differs. */
export interface Difference {
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

type Leaf = string | number | boolean | null;

/** Every difference, in the order of the fields. */
export function differences(mine: unknown, theirs: unknown, format: Format): Difference[] {
  const [left, right] = [leavesOf(mine), leavesOf(theirs)];
  return [...new Set([...left.keys(), ...right.keys()])]
    .filter((path) => left.get(path) !== right.get(path))
    .map((path) => ({
      what: pathInWords(path),
      mine: valueInWords(path, left.get(path), format),
      theirs: valueInWords(path, right.get(path), format),
    }));
}

function leavesOf(value: unknown, path = ""): Map<string, Leaf> {
  if (typeof value !== "object" || value === null) return new Map([[path, value as Leaf]]);
  return new Map(
    Object.entries(value).flatMap(([key, entry]) => [...leavesOf(entry, path === "" ? key : `${path}.${key}`)]),
  );
}

const UNIT = /_(m|mps|rad|deg|kg|Pa|K|s|kW|N|m2)$/;

/** `wind.layers.0.from_rad` is “wind, layers 1, from”. */
function pathInWords(path: string): string {
  const words = path
    .replace(/\.(\d+)(?=\.|$)/g, (_, place: string) => ` ${Number(place) + 1}`)
    .split(".")
    .map((key) => keyInWords(key.replace(UNIT, "")))
    .join(", ");
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** `gearDown` is “gear down”, and `vmca` a speed that has a name. */
function keyInWords(key: string): string {
  const speed = /^v([a-z]{1,4}\d?)$/.exec(key);
  return speed
    ? `V_${speed[1].toUpperCase()}`
    : key.replace(/([a-z])([A-Z])/g, (_, before: string, after: string) => `${before} ${after.toLowerCase()}`);
}

function valueInWords(path: string, value: Leaf | undefined, format: Format): string {
  if (value === undefined || value === null) return "none";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "string") return value;
  const rounded = String(Math.round(value * 1e5) / 1e5);
  switch (UNIT.exec(path)?.[1]) {
    case "m":
      return /altitude|height|elevation|ground|commit/i.test(path) ? format("height", value) : format("length", value);
    case "mps":
      return format("speed", value);
    case "rad":
      return `${Math.round(degrees(value) * 10) / 10}°`;
    case "deg":
      return `${rounded}°`;
    case "kg":
      return format("mass", value);
    case "Pa":
      return format("pressure", value);
    case "K":
      return `${rounded} K`;
    case "s":
      return `${rounded} s`;
    default:
      return rounded;
  }
}
