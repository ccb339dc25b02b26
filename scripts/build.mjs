// npm run build: what the server serves and what its threads run.
import { ensureBuilt } from "./lib/build.mjs";
import { leave } from "./lib/processes.mjs";

try {
  await ensureBuilt();
} catch (error) {
  await leave(1, error);
}
