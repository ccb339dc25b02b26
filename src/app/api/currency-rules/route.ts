import { ownRules } from "@/server/own-documents";
import { listRoutes } from "@/server/own-documents-routes";

/** Rules of currency of the account: listed, added. */
export const { GET, POST } = listRoutes(ownRules);
