// Test cards of every version that was ever written.
import { z } from "zod";
import { upgradedAircraft } from "../aircraft/aircraft-versions";
import { TestCard } from "./test-card";

const Old = z.looseObject({ aircraft: z.unknown() });

/** The aircraft that it holds is a document with versions of its own. */
function upgraded(value: unknown): unknown {
  const old = Old.safeParse(value);
  return old.success ? { ...old.data, aircraft: upgradedAircraft(old.data.aircraft) } : value;
}

/** A test card of this or an earlier version, brought up to this one: what storage and files are read with. */
export const TestCardOfAnyVersion = z.preprocess(upgraded, TestCard);
