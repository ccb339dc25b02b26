import { ownProcedures } from "@/server/own-documents";
import { oneRoutes } from "@/server/own-documents-routes";

/** One of the account's own: replaced, deleted, brought back. */
export const { PUT, PATCH } = oneRoutes(ownProcedures);
