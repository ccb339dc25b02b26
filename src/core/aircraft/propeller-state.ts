import { z } from "zod";

/** What a propeller of a dead engine is doing; `none` for jets and when it does not matter. */
export const PropellerState = z.enum(["windmilling", "stopped", "coarse", "feathered", "none"]);
/** @see PropellerState */
export type PropellerState = z.infer<typeof PropellerState>;
