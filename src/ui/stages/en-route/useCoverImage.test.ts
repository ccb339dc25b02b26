import { beforeEach, describe, expect, it, vi } from "vitest";
import { type AskedRoute, useRoute } from "@/ui/answers/route-store";
import { reachOf } from "./useCoverImage";

const core = { coverImage: vi.fn(async (...asked: unknown[]) => asked) };

/** Whoever asks waits for its turn, as behind the answer to the same flight. */
let turn: () => void;
let lanes: string[];
vi.mock("@/ui/kit/lanes/lanes", () => ({
  askCore: async (lane: string, work: (held: typeof core) => unknown) => {
    lanes.push(lane);
    await new Promise<void>((done) => (turn = done));
    return work(core);
  },
}));

const flight = (altitude_m: number) =>
  ({
    question: { route: { altitude_m } },
    origin: { latitude_deg: -47, longitude_deg: -131 },
  }) as unknown as AskedRoute;
const view = { west_m: 0, south_m: 0, resolution_m: 60, width: 10, height: 10 };
const inks = { pine: [1, 2, 3], brick: [4, 5, 6] } as const;

beforeEach(() => {
  lanes = [];
  core.coverImage.mockClear();
});

describe("what is in reach, drawn together with the answer", () => {
  it("is that of the flight that is asked, from its own altitude", async () => {
    const asked = flight(1600);
    useRoute.setState({ asked });
    const image = reachOf(asked)(view, inks);
    turn();
    expect(await image).toEqual([asked.question, asked.origin, 1600, view, [1, 2, 3]]);
    expect(lanes).toEqual(["cover"]);
  });

  it("is not worked out for a flight that is asked no more when its turn comes", async () => {
    const [before, now] = [flight(1600), flight(1900)];
    useRoute.setState({ asked: before });
    const image = reachOf(before)(view, inks);
    useRoute.setState({ asked: now });
    turn();
    expect(await image).toBeNull();
    expect(core.coverImage).not.toHaveBeenCalled();
  });
});
