import { ownTestCards } from "@/server/own-documents";
import { listRoutes } from "@/server/own-documents-routes";

/** Test cards of the account: listed, added. */
export const { GET, POST } = listRoutes(ownTestCards);
