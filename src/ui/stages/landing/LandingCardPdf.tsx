import { Text, View } from "@react-pdf/renderer";
import { Card, type CardLine, CardLines, CardTable, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface LandingCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly CardLine[];
  readonly rows: readonly CardLine[];
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] } | null;
  readonly listHead: string;
  readonly list: readonly { readonly when: string; readonly what: string }[];
  readonly call: string;
}

/** A landing or ditching on one A5 page. */
export function LandingCardPdf({ content }: { content: LandingCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <CardLines large={content.large} rows={content.rows} />
      {content.table && <CardTable {...content.table} bold={1} />}
      <Text style={cardStyles.head}>{content.listHead}</Text>
      {content.list.map((item) => (
        <View key={item.what} style={{ flexDirection: "row", paddingVertical: 0.6 }}>
          <Text style={{ width: 52, fontSize: 9, fontWeight: 700 }}>{forPaper(item.when)}</Text>
          <Text style={{ flex: 1, fontSize: 9 }}>{forPaper(item.what)}</Text>
        </View>
      ))}
      {content.call && (
        <>
          <Text style={cardStyles.head}>Call</Text>
          <Text style={{ fontSize: 9.5 }}>{forPaper(content.call)}</Text>
        </>
      )}
    </Card>
  );
}
