import { Text, View } from "@react-pdf/renderer";
import { Card, type CardLine, CardRow, CardTable, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface TestCardContent {
  readonly title: string;
  readonly sub: string;
  readonly task: string;
  readonly abort: string;
  readonly rules: readonly string[];
  readonly rows: readonly CardLine[];
  readonly head: readonly string[];
  readonly runs: readonly (readonly string[])[];
}

/** A test card for the kneeboard: what to do, what ends it, a line for each run to be written on. */
export function TestCardPdf({ content }: { content: TestCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <Text style={cardStyles.bold}>{forPaper(content.task)}</Text>
      {content.rows.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      <View style={{ border: "1.2pt solid #000", padding: 5, marginTop: 7 }}>
        <Text style={{ ...cardStyles.bold, fontSize: 13 }}>{forPaper(`Broken off at ${content.abort}`)}</Text>
        {content.rules.map((rule) => (
          <Text key={rule}>{forPaper(rule)}</Text>
        ))}
      </View>
      <Text style={cardStyles.head}>Runs</Text>
      <CardTable head={content.head} rows={content.runs} bold={2} />
    </Card>
  );
}
