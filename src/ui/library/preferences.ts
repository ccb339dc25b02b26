// The account's own settings. They are kept in the browser, where they take effect at once, and told to the server so
// that they follow the account to another one.
import { create } from "zustand";
import type { Preferences } from "@/server/preferences";
import { send } from "@/ui/kit/request";
import { type Appearance, chooseAppearance, chosenAppearance } from "@/ui/kit/appearance/appearance";
import { useUnits } from "@/ui/kit/units/units-store";

/** Where one flies from: the id of a place, null for nowhere yet, undefined while one has not been asked. */
export const useHome = create<{ readonly placeId: string | null | undefined }>(() => ({ placeId: undefined }));

/** Chooses where one flies from, or to be asked no more. */
export function chooseHome(placeId: string | null): void {
  useHome.setState({ placeId });
  tellPreferences();
}

/** Takes over what the account chose elsewhere. */
export function adoptPreferences({ units, appearance, home }: Preferences): void {
  useHome.setState({ placeId: home });
  for (const [kind, unit] of Object.entries(units ?? {})) useUnits.getState().choose(kind, unit);
  if (appearance) chooseAppearance(appearance);
}

/**
 * Tells the server what is chosen now. When it is away nothing is lost: the browser keeps it, and the next choice is
 * told again.
 */
export function tellPreferences(): void {
  void send("PUT", "/api/preferences", {
    units: useUnits.getState().units,
    appearance: chosenAppearance(),
    home: useHome.getState().placeId,
  } satisfies Preferences);
}

/** Chooses day, night or the system's, here and for the account. */
export function chooseAndTellAppearance(choice: Appearance): void {
  chooseAppearance(choice);
  tellPreferences();
}
