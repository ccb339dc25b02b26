import { issuesOf } from "@/core/outcome";
import { weatherNear } from "@/server/outside";
import { WeatherQuestion } from "@/server/outside-question";
import { refusal, requireAccount, route } from "@/server/route";

export const GET = route(async (request) => {
  await requireAccount();
  const asked = WeatherQuestion.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!asked.success) return refusal(422, issuesOf(asked.error));
  return Response.json(await weatherNear(asked.data));
});
