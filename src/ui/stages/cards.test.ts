// The cards as PDF: rendered as the browser does, with the same face, and read back.
import { createRequire } from "node:module";
import { renderToBuffer } from "@react-pdf/renderer";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { type ReactElement, createElement } from "react";
import { describe, expect, it } from "vitest";
import { routeQuestion } from "@/core/route/asked-route";
import type { Detour } from "@/core/route/detour";
import { cleanGlide } from "@/core/aircraft/configuration";
import { driftQuestion } from "@/core/drift/asked-drift";
import { routeWork } from "@/workers/route-work";
import { type RouteAnswer, routeAnswer } from "@/core/route/route-answer";
import { routeField } from "@/core/route/route-field";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { NumbersCardPdf } from "@/ui/stages/aircraft/NumbersCardPdf";
import { DepartureCardPdf } from "@/ui/stages/departure/DepartureCardPdf";
import { RouteCardPdf } from "@/ui/stages/en-route/RouteCardPdf";
import { routeCardContent } from "@/ui/stages/en-route/route-card";
import { LandingCardPdf } from "@/ui/stages/landing/LandingCardPdf";
import { SpeedsCardPdf } from "@/ui/stages/engine-out/SpeedsCardPdf";
import { TakeOffCardPdf } from "@/ui/stages/departure/take-off/TakeOffCardPdf";
import { TestCardPdf } from "@/ui/stages/debrief/cards/TestCardPdf";
import { testCardContent } from "@/ui/stages/debrief/cards/print-test-card";
import { ReportPdf } from "@/ui/stages/debrief/logbook/ReportPdf";
import { reportContent } from "@/ui/stages/debrief/logbook/print-report";
import { newEntry } from "@/core/logbook/drafted-entry";
import { demoSeries } from "../../../demo/demo-series";
import { offerCard, printCard } from "@/ui/kit/print/card-store";
import { forPaper, freshFace } from "@/ui/kit/print/make-pdf";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";

const require = createRequire(import.meta.url);
const face = (weight: number) =>
  require.resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );

async function read(card: ReactElement): Promise<{ text: string; pages: number; size: readonly number[] }> {
  freshFace(face(400), face(700));
  const document = await getDocument({
    data: new Uint8Array(await renderToBuffer(card as Parameters<typeof renderToBuffer>[0])),
  }).promise;
  const pages = await Promise.all(Array.from({ length: document.numPages }, (_, i) => document.getPage(i + 1)));
  const texts = await Promise.all(
    pages.map(async (page) =>
      (await page.getTextContent()).items.map((item) => ("str" in item ? item.str : "")).join(" "),
    ),
  );
  return { text: texts.join(" ").replace(/\s+/g, " "), pages: document.numPages, size: pages[0].view };
}

const BRIEF = Array.from({ length: 8 }, (_, i) => ({
  from_m: i,
  to_m: i + 1,
  text: `Sentence ${i + 1}: from 1\u202f000\u00a0ft, −90\u00a0ft, 45°, about 93 in 100, straight on for 9 seconds, then turn back left, and land on what is left.`,
}));

describe("departure card", () => {
  const content = {
    title: "Departure Skerrow 29",
    sub: "Alder S1, 1\u202f000\u00a0kg",
    gate: "1\u202f000\u00a0ft",
    rows: [{ name: "Turn back", value: "left, 45°, 65\u00a0kt" }],
    brief: BRIEF,
    track: {
      runway_m: 1150,
      climb: [
        [130, 0],
        [1500, 10],
      ] as const,
      back: [
        [1500, 10],
        [1600, -200],
        [1300, -40],
        [900, 0],
      ] as const,
    },
  };

  it("is one A5 page that holds the gate, every sentence and the caution", async () => {
    const { text, pages, size } = await read(createElement(DepartureCardPdf, { content }));
    expect(pages).toBe(1);
    // A5 in points.
    expect(size[2]).toBeCloseTo(419.53, 1);
    expect(size[3]).toBeCloseTo(595.28, 1);
    expect(text).toContain("Gate 1 000 ft");
    for (let i = 1; i <= BRIEF.length; i += 1) expect(text).toContain(`Sentence ${i}:`);
    expect(text).toContain("without the speed, land ahead");
    expect(text).toContain("The approved flight manual, local rules and a qualified instructor come first.");
  });

  it("does without a track when there is no gate", async () => {
    const { text, pages } = await read(
      createElement(DepartureCardPdf, {
        content: { ...content, gate: "none: ahead", track: null, brief: BRIEF.slice(0, 3) },
      }),
    );
    expect(pages).toBe(1);
    expect(text).toContain("none: ahead");
    expect(text).not.toContain("500 m");
  });
});

describe("numbers card", () => {
  it("is one A5 page with speeds, masses and the shelf, however many there are", async () => {
    const { text, pages } = await read(
      createElement(NumbersCardPdf, {
        content: {
          title: "Larch T2: numbers",
          sub: "1 600 kg",
          large: [{ name: "Best glide", value: "86 kt" }],
          speeds: ["V_S1", "V_S0", "V_X", "V_Y", "V_A", "V_LO / V_LE", "V_NE"].map((name) => ({
            name,
            value: "70 kt",
          })),
          byMass: {
            head: ["mass", "V_S1", "V_S0", "least sink", "best glide"],
            rows: Array.from({ length: 8 }, (_, i) => [
              `${1700 - 80 * i} kg`,
              "58 kt",
              "52 kt",
              "66 kt",
              `${86 - i} kt`,
            ]),
          },
          besides: {
            head: "Each of these alone leaves",
            lines: Array.from({ length: 10 }, (_, i) => ({ name: `Item ${i + 1}`, value: "8.3:1 at 75 kt" })),
          },
        },
      }),
    );
    expect(pages).toBe(1);
    for (const word of ["Larch T2: numbers", "Best glide 86 kt", "1140 kg", "Item 10 8.3:1 at 75 kt"])
      expect(text).toContain(word);
  });
});

describe("one card after another", () => {
  it("loses no digit to what the card before it said", async () => {
    const card = (text: string) =>
      createElement(DepartureCardPdf, {
        content: { title: "Card", sub: "", gate: "", rows: [{ name: "", value: text }], brief: [], track: null },
      });
    const digits = "8.3:1 at 75 kt, 9.8:1, 7.6:1, 5.4:1";
    for (const first of ["Sentence 8: from", "Item 3: 1.5", digits]) {
      await read(card(first));
      expect((await read(card(digits))).text).toContain(digits);
    }
  });
});

describe("text for paper", () => {
  it("uses signs that the face has", () => {
    expect(forPaper("1\u202f000 ft, −90 ft")).toBe("1\u00a0000 ft, –90 ft");
  });
});

describe("the print command", () => {
  it("makes the card of the stage that offers one, once", () => {
    let made = 0;
    offerCard(() => {
      made += 1;
    });
    printCard();
    expect(made).toBe(1);
    offerCard(null);
    expect(() => printCard()).toThrow(/window/);
    expect(made).toBe(1);
  });
});

describe("speeds card on one engine, and the take-off's", () => {
  it("are one A5 page each, with every row, sentence and the caution", async () => {
    const table = {
      head: ["mass", "altitude", "V_MCA", "V_S", "V_YSE", "climb"],
      rows: Array.from({ length: 15 }, (_, i) => [
        "1 725 kg",
        `${i * 500} ft`,
        "80 kt",
        "60 kt",
        `${81 - i} kt`,
        "280 ft/min",
      ]),
    };
    const speeds = await read(
      createElement(SpeedsCardPdf, {
        content: {
          title: "Larch T2: on one engine",
          sub: "1 600 kg",
          large: [{ name: "V_YSE", value: "78 kt, 280 ft/min" }],
          rows: [{ name: "V_SSE, book", value: "72 kt" }],
          table,
          caution: "Below it: power back, nose down.",
        },
      }),
    );
    expect(speeds.pages).toBe(1);
    for (let i = 0; i < 15; i += 1) expect(speeds.text).toContain(`${81 - i} kt`);
    expect(speeds.text).toContain("Below it: power back, nose down.");
    const brief = Array.from(
      { length: 5 },
      (_, i) =>
        `Sentence ${i + 1}: airborne, gear down, until 70\u00a0ft: close both, land on the runway that is left; −90\u00a0ft.`,
    );
    const takeOff = await read(
      createElement(TakeOffCardPdf, {
        content: {
          title: "Departure Skerrow 29",
          sub: "Larch T2",
          answer: "One engine: 370 ft/min at 80 kt",
          rows: [{ name: "V_MCA / V_R", value: "63 kt / 66 kt" }],
          brief,
        },
      }),
    );
    expect(takeOff.pages).toBe(1);
    expect(takeOff.text).toContain("63 kt / 66 kt");
    for (const sentence of brief) expect(takeOff.text).toContain(forPaper(sentence).replace(/\s+/g, " "));
  });
});

describe("landing and ditching card", () => {
  const content = {
    title: "Skerrow 11: right turn now",
    sub: "Alder S1, 1\u202f000 kg, from 2\u202f300 ft; wind 250/14; QNH 1016 hPa",
    large: [{ name: "Margin", value: "720 ft" }],
    rows: Array.from({ length: 9 }, (_, i) => ({ name: `Row ${i + 1}`, value: `${100 + i} ft, 12 s` })),
    table: {
      head: ["keys, over aim", "overhead", "abeam", "base", "final"],
      rows: [
        ["left", "960 ft", "570 ft", "230 ft", "100 ft"],
        ["right", "910 ft", "650 ft", "260 ft", "100 ft"],
      ],
    },
    listHead: "By height over the ground",
    list: Array.from({ length: 8 }, (_, i) => ({
      when: `${1000 - 100 * i} ft`,
      what: `Item ${i + 1}: fuel off, mixture cut off, ignition off, when no restart is wanted any more`,
    })),
    call: "Mayday, Mayday, Mayday. All stations. Alder Two Seven, Alder S1. engine failure. forced landing, Skerrow 11. 2 miles north-west of Skerrow, bearing 289; 47°06.9′S 130°58.7′W. 2 300 ft, heading 012. 2 persons on board.",
  };

  it("is one A5 page with the way, the keys, the list by height and the call", async () => {
    const { text, pages } = await read(createElement(LandingCardPdf, { content }));
    expect(pages).toBe(1);
    for (const part of [
      "Skerrow 11: right turn now",
      "720 ft",
      "Row 9",
      "650 ft",
      "Item 8:",
      "Mayday, Mayday, Mayday",
      "130°58.7",
    ])
      expect(text).toContain(part);
  });

  it("a ditching has fourteen items and no keys, and still one page", async () => {
    const list = Array.from({ length: 18 }, (_, i) => ({
      when: "10 000 ft",
      what: `Item ${i + 1}: life vests on, not inflated; loose things stowed; exits and rafts assigned`,
    }));
    const { text, pages } = await read(
      createElement(LandingCardPdf, {
        content: { ...content, title: "Ditching", table: null, rows: content.rows.slice(0, 3), list },
      }),
    );
    expect(pages).toBe(1);
    expect(text).toContain("Item 18:");
  });
});

describe("route card", () => {
  const terrain = demoTerrain();
  const question = routeQuestion(demoSituation(), demoAircraft("alder-s1"), demoPlaces());
  const cover = routeField(question, terrain, terrain.origin, "nominal");
  if (!cover.ok) throw new Error(cover.issue.message);
  const answered = routeAnswer(question, cover.value, terrain);
  if (!answered.ok) throw new Error(answered.issue.message);
  const content = (flight: RouteAnswer, round: readonly Detour[] = []) =>
    routeCardContent(flight, null, round, question.route, "Alder S1, 1\u202f000\u00a0kg", formatIn(DEFAULT_UNITS));

  it("is one A5 page with the gaps, what closes them, and the places by stretch", async () => {
    const { text, pages, size } = await read(createElement(RouteCardPdf, { content: content(answered.value) }));
    expect([pages, Math.round(size[2]), Math.round(size[3])]).toEqual([1, 420, 595]);
    expect(text).toMatch(/Mossgarth . Cape Orrin/);
    expect(text).toMatch(/2\. [\d.]+ NM to [\d.]+ NM: \d+ min, [\d ]+ ft short at worst\./);
    for (const { place } of answered.value.stretches)
      expect(text).toContain(place < 0 ? "no place" : answered.value.places[place].name);
    expect(text).not.toContain("see the screen");
  });

  it("asks on a stretch that a place holds for no more than is planned, and in a gap for more", () => {
    const least_ft = content(answered.value).stretches.map(([place, , , least]) => ({
      held: place !== "no place",
      least: Number(least.replace(/[^\d]/g, "")),
    }));
    // 6,500 ft are planned; the first gap is in the climb.
    const [, ...later] = least_ft;
    expect(later.filter(({ held }) => held).length).toBeGreaterThan(3);
    for (const { held, least } of later)
      if (held) expect(least).toBeLessThanOrEqual(6500);
      else expect(least).toBeGreaterThan(6500);
  });

  it("of a twin has its ceilings, the time without a way and the point of equal time", async () => {
    const larch = demoAircraft("larch-t2");
    const situation = { ...demoSituation(), mass_kg: larch.mass.maximum_kg, configuration: cleanGlide(larch) };
    const asked = driftQuestion(situation, larch, demoPlaces());
    const work = routeWork(() => terrain);
    const [flight, drift] = [work.route(asked, terrain.origin).outcome, work.oneEngine(asked, terrain.origin)];
    if (!flight.ok || !drift.ok) throw new Error("no flight");
    const twin = routeCardContent(flight.value, drift.value, [], asked.route, "Larch T2", formatIn(DEFAULT_UNITS));
    const { text, pages } = await read(createElement(RouteCardPdf, { content: twin }));
    expect(pages).toBe(1);
    expect(text).toMatch(/One engine: service and absolute ceiling\s*[\d ]+ ft, [\d ]+ ft/);
    expect(text).toMatch(/\d+ (s|min); [\d ]+ ft short/);
    expect(text).toMatch(/Equal time on one engine, Mossgarth and Cape Orrin\s*at [\d.]+ NM: \d+ min/);
  });

  it("stays one page for a flight of many gaps, and says what is left out", async () => {
    const { gaps, stretches } = answered.value;
    const long = {
      ...answered.value,
      gaps: Array.from({ length: 20 }, () => ({
        ...gaps[1],
        groundDecides: true,
        closing: { altitude_m: 3000, descent_mps: 7.62 },
      })),
      stretches: Array.from({ length: 40 }, (_, i) => stretches[i % stretches.length]),
    };
    // The longest that is said of a gap: altitude, descent, way round, ground.
    const without = Array<string>(7).fill("A place of a long name");
    const round = long.gaps.map((_, gap) => ({ gap, extra_s: 620, route: question.route, points: [], without }));
    const { text, pages } = await read(createElement(RouteCardPdf, { content: content(long, round) }));
    expect(pages).toBe(1);
    expect(text).toContain("16 more gaps: see the screen");
    expect(text).toContain("32 more stretches: see the screen");
  });
});

describe("test card", () => {
  it("is one A5 page with what ends a run, and a line for each run", async () => {
    const content = testCardContent(demoSeries(demoAircraft("alder-s1")), formatIn(DEFAULT_UNITS));
    const { text, pages, size } = await read(createElement(TestCardPdf, { content }));
    expect([pages, Math.round(size[2])]).toEqual([1, 420]);
    for (const words of [
      "Half turns, engine idle",
      "Broken off at 2 500 ft",
      "1,2".replace(",", "."),
      "× the stall",
      "6 45°",
    ])
      expect(text).toContain(words);
    expect(text).toContain("The approved flight manual");
  });
});

describe("report of the logbook", () => {
  it("runs over as many A4 pages as it takes, and loses no line", async () => {
    const entries = Array.from({ length: 12 }, (_, i) => ({
      ...newEntry(`own-${i}`, "2026-06-01T10:05:00.000Z", "Alder S1"),
      name: `Entry ${i + 1}`,
      actions: Array.from({ length: 8 }, (__, k) => ({ at_s: k * 10, words: `Step ${i + 1}.${k + 1}` })),
      learnt: `Learnt ${i + 1}`,
    }));
    const content = reportContent(entries, true, formatIn(DEFAULT_UNITS));
    const { text, pages, size } = await read(createElement(ReportPdf, { content }));
    expect(pages).toBeGreaterThan(2);
    expect(Math.round(size[2])).toBe(595);
    for (const [i] of entries.entries()) expect(text).toContain(`Learnt ${i + 1}`);
    expect(text).toContain("Step 12.8");
  });
});
