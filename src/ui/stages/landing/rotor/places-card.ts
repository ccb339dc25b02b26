// What the card of a rotorcraft's landing says, in the user's units.
import type { RotorEnd } from "@/core/landing/rotor-reach";
import { formatMargin } from "@/ui/kit/units/margin";
import type { Format } from "@/ui/kit/units/units-store";
import type { LandingCardContent } from "../LandingCardPdf";
import { firstMove } from "../way";
import { KEY_WORDS, roomWords } from "./places-words";

/** The card; null where there is no way. */
export function placesCard(shown: RotorEnd, sub: string, format: Format): LandingCardContent | null {
  const { end, way, room, last, keys } = shown;
  const { path, glide } = way;
  if (!path || !glide) return null;
  return {
    title: `${end.name}: ${firstMove(way)}`,
    sub,
    large: [
      {
        name: path.margin_m >= 0 ? "Margin" : "Short by",
        value: formatMargin(path.margin_m, format).replace(/[+−]/, ""),
      },
    ],
    rows: [
      { name: "Steady / final", value: `${format("speed", glide.tas_mps)} / ${format("speed", last.final_mps)}` },
      ...path.ledger
        .filter(({ height_m }) => height_m > 0.5)
        .map(({ name, height_m, time_s }) => ({
          name,
          value: `${format("height", height_m)}${time_s > 0 ? `, ${Math.round(time_s)} s` : ""}`,
        })),
      {
        name: "Room asked for / there is",
        value: `${Number.isFinite(room.needed_m) ? format("length", room.needed_m, "up") : "–"} / ${format("length", end.length_m)} ${end.surface}`,
      },
      { name: "The place", value: roomWords(shown, format) },
    ],
    table: null,
    listHead: "By height over the place",
    list: keys.map(({ name, height_m, tas_mps }) => ({
      when: format("height", height_m),
      what: `${name}, ${format("speed", tas_mps)}: ${KEY_WORDS[name]}`,
    })),
    call: "",
  };
}
