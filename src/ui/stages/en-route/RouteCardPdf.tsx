import { G, Line, Path, Svg, Text } from "@react-pdf/renderer";
import { Card, type CardLine, CardLines, CardTable, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface RouteCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly CardLine[];
  readonly rows: readonly CardLine[];
  /** Lines of the profile, in parts of its width and height from the lower left. */
  readonly profile: Readonly<Record<"ground" | "planned" | "cover", readonly (readonly [number, number])[]>>;
  readonly stretches: readonly (readonly string[])[];
  readonly gaps: readonly string[];
}

const [WIDE, HIGH] = [368, 92];

const path = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? "M" : "L"}${(x * WIDE).toFixed(1)} ${((1 - y) * HIGH).toFixed(1)}`).join(" ");

/** A flight on one A5 page: profile, gaps, places by stretch. */
export function RouteCardPdf({ content }: { content: RouteCardContent }) {
  const { ground, planned, cover } = content.profile;
  return (
    <Card title={content.title} sub={content.sub}>
      <CardLines large={content.large} rows={content.rows} />
      <Text style={cardStyles.head}>Ground, planned altitude (thick) and lowest altitude with a place (dashed)</Text>
      <Svg width={WIDE} height={HIGH + 4} viewBox={`0 0 ${WIDE} ${HIGH + 4}`}>
        <G>
          <Path d={path(ground)} stroke="#000" strokeWidth={0.6} fill="none" />
          <Path d={path(planned)} stroke="#000" strokeWidth={1.8} fill="none" />
          <Path d={path(cover)} stroke="#000" strokeWidth={1} strokeDasharray="4 3" fill="none" />
          <Line x1={0} y1={HIGH} x2={WIDE} y2={HIGH} stroke="#000" strokeWidth={0.6} />
        </G>
      </Svg>
      <Text style={cardStyles.head}>{content.gaps.length > 0 ? "Gaps" : "A place is in reach all the way"}</Text>
      {content.gaps.map((gap, i) => (
        <Text key={i} style={{ fontSize: 9.5 }}>
          {forPaper(gap)}
        </Text>
      ))}
      <CardTable head={["place", "from", "to", "least altitude"]} rows={content.stretches} bold={0} />
    </Card>
  );
}
