import { describe, expect, it } from "vitest";
import { CALCULATIONS, describeCalculation } from "./registry";

type Schema = { [key: string]: unknown };

/** What is wrong with a node itself. */
function looseIn(node: Schema, path: string): string[] {
  if (node.enum !== undefined || node.const !== undefined) return [];
  const found: string[] = [];
  const has = (...keys: string[]) => keys.some((key) => typeof node[key] === "number");
  if (node.type === "number" || node.type === "integer") {
    if (!has("minimum")) found.push(`${path}: no least value`);
    if (!has("maximum")) found.push(`${path}: no greatest value`);
  }
  if (node.type === "string" && !has("maxLength") && node.format !== "date") found.push(`${path}: no greatest length`);
  if (node.type === "array" && !has("maxItems") && node.prefixItems === undefined)
    found.push(`${path}: no greatest length`);
  if (node.type === "object" && node.additionalProperties !== false) found.push(`${path}: any key`);
  if (node.type === undefined && node.anyOf === undefined && node.oneOf === undefined && node.allOf === undefined)
    found.push(`${path}: anything at all`);
  return found;
}

/** Every place in a JSON Schema that lets a number, text or list grow without end, or takes keys that nobody reads. */
function unbounded(schema: unknown, path: string, root: Schema): string[] {
  if (typeof schema !== "object" || schema === null) return [];
  const node = schema as Schema;
  const found: string[] = [];
  if (typeof node.$ref === "string") return [];
  found.push(...looseIn(node, path));
  for (const key of ["anyOf", "oneOf", "allOf", "prefixItems"])
    if (Array.isArray(node[key])) found.push(...node[key].flatMap((one) => unbounded(one, path, root)));
  if (node.items) found.push(...unbounded(node.items, `${path}[]`, root));
  for (const [name, property] of Object.entries((node.properties ?? {}) as Schema))
    found.push(...unbounded(property, `${path}.${name}`, root));
  return found;
}

describe("what comes in from outside", () => {
  it.each(CALCULATIONS.map(({ name }) => name))(
    "%s has a least and a greatest value for every number, a greatest length for every text and list, and no key that nobody reads",
    (name) => {
      const input = describeCalculation(name)?.input as Schema;
      const definitions = Object.entries((input.$defs ?? {}) as Schema).flatMap(([key, schema]) =>
        unbounded(schema, `$defs.${key}`, input),
      );
      expect([...new Set([...unbounded(input, name, input), ...definitions])]).toEqual([]);
    },
  );
});
