// Migrates, loads the demo world, forgets what has run out.
import { database } from "@/server/database";
import { loadDemoLibrary } from "@/server/demo-library";
import { migrate } from "@/server/migrate";
import { sweep } from "@/server/sweep";

await migrate();
await loadDemoLibrary();
await sweep();
await database().end();
