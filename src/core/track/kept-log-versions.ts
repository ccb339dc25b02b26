// Kept logs of every version that was ever written.
import { z } from "zod";
import { upgradedAircraft } from "../aircraft/aircraft-versions";
import { type OldDocument, versionedDocument } from "../versions";
import { KeptLog } from "./kept-log";

/** Version 1 knew no engine stops but those that were found, and one recorder. */
const withStops = (old: OldDocument): OldDocument => ({ stops: null, also: [], ...old });

/** Version 2 was flown by aeroplanes alone; they are what they were. */
const ofAnyKind = (old: OldDocument): OldDocument => old;

const versions = versionedDocument("utrimax/log", "flight log", KeptLog, [withStops, ofAnyKind]);

const Old = z.looseObject({ aircraft: z.unknown() });

/** The aircraft that it holds is a document with versions of its own. */
function upgraded(value: unknown): unknown {
  const log = versions.upgraded(value);
  const old = Old.safeParse(log);
  if (!old.success || old.data.aircraft === null) return log;
  return { ...old.data, aircraft: upgradedAircraft(old.data.aircraft) };
}

/** A kept log of this or an earlier version, brought up to this one: what storage and files are read with. */
export const KeptLogOfAnyVersion = z.preprocess(upgraded, KeptLog);
