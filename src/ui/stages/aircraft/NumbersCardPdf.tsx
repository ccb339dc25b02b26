import { Text, View } from "@react-pdf/renderer";
import { Card, type CardLine, CardLines, CardRow, CardTable, cardStyles } from "@/ui/kit/print/Card";

/** What the card says; everything is text in the user's units already. */
export interface NumbersCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly CardLine[];
  readonly speeds: readonly CardLine[];
  readonly byMass: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
  /** What is paid or left besides; left out when it is empty. */
  readonly besides: { readonly head: string; readonly lines: readonly CardLine[] };
}

/** An aircraft's numbers on one A5 page. */
export function NumbersCardPdf({ content }: { content: NumbersCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <CardLines large={content.large} rows={content.speeds} />
      <Text style={cardStyles.head}>By mass</Text>
      <CardTable {...content.byMass} bold={4} />
      {content.besides.lines.length > 0 && <Text style={cardStyles.head}>{content.besides.head}</Text>}
      <View style={{ flexDirection: "row", flexWrap: "wrap", justifyContent: "space-between" }}>
        {content.besides.lines.map((row) => (
          <View key={row.name} style={{ width: "48.5%" }}>
            <CardRow {...row} />
          </View>
        ))}
      </View>
    </Card>
  );
}
