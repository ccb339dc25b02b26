import { Line, Path, Rect, Svg, Text, View } from "@react-pdf/renderer";
import type { BriefSentence } from "@/core/departure/brief";
import { BRIEF_CAUTION } from "@/core/departure/brief";
import { Card, CardRow, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface DepartureCardContent {
  readonly title: string;
  readonly sub: string;
  readonly gate: string;
  readonly rows: readonly { readonly name: string; readonly value: string }[];
  readonly brief: readonly BriefSentence[];
  /** Track of the turnback at the gate in the runway's frame; null without one. */
  readonly track: {
    readonly runway_m: number;
    readonly climb: readonly (readonly [number, number])[];
    readonly back: readonly (readonly [number, number])[];
  } | null;
}

/** Size of the picture, pt. */
const [WIDTH, HEIGHT] = [366, 92];

/** The departure on one A5 page. */
export function DepartureCardPdf({ content }: { content: DepartureCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <View style={cardStyles.row}>
        <Text style={cardStyles.large}>Gate</Text>
        <Text style={cardStyles.large}>{forPaper(content.gate)}</Text>
      </View>
      {content.rows.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      {content.track && <Track track={content.track} />}
      <Text style={cardStyles.head}>Brief</Text>
      {content.brief.map((sentence) => (
        <Text key={sentence.text} style={{ marginBottom: 2.5 }}>
          {forPaper(sentence.text)}
        </Text>
      ))}
      <Text style={{ marginTop: 4, fontSize: 8.5 }}>{BRIEF_CAUTION}</Text>
    </Card>
  );
}

/** Runway, climb and the way back, seen from above, take-off to the right. */
function Track({ track }: { track: NonNullable<DepartureCardContent["track"]> }) {
  const points = [...track.climb, ...track.back, [0, 0] as const, [track.runway_m, 0] as const];
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys, -60), Math.max(...ys, 60)];
  const scale = Math.min((WIDTH - 16) / (right - left), (HEIGHT - 12) / (bottom - top));
  const x = (value: number) => 8 + (value - left) * scale;
  const y = (value: number) => HEIGHT / 2 + (value - (top + bottom) / 2) * scale;
  const path = (line: readonly (readonly [number, number])[]) =>
    line.map(([px, py], i) => `${i === 0 ? "M" : "L"}${x(px).toFixed(1)} ${y(py).toFixed(1)}`).join(" ");
  return (
    <Svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} style={{ marginTop: 6 }}>
      <Rect x={x(0)} y={y(0) - 2} width={track.runway_m * scale} height={4} fill="#000" />
      <Path d={path(track.climb)} stroke="#000" strokeWidth={0.8} strokeDasharray="4 3" fill="none" />
      <Path d={path(track.back)} stroke="#000" strokeWidth={1.6} fill="none" />
      <Line
        x1={WIDTH - 8 - 500 * scale}
        y1={HEIGHT - 4}
        x2={WIDTH - 8}
        y2={HEIGHT - 4}
        stroke="#000"
        strokeWidth={0.8}
      />
      <Text x={WIDTH - 8 - 500 * scale} y={HEIGHT - 7} style={{ fontSize: 7 }}>
        500 m
      </Text>
    </Svg>
  );
}
