import { calculate, describeCalculation } from "@/core/registry";
import { readJson, refusal, refuse, route } from "@/server/route";

interface Context {
  params: Promise<{ name: string }>;
}

/** What the calculation asks and answers, as JSON Schema. */
export const GET = route<Context>(async (_, { params }) => {
  const description = describeCalculation((await params).name);
  return description ? Response.json(description) : refuse(404, "no_such_calculation", "There is no calculation of this name.");
});

export const POST = route<Context>(async (request, { params }) => {
  const result = calculate((await params).name, await readJson(request));
  if (result.ok) return Response.json(result.value);
  return refusal(result.unknown ? 404 : 422, result.issues);
});
