// The stand-ins of the outside world: started unless others are set.
import path from "node:path";
import { freePort } from "./ports.mjs";
import { launch } from "./processes.mjs";
import { ROOT } from "./setup.mjs";

/**
 * Starts the stand-ins for what is not set, and says where all of it is.
 *
 * @returns {Promise<{ WEATHER_URL: string, POSITION_URL: string, BACKGROUND_ORIGINS: string }>}
 */
export async function startOutside() {
  const { WEATHER_URL, POSITION_URL, BACKGROUND_ORIGINS } = process.env;
  if (WEATHER_URL && POSITION_URL && BACKGROUND_ORIGINS !== undefined)
    return { WEATHER_URL, POSITION_URL, BACKGROUND_ORIGINS };
  const port = await freePort(4200);
  launch(process.execPath, [path.join(ROOT, "stand-ins/outside.mjs")], {
    cwd: ROOT,
    stdio: "ignore",
    env: { ...process.env, PORT: String(port) },
  });
  const address = `http://127.0.0.1:${port}`;
  return {
    WEATHER_URL: WEATHER_URL ?? `${address}/weather`,
    POSITION_URL: POSITION_URL ?? `${address}/position`,
    BACKGROUND_ORIGINS: BACKGROUND_ORIGINS ?? address,
  };
}
