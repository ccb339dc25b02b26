// Called by the framework: at start, and when a page fails on the server, which is then found in the log under the
// number that the page shows.
import type { Instrumentation } from "next";

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { sweepHourly } = await import("@/server/sweep");
  sweepHourly();
  const { lookForJobs, workQueue } = await import("@/server/log-work");
  lookForJobs();
  // Beside workers of their own the web processes need not work too.
  const { REDIS_URL, LOG_WORK } = process.env;
  if (REDIS_URL && LOG_WORK !== "elsewhere") workQueue(REDIS_URL);
}

export const onRequestError: Instrumentation.onRequestError = async (error, request, context) => {
  // The log needs Node; the framework builds this file for other surroundings too.
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { log } = await import("@/server/log");
  const digest = (error as { digest?: string }).digest ?? "none";
  log().error(
    { err: error, digest, path: request.path, requestId: request.headers["x-request-id"], route: context.routePath },
    "a page failed",
  );
};
