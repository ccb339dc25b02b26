"use client";
import { useFormat } from "@/ui/kit/units/units-store";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";

/** Drawn beyond the runway's end, over its length. */
const BEYOND = 1.25;
/** Rows of names above the strip, px, so that near ones do not lie on one another. */
const ROW = 15;
const NEAR = 9;

/** The runway to scale: where speeds come, where it stands after stopping, where the screen is passed on one engine. */
export function RunwayStrip({ answer }: { answer: TakeOffAnswer }) {
  const format = useFormat();
  const { accelerate, question, marks } = answer;
  const { length_m } = question.runway;
  const stop = {
    name: `stops, ${format("length", accelerate.stopX_m)}`,
    x_m: accelerate.stopX_m,
    colour: accelerate.stopSpare_m < 0 ? "brick" : "ink",
  };
  const go =
    accelerate.goX_m === null
      ? null
      : {
          name: `${answer.jet ? "35" : "50"} ft on one, ${format("length", accelerate.goX_m)}`,
          x_m: accelerate.goX_m,
          colour: "harbour",
        };
  const far = Math.max(length_m * 1.05, Math.min(Math.max(stop.x_m, go?.x_m ?? 0) * 1.08, length_m * BEYOND * 2));
  const percent = (x_m: number) => Math.min((100 * x_m) / far, 99.5);
  const speeds = marks.flatMap((mark) =>
    mark.at && percent(mark.at.x_m) < 99
      ? [{ name: `${mark.name} ${format("speed", mark.eas_mps)}`, x_m: mark.at.x_m, air: mark.at.height_m > 0 }]
      : [],
  );
  const rows: number[] = [];
  speeds.forEach((speed, i) => {
    const taken = speeds
      .slice(0, i)
      .flatMap((other, j) => (Math.abs(percent(other.x_m) - percent(speed.x_m)) < NEAR * 2 ? [rows[j]] : []));
    rows.push([0, 1, 2, 3, 4].find((row) => !taken.includes(row)) ?? 4);
  });
  const top = ROW * (Math.max(...rows, 0) + 1) + 6;
  return (
    <figure
      className="px-4 pt-2 pb-1"
      aria-label={`Runway ${question.runway.name}, ${format("length", length_m)}, to scale`}
    >
      <div className="relative text-[12.5px]" style={{ height: top + 64 }}>
        {speeds.map((speed, i) => (
          <div
            key={speed.name}
            className="absolute whitespace-nowrap"
            style={{ left: `${percent(speed.x_m)}%`, top: rows[i] * ROW }}
          >
            <span
              className="absolute top-1 border-l border-ink2"
              style={{ height: top - rows[i] * ROW }}
              aria-hidden="true"
            />
            <span className={`absolute leading-none ${percent(speed.x_m) > 80 ? "right-1" : "left-1"}`}>
              {speed.name}
            </span>
          </div>
        ))}
        <div
          className="absolute h-[18px] border border-ink bg-rule"
          style={{ left: 0, width: `${percent(length_m)}%`, top }}
          aria-hidden="true"
        />
        <span className="num absolute px-1 leading-[18px]" style={{ top, left: 2 }}>
          {question.runway.name}, {format("length", length_m)}
        </span>
        {[stop, go].map(
          (mark, i) =>
            mark && (
              <div
                key={mark.name}
                className="absolute whitespace-nowrap"
                style={{ left: `${percent(mark.x_m)}%`, top: top - 4 }}
              >
                <span
                  className="absolute"
                  style={{
                    height: 30 + i * ROW,
                    borderLeft: `2.5px ${i === 0 ? "solid" : "dashed"} var(--${mark.colour})`,
                  }}
                  aria-hidden="true"
                />
                <span
                  className={`absolute ${mark.colour === "brick" ? "text-brick" : ""} ${percent(mark.x_m) > 70 ? "right-1" : "left-1.5"}`}
                  style={{ top: 24 + i * ROW }}
                >
                  {mark.name}
                </span>
              </div>
            ),
        )}
      </div>
    </figure>
  );
}
