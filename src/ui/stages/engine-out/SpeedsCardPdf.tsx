import { Text } from "@react-pdf/renderer";
import { Card, type CardLine, CardLines, CardTable, cardStyles } from "@/ui/kit/print/Card";
import { forPaper } from "@/ui/kit/print/make-pdf";

/** What the card says; everything is text in the user's units already. */
export interface SpeedsCardContent {
  readonly title: string;
  readonly sub: string;
  readonly large: readonly CardLine[];
  readonly rows: readonly CardLine[];
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
  readonly caution: string;
}

/** Speeds on one engine on one A5 page. */
export function SpeedsCardPdf({ content }: { content: SpeedsCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      <CardLines large={content.large} rows={content.rows} />
      <Text style={cardStyles.head}>By altitude and mass</Text>
      <CardTable {...content.table} bold={4} />
      <Text style={{ ...cardStyles.bold, marginTop: 8 }}>{forPaper(content.caution)}</Text>
    </Card>
  );
}
