import { ownFlightTests } from "@/server/own-documents";
import { listRoutes } from "@/server/own-documents-routes";

/** Flight tests of the account's own: listed, added. */
export const { GET, POST } = listRoutes(ownFlightTests);
