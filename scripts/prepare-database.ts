// Migrates, loads the demo world, forgets what has run out.
import { forgetOldGuests } from "@/server/accounts";
import { database } from "@/server/database";
import { loadDemoLibrary } from "@/server/demo-library";
import { migrate } from "@/server/migrate";
import { forgetOldSessions } from "@/server/sessions";

await migrate();
await loadDemoLibrary();
await forgetOldSessions(database());
await forgetOldGuests(database());
await database().end();
