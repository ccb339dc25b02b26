import { practisedOf } from "@/server/practised";
import { requireAccount, route } from "@/server/route";

/** What the account has that counts as practice. */
export const GET = route(async () => Response.json({ practised: await practisedOf((await requireAccount()).id) }));
