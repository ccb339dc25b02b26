import { Document, Page, StyleSheet, Text, View } from "@react-pdf/renderer";
import { forPaper } from "@/ui/kit/print/make-pdf";
import type { EntryPart } from "./entry-lines";

/** What a report says; everything is text in the user's units already. */
export interface ReportContent {
  readonly title: string;
  readonly sub: string;
  readonly entries: readonly { readonly name: string; readonly sub: string; readonly parts: readonly EntryPart[] }[];
}

const styles = StyleSheet.create({
  page: { padding: 44, paddingBottom: 60, fontFamily: "Atkinson Hyperlegible Next", fontSize: 10, lineHeight: 1.35 },
  title: { fontSize: 20, fontWeight: 700, lineHeight: 1.2 },
  entry: { marginTop: 16, borderTop: "1pt solid #000", paddingTop: 6 },
  name: { fontSize: 13, fontWeight: 700 },
  head: { fontWeight: 700, marginTop: 5 },
  line: { flexDirection: "row" },
  before: { width: 92 },
  words: { flex: 1 },
  foot: {
    position: "absolute",
    bottom: 28,
    left: 44,
    right: 44,
    fontSize: 8,
    borderTop: "0.6pt solid #000",
    paddingTop: 3,
  },
});

/** A report for a meeting on safety: entries one after another, A4. */
export function ReportPdf({ content }: { content: ReportContent }) {
  return (
    <Document title={content.title} creator="Utrimax" producer="Utrimax">
      <Page size="A4" style={styles.page}>
        <Text style={styles.title}>{forPaper(content.title)}</Text>
        <Text>{forPaper(content.sub)}</Text>
        {content.entries.map(({ name, sub, parts }, i) => (
          <View key={i} style={styles.entry}>
            <Text style={styles.name}>{forPaper(name)}</Text>
            <Text>{forPaper(sub)}</Text>
            {parts.map(({ head, lines }) => (
              <View key={head} wrap={false}>
                <Text style={styles.head}>{head}</Text>
                {lines.map(({ before, words }, at) => (
                  <View key={at} style={styles.line}>
                    <Text style={styles.before}>{forPaper(before)}</Text>
                    <Text style={styles.words}>{forPaper(words)}</Text>
                  </View>
                ))}
              </View>
            ))}
          </View>
        ))}
        <Text style={styles.foot} fixed>
          Told so that others learn, not to blame. Figures are estimates; the flight manual and local rules come first.
        </Text>
      </Page>
    </Document>
  );
}
