import { ownEntries } from "@/server/own-documents";
import { oneRoutes } from "@/server/own-documents-routes";

/** An entry of the account: replaced, deleted, brought back. */
export const { PUT, PATCH } = oneRoutes(ownEntries);
