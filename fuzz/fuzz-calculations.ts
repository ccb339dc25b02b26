// Puts fuzzed questions to the calculations and tells what is wrong with the answers.
import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";
import { ZodError } from "zod";
import { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { kindOf } from "@/core/aircraft/aircraft-kind";
import { CALCULATIONS, calculate, describeCalculation } from "@/core/registry";
import { DEMO_INPUTS } from "../demo/demo-inputs";
import { Chance, fuzzedInput } from "./schema-inputs";

/** Something wrong, with what it takes to see it again. */
export interface Finding {
  readonly calculation: string;
  readonly seed: number;
  readonly what: string;
}

/** An answer of an instant calculation that takes longer is slow, ms; of a long one. */
const INSTANT_MS = 1000;
const LONG_MS = 60_000;

const FOLDER = path.resolve(import.meta.dirname, "../demo/aircraft");
const FLEET = readdirSync(FOLDER).map((file) =>
  AircraftDocument.parse(JSON.parse(readFileSync(path.join(FOLDER, file), "utf8"))),
);
/** Which of the fleet a question can be about: those of the kind that its example is about. */
const ofKindOf = (aircraft: unknown) =>
  FLEET.filter((candidate) => kindOf(candidate) === kindOf(aircraft as { category: string }));
const schemas = new Map<string, Record<string, unknown>>();

/** A question of a calculation about some aircraft of the fleet, at a mass that it can have. */
function baseOf(name: string, seed: number): object {
  const base = DEMO_INPUTS[name];
  if (!base) throw new Error(`baseOf: expected a demo input of ${name}, got none`);
  const chance = new Chance(seed * 31 + 7);
  if (!("aircraft" in base) || chance.int(0, 2) === 0) return base;
  const aircraft = chance.pick(ofKindOf(base.aircraft));
  const { maximum_kg, minimum_kg } = aircraft.mass;
  return {
    ...base,
    aircraft,
    ...("mass_kg" in base ? { mass_kg: minimum_kg + chance.share() * (maximum_kg - minimum_kg) } : {}),
  };
}

/** The question of a seed. */
export function questionOf(name: string, seed: number): unknown {
  let schema = schemas.get(name);
  if (!schema) {
    schema = describeCalculation(name)?.input as Record<string, unknown>;
    schemas.set(name, schema);
  }
  return fuzzedInput(schema, baseOf(name, seed), seed);
}

/** The first number that is not finite, by its path; null when all are. */
function notFinite(value: unknown, at: string): string | null {
  if (typeof value === "number") return Number.isFinite(value) ? null : `${at} is ${value}`;
  if (typeof value !== "object" || value === null) return null;
  for (const [key, entry] of Object.entries(value)) {
    const found = notFinite(entry, `${at}.${key}`);
    if (found) return found;
  }
  return null;
}

/**
 * Asks one question.
 *
 * @param clocked - tell answers that take too long too
 * @returns what is wrong; null when the answer is finite, or a refusal with a reason
 */
export function fuzzOne(name: string, seed: number, clocked: boolean): Finding | null {
  const finding = (what: string): Finding => ({ calculation: name, seed, what });
  const question = questionOf(name, seed);
  const began = process.cpuUsage();
  try {
    const result = calculate(name, question);
    // Time of this process, not of the clock on the wall: other work on the machine is no fault of the answer.
    const { user, system } = process.cpuUsage(began);
    const took_ms = (user + system) / 1000;
    const limit_ms = CALCULATIONS.find((entry) => entry.name === name)?.cost === "long" ? LONG_MS : INSTANT_MS;
    if (clocked && took_ms > limit_ms) return finding(`took ${Math.round(took_ms)} ms`);
    if (!result.ok)
      return result.issues.length > 0 &&
        result.issues.every((issue) => issue.message !== "" && !/NaN|Infinity|undefined/.test(issue.message))
        ? null
        : finding(`refused as ${JSON.stringify(result.issues[0])}`);
    const odd = notFinite(result.value, "answer");
    return odd ? finding(odd) : null;
  } catch (error) {
    if (error instanceof ZodError)
      return finding(
        `answers outside its own schema at ${error.issues[0].path.join(".")}: ${JSON.stringify(error.issues[0]).slice(0, 160)}`,
      );
    return finding(
      `threw ${error instanceof Error ? `${error.message} ${(error.stack ?? "").split("\n")[1]?.trim() ?? ""}` : String(error)}`,
    );
  }
}
