import { Text, View } from "@react-pdf/renderer";
import { Card, type CardLine, CardRow, cardStyles } from "@/ui/kit/print/Card";

/** What the card says; everything is text in the user's units already. */
export interface ExerciseCardContent {
  readonly title: string;
  readonly sub: string;
  readonly exercises: readonly { readonly name: string; readonly lines: readonly CardLine[] }[];
}

/** An exercise, or all of a flight test, on a card. */
export function ExerciseCardPdf({ content }: { content: ExerciseCardContent }) {
  return (
    <Card title={content.title} sub={content.sub}>
      {content.exercises.map(({ name, lines }) => (
        <View key={name} wrap={false}>
          <Text style={cardStyles.head}>{name}</Text>
          {lines.map((line, i) => (
            <CardRow key={i} {...line} />
          ))}
        </View>
      ))}
    </Card>
  );
}
