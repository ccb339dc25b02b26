import { ownProcedures } from "@/server/own-documents";
import { listRoutes } from "@/server/own-documents-routes";

/** Procedures of the account's own: listed, added. */
export const { GET, POST } = listRoutes(ownProcedures);
