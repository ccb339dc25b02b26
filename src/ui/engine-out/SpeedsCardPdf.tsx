import { Text, View } from "@react-pdf/renderer";
import { Card, CardRow, cardStyles } from "@/ui/print/Card";
import { forPaper } from "@/ui/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface SpeedsCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly { readonly name: string; readonly value: string }[];
  readonly rows: readonly { readonly name: string; readonly value: string }[];
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
  readonly caution: string;
}

/** Speeds on one engine on one A5 page. */
export function SpeedsCardPdf({ content }: { content: SpeedsCardContent }) {
  const width = `${100 / content.table.head.length}%`;
  return (
    <Card title={content.title} sub={content.sub}>
      {content.large.map((row) => (
        <View key={row.name} style={cardStyles.row}>
          <Text style={cardStyles.large}>{forPaper(row.name)}</Text>
          <Text style={cardStyles.large}>{forPaper(row.value)}</Text>
        </View>
      ))}
      {content.rows.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      <Text style={cardStyles.head}>By altitude and mass</Text>
      {[content.table.head, ...content.table.rows].map((cells, i) => (
        <View key={cells.join()} style={{ ...cardStyles.row, paddingVertical: 1 }}>
          {cells.map((cell, at) => (
            <Text key={at} style={{ width, textAlign: at === 0 ? "left" : "right", fontSize: i === 0 ? 8 : 9, fontWeight: i > 0 && at === 4 ? 700 : 400 }}>
              {forPaper(cell)}
            </Text>
          ))}
        </View>
      ))}
      <Text style={{ ...cardStyles.bold, marginTop: 8 }}>{forPaper(content.caution)}</Text>
    </Card>
  );
}
