import { RateLimiterMemory, type RateLimiterRes } from "rate-limiter-flexible";

// Kept across reloads in development, or every edit would forgive every attempt.
const globals = globalThis as typeof globalThis & { utrimaxLimits?: Record<Limited, RateLimiterMemory> };

/** What is limited: attempts a minute for each address. */
type Limited = "signIn" | "createAccount" | "openDemo" | "longCalculation";

const factor = () => Number(process.env.UTRIMAX_RATE_FACTOR ?? 1);

/** Seconds to wait before another attempt; 0 when this one may go ahead (and is counted). */
export async function waitBefore(what: Limited, address: string): Promise<number> {
  globals.utrimaxLimits ??= {
    signIn: new RateLimiterMemory({ points: 8 * factor(), duration: 60 }),
    createAccount: new RateLimiterMemory({ points: 10 * factor(), duration: 600 }),
    longCalculation: new RateLimiterMemory({ points: 20 * factor(), duration: 60 }),
    openDemo: new RateLimiterMemory({ points: 30 * factor(), duration: 60 }),
  };
  try {
    await globals.utrimaxLimits[what].consume(address);
    return 0;
  } catch (refused) {
    return Math.ceil((refused as RateLimiterRes).msBeforeNext / 1000);
  }
}
