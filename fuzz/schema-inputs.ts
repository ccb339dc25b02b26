// Inputs for a calculation made from its JSON Schema: a valid question in which a few places are set anew, within
// their range, at both ends or just outside; and now and then a question made from nothing but the schema. Seeded, so
// that what was found can be found again.
import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { RandomGenerator } from "pure-rand/types/RandomGenerator";

type Schema = { readonly [key: string]: unknown };
type Json = unknown;

/** A source of chance with what is needed of it. */
export class Chance {
  readonly #generator: RandomGenerator;

  constructor(seed: number) {
    this.#generator = xoroshiro128plus(seed);
  }

  /** A whole number, both ends included. */
  int(low: number, high: number): number {
    return uniformInt(this.#generator, low, high);
  }

  share(): number {
    return this.int(0, 2 ** 30) / 2 ** 30;
  }

  pick<T>(of: readonly T[]): T {
    return of[this.int(0, of.length - 1)];
  }
}

/** A place in a question with what may stand there. */
interface Place {
  readonly path: readonly (string | number)[];
  readonly schema: Schema;
}

/** Lists are changed within their first entries: the rest are like them. */
const ENTRIES = 3;
/** Of a list made from nothing. */
const MADE_ENTRIES = 4;
const DEEPEST = 12;

/** Every place of a value that a schema speaks of. */
function placesOf(schema: Schema, value: Json, path: readonly (string | number)[]): Place[] {
  const fitting = alternativeFor(schema, value);
  const own: Place[] = path.length > 0 ? [{ path, schema }] : [];
  if (fitting.properties && typeof value === "object" && value !== null) {
    const properties = fitting.properties as Record<string, Schema>;
    return [
      ...own,
      ...Object.entries(properties).flatMap(([name, property]) =>
        placesOf(property, (value as Record<string, Json>)[name], [...path, name]),
      ),
    ];
  }
  if (fitting.items && Array.isArray(value))
    return [
      ...own,
      ...value.slice(0, ENTRIES).flatMap((entry, i) => placesOf(fitting.items as Schema, entry, [...path, i])),
    ];
  return own;
}

/** The member of a union that a value is of; the schema itself when it is none. */
function alternativeFor(schema: Schema, value: Json): Schema {
  const alternatives = (schema.anyOf ?? schema.oneOf) as Schema[] | undefined;
  if (!alternatives) return schema;
  const fits = (one: Schema) => {
    if (one.type === "null") return value === null;
    const properties = one.properties as Record<string, Schema> | undefined;
    if (!properties)
      return typeof value !== "object" || value === null || Array.isArray(value) === (one.type === "array");
    return (
      typeof value === "object" &&
      value !== null &&
      Object.entries(properties).every(
        ([name, property]) => property.const === undefined || property.const === (value as Record<string, Json>)[name],
      )
    );
  };
  return alternatives.find(fits) ?? alternatives[0];
}

/** A number of a schema: mostly within, often at an end, sometimes just outside. */
function numberOf(schema: Schema, chance: Chance, outside: boolean): number {
  const low = (schema.minimum ?? -1e6) as number;
  const high = (schema.maximum ?? 1e6) as number;
  const whole = schema.type === "integer";
  const within = () => {
    const value = low + chance.share() * (high - low);
    return whole ? Math.round(value) : value;
  };
  switch (chance.int(0, outside ? 9 : 7)) {
    case 0:
    case 1:
      return low;
    case 2:
    case 3:
      return high;
    case 4:
      // Near the lower end by orders of magnitude: ranges over several of them are seldom small otherwise.
      return whole || low < 0 || low === high ? within() : low + (high - low) * 10 ** (-6 * chance.share());
    case 8:
      return whole ? low - 1 : low - Math.max(Math.abs(low), 1) * 1e-6;
    case 9:
      return whole ? high + 1 : high + Math.max(Math.abs(high), 1) * 1e-6;
    default:
      return within();
  }
}

/** A value of a schema, from nothing. */
function made(schema: Schema, chance: Chance, outside: boolean, depth = 0): Json {
  if (schema.const !== undefined) return schema.const;
  if (Array.isArray(schema.enum)) return chance.pick(schema.enum);
  const alternatives = (schema.anyOf ?? schema.oneOf) as Schema[] | undefined;
  if (alternatives) return made(chance.pick(alternatives), chance, outside, depth);
  if (Array.isArray(schema.prefixItems))
    return schema.prefixItems.map((one) => made(one as Schema, chance, outside, depth + 1));
  switch (schema.type) {
    case "null":
      return null;
    case "boolean":
      return chance.share() < 0.5;
    case "number":
    case "integer":
      return numberOf(schema, chance, outside);
    case "string":
      return textOf(schema, chance);
    case "array": {
      const least = (schema.minItems ?? 0) as number;
      const most = Math.min((schema.maxItems ?? MADE_ENTRIES) as number, least + MADE_ENTRIES);
      return Array.from({ length: depth > DEEPEST ? least : chance.int(least, most) }, () =>
        made(schema.items as Schema, chance, outside, depth + 1),
      );
    }
    default: {
      const properties = (schema.properties ?? {}) as Record<string, Schema>;
      const required = new Set((schema.required ?? []) as string[]);
      return Object.fromEntries(
        Object.entries(properties).flatMap(([name, property]) =>
          required.has(name) || chance.share() < 0.5 ? [[name, made(property, chance, outside, depth + 1)]] : [],
        ),
      );
    }
  }
}

const WORDS = [
  "Skerrow",
  "a",
  "",
  " ",
  "0",
  "P99KT",
  "25014G30KT 9999 FEW020 12/08 Q1016",
  "VRB03KT CAVOK M05/M10 A2992",
  "//////KT",
  "\u202e",
  "<b>x</b>",
  "ü".repeat(30),
];

function textOf(schema: Schema, chance: Chance): string {
  if (schema.format === "date") return `20${chance.int(10, 60)}-0${chance.int(1, 9)}-1${chance.int(0, 9)}`;
  if (typeof schema.pattern === "string" && schema.pattern.startsWith("^[a-z]")) return `item-${chance.int(0, 9)}`;
  const text = chance.pick(WORDS);
  const most = (schema.maxLength ?? 60) as number;
  return chance.int(0, 9) === 0 ? "x".repeat(Math.min(most + 1, 5000)) : text.slice(0, most);
}

/** A copy of a value with one place set anew. */
function withPlace(value: Json, path: readonly (string | number)[], set: Json): Json {
  const [step, ...rest] = path;
  if (step === undefined) return set;
  if (Array.isArray(value)) return value.map((entry, i) => (i === step ? withPlace(entry, rest, set) : entry));
  return {
    ...(value as object),
    [step]: withPlace((value as Record<string, Json> | undefined)?.[step] ?? {}, rest, set),
  };
}

/**
 * One input.
 *
 * @param base - a valid question
 * @param seed - the same seed gives the same input
 */
export function fuzzedInput(schema: Schema, base: Json, seed: number): Json {
  const chance = new Chance(seed);
  if (chance.int(0, 19) === 0) return made(schema, chance, true);
  let input = base;
  // Most questions stay within every range, so that what is behind the schema is reached.
  const outside = chance.int(0, 4) === 0;
  for (let left = chance.int(1, 6); left > 0; left -= 1) {
    const place = chance.pick(placesOf(schema, input, []));
    input = withPlace(input, place.path, made(place.schema, chance, outside));
  }
  return input;
}
