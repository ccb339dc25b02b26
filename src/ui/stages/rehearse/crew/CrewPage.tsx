"use client";
import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { Toaster } from "sonner";
import { JoinCrew } from "./JoinCrew";
import { CrewDrill } from "./CrewDrill";
import { CrewFlight } from "./CrewFlight";
import { useCrew } from "./crew-store";

/** A crew: joined by its code, then run or looked on at; a tab that was closed comes back where it was. */
export function CrewPage({ id, code }: { id: string; code: string }) {
  const router = useRouter();
  const link = useCrew((state) => state.link);
  const flies = useCrew((state) => state.crew !== null && state.crew.run === null);
  useEffect(() => (id === "" ? undefined : useCrew.getState().open(id)), [id]);
  const Of = flies ? CrewFlight : CrewDrill;
  return (
    <>
      {id === "" || link === "gone" ? (
        <JoinCrew
          code={code}
          onJoined={(joined, by) => router.replace(`/crew?id=${joined}&code=${encodeURIComponent(by)}`)}
        />
      ) : (
        <Of code={code} />
      )}
      <Toaster position="bottom-center" />
    </>
  );
}
