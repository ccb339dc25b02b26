import { calculate, describeCalculation } from "@/core/registry";
import { waitBefore } from "@/server/rate-limit";
import { addressOf, readJson, refusal, refuse, route } from "@/server/route";

interface Context {
  params: Promise<{ name: string }>;
}

/** What the calculation asks and answers, as JSON Schema. */
export const GET = route<Context>(async (_, { params }) => {
  const description = describeCalculation((await params).name);
  return description
    ? Response.json(description)
    : refuse(404, "no_such_calculation", "There is no calculation of this name.");
});

/**
 * Calculations that take seconds of the server: few a minute for each address, the interface computes them in the
 * browser.
 */
const LONG = ["departure", "departure-chance", "accelerate"];

export const POST = route<Context>(async (request, { params }) => {
  const { name } = await params;
  const wait_s = LONG.includes(name) ? await waitBefore("longCalculation", addressOf(request)) : 0;
  if (wait_s > 0)
    return refuse(
      429,
      "too_many_attempts",
      `This calculation takes the server seconds: ask again in ${wait_s} s, or run it with the command line.`,
    );
  const result = calculate(name, await readJson(request));
  if (result.ok) return Response.json(result.value);
  return refusal(result.unknown ? 404 : 422, result.issues);
});
