// A position as people write it: decimal degrees, degrees and minutes, degrees, minutes and seconds, with or without
// signs, letters before or behind, decimal points or commas.
import { type Outcome, failure, success } from "../outcome";
import type { LatLon } from "./geodesic";

/** Longer than this nothing is a position. */
const LONGEST = 80;

interface Angle {
  readonly value_deg: number;
  /** What its letter says it is; null without a letter. */
  readonly axis: "latitude" | "longitude" | null;
}

const LETTERS: Record<string, { axis: "latitude" | "longitude"; sign: 1 | -1 }> = {
  N: { axis: "latitude", sign: 1 },
  S: { axis: "latitude", sign: -1 },
  E: { axis: "longitude", sign: 1 },
  W: { axis: "longitude", sign: -1 },
};

const fault = (message: string) => failure("position", message, "position");

/**
 * Reads a position.
 *
 * @param text - such as "47°06.9′S 130°58.7′W", "-47.1149, -130.9781", "470654S1305842W", "S47 6 54 W130 58 42" or
 *   "47,1149 S; 130,9781 W"; latitude first unless letters say otherwise
 * @returns a message that says what is wrong: not two angles, minutes of 60 or more, latitude and longitude exchanged
 */
export function parsePosition(text: string): Outcome<LatLon> {
  const plain = text
    .trim()
    .toUpperCase()
    .replaceAll(/[−–—]/g, "-")
    .replaceAll(/[’′‘´`']{2}|[”“″]/g, '"')
    .replaceAll(/[’′‘´`]/g, "'")
    .replaceAll(/º|˚|\bDEG\b/g, "°")
    .replaceAll(/\bLAT(ITUDE)?\b|\bLON(G|GITUDE)?\b|[:=]/g, " ");
  if (plain === "") return fault("A position is needed, such as 47°06.9′S 130°58.7′W or −47.115, −130.978.");
  if (plain.length > LONGEST || /[^0-9NSEW°'".,;+\-\s/]/.test(plain))
    return fault("This is not a position. Write it such as 47°06.9′S 130°58.7′W or −47.115, −130.978.");
  const halves = halvesOf(plain);
  if (!halves) return fault("A position needs a latitude and a longitude.");
  const [first, second] = [angleOf(halves[0]), angleOf(halves[1])];
  if (!first.ok) return first;
  if (!second.ok) return second;
  return placed(first.value, second.value);
}

function placed(first: Angle, second: Angle): Outcome<LatLon> {
  if (first.axis !== null && first.axis === second.axis) return fault(`Both angles are a ${first.axis}.`);
  const swapped = first.axis === "longitude" || second.axis === "latitude";
  const [latitude, longitude] = swapped ? [second, first] : [first, second];
  if (Math.abs(latitude.value_deg) > 90)
    return fault(
      Math.abs(longitude.value_deg) <= 90 && !swapped
        ? `A latitude is −90 to 90°, this one is ${latitude.value_deg}°: are latitude and longitude exchanged? Latitude comes first.`
        : `A latitude is −90 to 90°, this one is ${latitude.value_deg}°.`,
    );
  if (Math.abs(longitude.value_deg) > 180)
    return fault(`A longitude is −180 to 180°, this one is ${longitude.value_deg}°.`);
  return success({ latitude_deg: latitude.value_deg, longitude_deg: longitude.value_deg });
}

/** Where the first angle ends and the second begins. */
function halvesOf(text: string): [string, string] | null {
  const letters = [...text.matchAll(/[NSEW]/g)].map((match) => match.index);
  if (letters.length > 2) return null;
  if (letters.length === 2) {
    const [a, b] = letters;
    // Letters stand before their angles, or behind them.
    const cut = text.slice(0, a).trim() === "" ? b : a + 1;
    return [text.slice(0, cut), text.slice(cut)];
  }
  if (letters.length === 1) return null;
  for (const separator of [";", "/", /,\s+/, /\s*,\s*(?=[+-])/]) {
    const parts = text.split(separator).filter((part) => part.trim() !== "");
    if (parts.length === 2) return [parts[0], parts[1]];
  }
  const commas = text.split(",");
  // One comma with points elsewhere separates; so does one alone. With more they are decimal.
  if (commas.length === 2) return [commas[0], commas[1]];
  const words = text.trim().split(/\s+/);
  if (words.length % 2 !== 0 || words.length > 6) return null;
  return [words.slice(0, words.length / 2).join(" "), words.slice(words.length / 2).join(" ")];
}

function angleOf(text: string): Outcome<Angle> {
  const letter = /[NSEW]/.exec(text)?.[0];
  const { axis, sign } = letter ? LETTERS[letter] : { axis: null, sign: 1 };
  const bare = text.replace(/[NSEW]/, " ").replaceAll(/[,;/]\s*$|^\s*[,;/]/g, " ");
  const negative = /^\s*-/.test(bare);
  if (negative && letter) return fault("An angle has a sign or a letter, not both.");
  const figures = bare
    .replace(/^\s*[+-]/, "")
    .replaceAll(",", ".")
    .split(/[°'"\s]+/)
    .filter((part) => part !== "");
  const parts = figures.length === 1 ? unpacked(figures[0], axis) : figures;
  if (parts.length === 0 || parts.length > 3 || !parts.every((part) => /^\d+(\.\d*)?$|^\.\d+$/.test(part)))
    return fault(`“${text.trim()}” is not an angle.`);
  const [whole, minutes = 0, seconds = 0] = parts.map(Number);
  if (parts.slice(0, -1).some((part) => part.includes(".")))
    return fault(`“${text.trim()}”: only the last part of an angle has decimals.`);
  if (minutes >= 60 || seconds >= 60) return fault(`“${text.trim()}”: minutes and seconds are less than 60.`);
  const value = whole + minutes / 60 + seconds / 3600;
  return success({ value_deg: (negative ? -1 : 1) * sign * value || 0, axis });
}

/** Figures run together behind a letter, as charts and messages have them: 470654 or 4706.9 is 47°06′54″. */
function unpacked(figure: string, axis: Angle["axis"]): string[] {
  if (axis === null) return [figure];
  const degrees = axis === "latitude" ? 2 : 3;
  const [whole, decimals] = figure.split(".");
  const tail = decimals === undefined ? "" : `.${decimals}`;
  if (whole.length === degrees + 2) return [whole.slice(0, degrees), whole.slice(degrees) + tail];
  if (whole.length === degrees + 4)
    return [whole.slice(0, degrees), whole.slice(degrees, degrees + 2), whole.slice(degrees + 2) + tail];
  return [figure];
}
