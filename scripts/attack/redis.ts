// A Redis of its own on loopback, which forgets when it ends.
import { mkdtemp } from "node:fs/promises";
import { createConnection } from "node:net";
import os from "node:os";
import path from "node:path";
import { freePort } from "../lib/ports.mjs";
import { launch } from "../lib/processes.mjs";
import { until } from "./stand";

/** Starts it. @returns its address */
export async function startRedis(): Promise<string> {
  const port = await freePort(6399);
  const folder = await mkdtemp(path.join(os.tmpdir(), "utrimax-redis-"));
  const args = ["--port", String(port), "--bind", "127.0.0.1", "--dir", folder, "--save", "", "--appendonly", "no"];
  launch("redis-server", args, { stdio: "ignore" });
  const open = () =>
    new Promise<boolean>((resolve) => {
      const socket = createConnection({ port, host: "127.0.0.1" });
      socket.once("connect", () => (socket.destroy(), resolve(true)));
      socket.once("error", () => resolve(false));
    });
  if (!(await until(open, 10_000))) throw new Error("startRedis: expected redis-server to listen, it does not");
  return `redis://127.0.0.1:${port}`;
}
