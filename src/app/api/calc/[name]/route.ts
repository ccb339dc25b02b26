import { z } from "zod";
import { CALCULATIONS, describeCalculation } from "@/core/registry";
import { addressOf, readText, refuse, route } from "@/server/route";
import { inThread } from "@/server/threads";

interface Context {
  params: Promise<{ name: string }>;
}

/** Longest question with a piece of terrain in it, and without, bytes. */
const [WITH_TERRAIN, WITHOUT_TERRAIN] = [4 * 1024 * 1024, 256 * 1024];
/** How long an answer may take with the queue before it, ms. */
const LIMIT_MS = { instant: 10_000, long: 25_000 };

const missing = () => refuse(404, "no_such_calculation", "There is no calculation of this name.");

/** What the calculation asks and answers, as JSON Schema. */
export const GET = route<Context>(async (_, { params }) => {
  const description = describeCalculation((await params).name);
  return description ? Response.json(description) : missing();
});

export const POST = route<Context>(answer, { storesNothing: true });

async function answer(request: Request, { params }: Context): Promise<Response> {
  const { name } = await params;
  const calculation = CALCULATIONS.find((candidate) => candidate.name === name);
  if (!calculation) return missing();
  const terrain = calculation.input instanceof z.ZodObject && "terrain" in calculation.input.shape;
  const text = await readText(request, terrain ? WITH_TERRAIN : WITHOUT_TERRAIN);
  const asking = { client: addressOf(request), signal: request.signal, limit_ms: LIMIT_MS[calculation.cost] };
  const { status, body } = await inThread(calculation.cost, "calculate", { name, text }, asking);
  return new Response(body, { status, headers: { "content-type": "application/json" } });
}
