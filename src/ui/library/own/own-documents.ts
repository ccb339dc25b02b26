import { FlightTestProfile } from "@/core/exercise/exercise";
import { Procedure } from "@/core/procedure/procedure";
import { ownDocumentsStore } from "./own-documents-store";

/** Procedures of one's own. */
export const useProcedures = ownDocumentsStore("/api/procedures", Procedure);

/** Flight tests of one's own. */
export const useFlightTests = ownDocumentsStore("/api/flight-tests", FlightTestProfile);
