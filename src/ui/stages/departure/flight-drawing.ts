// From the departure's answers to what the map draws.
import type { ToPlane } from "@/core/departure/runway-frame";
import { M_PER_FT } from "@/core/quantities/constants";
import type { FlightDrawing, FlightLine, FlightMark } from "@/ui/kit/map/flight-layer";
import type { DepartureAtHeight, DepartureFacts } from "@/core/departure/departure-answer";
import { turnsBack } from "@/ui/answers/departure-store";

/** Heights that the climb is ticked at, and half the length of a tick. */
const TICK_M = 200 * M_PER_FT;
const TICK_HALF_M = 45;

/**
 * The climb with ticks, and the way of the chosen option.
 *
 * @param format - of heights
 */
export function flightDrawing(
  facts: DepartureFacts,
  lookedAt: DepartureAtHeight | null,
  choice: string,
  toPlane: ToPlane,
  format: (height_m: number) => string,
  pointed: number | null,
): FlightDrawing {
  const place = (x: number, y: number): readonly number[] => {
    const point = toPlane(x, y);
    return [point.x_m, point.y_m];
  };
  const ticks: FlightDrawing["ticks"][number][] = [];
  let next_m = TICK_M;
  facts.climb.forEach((point, i) => {
    const before = facts.climb[i - 1];
    if (!before || point.height_m < next_m) return;
    const share = (next_m - before.height_m) / (point.height_m - before.height_m);
    const [x, y] = [before.x_m + share * (point.x_m - before.x_m), before.y_m + share * (point.y_m - before.y_m)];
    const length = Math.hypot(point.x_m - before.x_m, point.y_m - before.y_m) || 1;
    const [nx, ny] = [
      (-(point.y_m - before.y_m) / length) * TICK_HALF_M,
      ((point.x_m - before.x_m) / length) * TICK_HALF_M,
    ];
    ticks.push({ at: place(x - nx, y - ny), across: place(x + nx, y + ny), label: format(next_m) });
    next_m += TICK_M;
  });
  const marks: FlightMark[] = [];
  let lines: FlightLine[] = [];
  if (lookedAt?.failure)
    marks.push({
      kind: "failure",
      at: place(lookedAt.failure.x_m, lookedAt.failure.y_m),
      label: `engine stops, ${format(lookedAt.height_m)}`,
    });
  if (lookedAt && turnsBack(choice)) {
    lines = turnbackLines(lookedAt, place);
    const result = lookedAt.account?.result;
    if (result?.aligned && result.spare_m !== null) {
      const touchdown = result.touchdownX_m;
      const stop = touchdown - result.roll.roll_m;
      lines.push(
        {
          account: "approach",
          entry: -1,
          points: [lines[lines.length - 1]?.points.at(-1) ?? place(result.alignedX_m, 0), place(touchdown, 0)],
        },
        { account: "roll", entry: -1, points: [place(touchdown, 0), place(stop, 0)] },
      );
      marks.push(
        { kind: "touchdown", at: place(touchdown, 0), label: "touchdown" },
        { kind: "stop", at: place(stop, 0), label: "stops" },
      );
    }
  } else if (lookedAt?.failure && choice === "stop" && lookedAt.ahead?.stop) {
    const { touchdownX_m, stopX_m } = lookedAt.ahead.stop;
    lines = [
      {
        account: "approach",
        entry: -1,
        points: [place(lookedAt.failure.x_m, lookedAt.failure.y_m), place(touchdownX_m, 0)],
      },
      { account: "roll", entry: -1, points: [place(touchdownX_m, 0), place(stopX_m, 0)] },
    ];
    marks.push(
      { kind: "touchdown", at: place(touchdownX_m, 0), label: "touchdown" },
      { kind: "stop", at: place(stopX_m, 0), label: "stops" },
    );
  } else if (lookedAt?.failure && choice === "ahead" && lookedAt.ahead?.sector.spot) {
    const { spot } = lookedAt.ahead.sector;
    lines = [
      {
        account: "straight",
        entry: -1,
        points: [place(lookedAt.failure.x_m, lookedAt.failure.y_m), place(spot.x_m, spot.y_m)],
      },
    ];
    marks.push({ kind: "spot", at: place(spot.x_m, spot.y_m), label: "level ground" });
  } else if (lookedAt?.reached?.path) {
    const { points, path } = lookedAt.reached;
    lines = path.ledger.flatMap((entry, i): FlightLine[] => {
      const first = points.findIndex((point) => point.entry === i);
      const last = points.findLastIndex((point) => point.entry === i);
      return first < 0
        ? []
        : [
            {
              account: entry.account,
              entry: i,
              points: points.slice(Math.max(0, first - 1), last + 1).map((point) => [point.x_m, point.y_m]),
            },
          ];
    });
  }
  return { climb: facts.climb.map((point) => place(point.x_m, point.y_m)), ticks, lines, marks, pointed };
}

function turnbackLines(lookedAt: DepartureAtHeight, place: (x: number, y: number) => readonly number[]): FlightLine[] {
  const { account } = lookedAt;
  if (!account) return [];
  const names = {
    reaction: "Reaction",
    extension: "Straight on",
    turn: "Turn",
    intercept: "To the line",
    final: "Final",
  } as const;
  const accounts = {
    reaction: "reaction",
    extension: "straight",
    turn: "turn",
    intercept: "turn",
    final: "approach",
  } as const;
  const lines: FlightLine[] = [];
  for (const part of Object.keys(names) as (keyof typeof names)[]) {
    const first = account.points.findIndex((point) => point.part === part);
    if (first < 0) continue;
    const last = account.points.findLastIndex((point) => point.part === part);
    // Each part begins where the one before ended.
    const points = account.points.slice(Math.max(first - 1, 0), last + 1).map((point) => place(point.x_m, point.y_m));
    if (first === 0 && lookedAt.failure) points.unshift(place(lookedAt.failure.x_m, lookedAt.failure.y_m));
    lines.push({
      account: accounts[part],
      entry: account.ledger.findIndex((entry) => entry.name === names[part]),
      points,
    });
  }
  return lines;
}
