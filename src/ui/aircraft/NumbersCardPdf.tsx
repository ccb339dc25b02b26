import { Text, View } from "@react-pdf/renderer";
import { Card, CardRow, cardStyles } from "@/ui/print/Card";
import { forPaper } from "@/ui/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface NumbersCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly { readonly name: string; readonly value: string }[];
  readonly speeds: readonly { readonly name: string; readonly value: string }[];
  readonly byMass: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
  readonly shelf: readonly { readonly name: string; readonly value: string }[];
}

/** An aeroplane's numbers on one A5 page. */
export function NumbersCardPdf({ content }: { content: NumbersCardContent }) {
  const width = `${100 / content.byMass.head.length}%`;
  return (
    <Card title={content.title} sub={content.sub}>
      {content.large.map((row) => (
        <View key={row.name} style={cardStyles.row}>
          <Text style={cardStyles.large}>{forPaper(row.name)}</Text>
          <Text style={cardStyles.large}>{forPaper(row.value)}</Text>
        </View>
      ))}
      {content.speeds.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      <Text style={cardStyles.head}>By mass</Text>
      {[content.byMass.head, ...content.byMass.rows].map((cells, i) => (
        <View key={cells.join()} style={{ ...cardStyles.row, paddingVertical: 1 }}>
          {cells.map((cell, at) => (
            <Text key={at} style={{ width, textAlign: at === 0 ? "left" : "right", fontWeight: i === 0 ? 400 : at === 4 ? 700 : 400, fontSize: i === 0 ? 8.5 : 10 }}>
              {forPaper(cell)}
            </Text>
          ))}
        </View>
      ))}
      <Text style={cardStyles.head}>Each of these alone leaves</Text>
      <View style={{ flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" }}>
        {content.shelf.map((row) => (
          <View key={row.name} style={{ width: "48.5%" }}>
            <CardRow {...row} />
          </View>
        ))}
      </View>
    </Card>
  );
}
