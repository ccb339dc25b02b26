import { Document, Page, StyleSheet, Text, View } from "@react-pdf/renderer";
import type { ReactNode } from "react";
import { forPaper } from "./make-pdf";

/** Kneeboard card: A5, black only, readable at arm's length. */
export const cardStyles = StyleSheet.create({
  page: { padding: 26, fontFamily: "Atkinson Hyperlegible Next", fontSize: 10, color: "#000", lineHeight: 1.3 },
  title: { fontSize: 17, fontWeight: 700, lineHeight: 1.2 },
  sub: { fontSize: 10, marginBottom: 6 },
  row: { flexDirection: "row", justifyContent: "space-between", borderBottom: "0.6pt solid #000", paddingVertical: 2 },
  large: { fontSize: 20, fontWeight: 700, lineHeight: 1.2 },
  bold: { fontWeight: 700 },
  head: { fontSize: 11, fontWeight: 700, marginTop: 7, marginBottom: 2 },
  foot: {
    position: "absolute",
    bottom: 16,
    left: 26,
    right: 26,
    fontSize: 8,
    borderTop: "0.6pt solid #000",
    paddingTop: 3,
  },
});

/** What is said at the foot of every card. */
const FOOT =
  "Estimate for planning and practice. The approved flight manual, local rules and a qualified instructor come first.";

/** One A5 page with a title, what it is for, and the caution at its foot. */
export function Card({ title, sub, children }: { title: string; sub: string; children: ReactNode }) {
  return (
    <Document title={title} creator="Utrimax" producer="Utrimax">
      <Page size="A5" style={cardStyles.page}>
        <Text style={cardStyles.title}>{forPaper(title)}</Text>
        <Text style={cardStyles.sub}>{forPaper(sub)}</Text>
        {children}
        <Text style={cardStyles.foot} fixed>
          {FOOT}
        </Text>
      </Page>
    </Document>
  );
}

/** A line of a card: what, and how much. */
export function CardRow({ name, value }: CardLine) {
  return (
    <View style={cardStyles.row}>
      <Text>{forPaper(name)}</Text>
      <Text style={cardStyles.bold}>{forPaper(value)}</Text>
    </View>
  );
}

/** A line that is read first. */
export function CardLarge({ name, value }: CardLine) {
  return (
    <View style={cardStyles.row}>
      <Text style={cardStyles.large}>{forPaper(name)}</Text>
      <Text style={cardStyles.large}>{forPaper(value)}</Text>
    </View>
  );
}

/** A line of a card as text in the user's units. */
export interface CardLine {
  readonly name: string;
  readonly value: string;
}

/** What is read first, and the lines below it. */
export function CardLines({ large, rows }: { large: readonly CardLine[]; rows: readonly CardLine[] }) {
  return (
    <>
      {large.map((row) => (
        <CardLarge key={row.name} {...row} />
      ))}
      {rows.map((row) => (
        <CardRow key={row.name} {...row} />
      ))}
    </>
  );
}

/**
 * A table with a head.
 *
 * @param bold - column that stands out
 */
export function CardTable({
  head,
  rows,
  bold,
}: {
  head: readonly string[];
  rows: readonly (readonly string[])[];
  bold: number;
}) {
  const width = `${100 / head.length}%`;
  return (
    <>
      {[head, ...rows].map((cells, i) => (
        <View key={i} style={{ ...cardStyles.row, paddingVertical: 1 }}>
          {cells.map((cell, index) => (
            <Text
              key={index}
              style={{
                width,
                textAlign: index === 0 ? "left" : "right",
                fontWeight: i > 0 && index === bold ? 700 : 400,
                fontSize: i === 0 ? 8.5 : 9.5,
              }}
            >
              {forPaper(cell)}
            </Text>
          ))}
        </View>
      ))}
    </>
  );
}
