import { ownTestCards } from "@/server/own-documents";
import { oneRoutes } from "@/server/own-documents-routes";

/** One of them: replaced, deleted, brought back. */
export const { PUT, PATCH } = oneRoutes(ownTestCards);
