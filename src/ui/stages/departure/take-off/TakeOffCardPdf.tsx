import { Text } from "@react-pdf/renderer";
import { Card, CardRow, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface TakeOffCardContent {
  readonly title: string;
  readonly sub: string;
  readonly answer: string;
  readonly rows: readonly { readonly name: string; readonly value: string }[];
  readonly brief: readonly string[];
}

/** A take-off with two engines on one A5 page. */
export function TakeOffCardPdf({ content }: { content: TakeOffCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <Text style={cardStyles.large}>{forPaper(content.answer)}</Text>
      {content.rows.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      <Text style={cardStyles.head}>Brief</Text>
      {content.brief.map((sentence) => (
        <Text key={sentence} style={{ marginBottom: 3 }}>
          {forPaper(sentence)}
        </Text>
      ))}
    </Card>
  );
}
