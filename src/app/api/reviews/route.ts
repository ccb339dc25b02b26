import { z } from "zod";
import { DOCUMENT_BODY, readBody, requireAccount, route } from "@/server/route";
import { addReviews, listReviews } from "@/server/reviews";
import { SentReview } from "@/server/sent-review";
import { storing } from "@/server/room";

const Sent = z.strictObject({
  reviews: z.array(SentReview).min(1, "There is no answer here.").max(200, "At most 200 answers at once."),
});

/** The account's answers, the latest first. */
export const GET = route(async () => {
  const account = await requireAccount();
  return Response.json({ reviews: await listReviews(account.id) });
});

/** Keeps answers; those that were sent before are there once. */
export const POST = route(async (request) => {
  const account = await requireAccount();
  const { reviews } = await readBody(request, Sent, DOCUMENT_BODY);
  await storing(account.id, { reviews: reviews.length }, (connection) => addReviews(account.id, reviews, connection));
  return Response.json({ ok: true }, { status: 201 });
});
