import { Text } from "@react-pdf/renderer";
import { Card, CardLarge, CardTable, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";
import type { TodayPart } from "./today-lines";

/** What the card says, in the user's units already. */
export interface TodayCardContent {
  readonly title: string;
  readonly sub: string;
  readonly lead: string;
  readonly old: readonly string[];
  readonly parts: readonly TodayPart[];
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
  readonly caution: string;
}

/** The day on one A5 page. */
export function TodayCardPdf({ content }: { content: TodayCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      {content.old.map((line) => (
        <Text key={line} style={cardStyles.bold}>
          {forPaper(line)}
        </Text>
      ))}
      <CardLarge name={content.lead} value="" />
      {content.parts.map((part) => [
        <Text key={part.title} style={{ ...cardStyles.head, marginTop: 4, marginBottom: 1 }}>
          {part.title}
        </Text>,
        ...part.lines.map((line) => (
          <Text key={line} style={{ marginBottom: 1.5, fontSize: 9 }}>
            {forPaper(line)}
          </Text>
        )),
      ])}
      <Text style={{ ...cardStyles.head, marginTop: 4, marginBottom: 1 }}>What if</Text>
      <CardTable head={content.table.head} rows={content.table.rows} bold={1} />
      <Text style={{ marginTop: 3, fontSize: 7.5 }}>{content.caution}</Text>
    </Card>
  );
}
