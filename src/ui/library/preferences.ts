// The account's own settings. They are kept in the browser, where they take effect at once, and told to the server so
// that they follow the account to another one.
import { create } from "zustand";
import type { Background } from "@/core/earth/background";
import type { Preferences } from "@/server/preferences";
import { type Answer, send } from "@/ui/kit/request";
import { type Appearance, chooseAppearance, chosenAppearance } from "@/ui/kit/appearance/appearance";
import { useUnits } from "@/ui/kit/units/units-store";

/** Where one flies from: the id of a place, null for nowhere yet, undefined while one has not been asked. */
export const useHome = create<{ readonly placeId: string | null | undefined }>(() => ({ placeId: undefined }));

/** Chooses where one flies from, or to be asked no more. */
export function chooseHome(placeId: string | null): void {
  useHome.setState({ placeId });
  tellPreferences();
}

/** What lies under the maps beside the relief; null for nothing. */
export const useBackground = create<{ readonly background: Background | null }>(() => ({ background: null }));

/** Chooses a background; it is used when the server allows the place that it comes from. */
export async function chooseBackground(background: Background | null): Promise<Answer<unknown>> {
  const answer = await send("PUT", "/api/preferences", { ...chosen(), background } satisfies Preferences);
  if (answer.ok) useBackground.setState({ background });
  return answer;
}

/** Takes over what the account chose elsewhere. */
export function adoptPreferences({ units, appearance, home, background }: Preferences): void {
  useHome.setState({ placeId: home });
  useBackground.setState({ background: background ?? null });
  for (const [kind, unit] of Object.entries(units ?? {})) useUnits.getState().choose(kind, unit);
  if (appearance) chooseAppearance(appearance);
}

/**
 * Tells the server what is chosen now. When it is away nothing is lost: the browser keeps it, and the next choice is
 * told again.
 */
export function tellPreferences(): void {
  void send("PUT", "/api/preferences", chosen());
}

function chosen(): Preferences {
  return {
    units: useUnits.getState().units,
    appearance: chosenAppearance(),
    home: useHome.getState().placeId,
    background: useBackground.getState().background,
  };
}

/** Chooses day, night or the system's, here and for the account. */
export function chooseAndTellAppearance(choice: Appearance): void {
  chooseAppearance(choice);
  tellPreferences();
}
