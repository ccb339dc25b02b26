import { Text, View } from "@react-pdf/renderer";
import { Card, CardLarge, CardRow, CardTable, cardStyles } from "@/ui/print/Card";

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
  return (
    <Card title={content.title} sub={content.sub}>
      {content.large.map((row) => (
        <CardLarge key={row.name} {...row} />
      ))}
      {content.speeds.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
      <Text style={cardStyles.head}>By mass</Text>
      <CardTable {...content.byMass} bold={4} />
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
