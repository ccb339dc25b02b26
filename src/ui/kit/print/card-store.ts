import { create } from "zustand";

interface CardState {
  /** Makes the card of the stage that is open; null where the browser's own print has it. */
  readonly make: (() => void) | null;
  offer(make: (() => void) | null): void;
}

const useCard = create<CardState>()((set) => ({ make: null, offer: (make) => set({ make }) }));

/** Offers a stage's card to the print command; null takes it back. */
export function offerCard(make: (() => void) | null): void {
  useCard.getState().offer(make);
}

/** Prints the card of the stage that is open. */
export function printCard(): void {
  const { make } = useCard.getState();
  if (make) make();
  else window.print();
}
