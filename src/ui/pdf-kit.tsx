import path from 'node:path'
import { Font, StyleSheet, Text, View } from '@react-pdf/renderer'
import type { Language } from '@/core/region'
import { pageText } from '@/text/fields'

/** What our papers share as PDF: their fonts, which are inside, their colours, their foot. */

const FONTS = path.join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/@fontsource')
const font = (family: string, file: string, weight: number) =>
  Font.register({ family, fonts: [{ src: path.join(FONTS, file), fontWeight: weight }] })
for (const subset of ['latin', 'latin-ext']) {
  for (const weight of [400, 700])
    font(
      `text-${subset}`,
      `atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`,
      weight,
    )
  font(`head-${subset}`, `bricolage-grotesque/files/bricolage-grotesque-${subset}-700-normal.woff`, 700)
}
// A word that does not fit goes to the next line whole: nobody hyphenates a plate or a price.
Font.registerHyphenationCallback((word) => [word])

export const INK = '#1b3126'
export const SOFT = '#4a5c50'
export const FERN = '#2f6242'
export const LINE = '#cdd1bc'
export const COPPER = '#9a4c18'
const TEXT = ['text-latin', 'text-latin-ext']
const HEAD = ['head-latin', 'head-latin-ext']
export const styles = StyleSheet.create({
  page: {
    paddingTop: 32,
    paddingHorizontal: 45,
    paddingBottom: 40,
    fontFamily: TEXT,
    fontSize: 9.5,
    color: INK,
  },
  // Not on the page itself: a text whose page number is only known later vanishes where a line height is inherited.
  body: { fontSize: 9.5, lineHeight: 1.4 },
  row: { flexDirection: 'row', justifyContent: 'space-between' },
  soft: { color: SOFT, fontSize: 8.5 },
  h1: { fontFamily: HEAD, fontWeight: 700, fontSize: 22, lineHeight: 1.15 },
  h2: { fontFamily: HEAD, fontWeight: 700, fontSize: 12.5, marginTop: 10, marginBottom: 3 },
  bold: { fontWeight: 700 },
  expect: { borderLeftWidth: 2.5, paddingLeft: 7, marginBottom: 3.5 },
  price: { borderBottomWidth: 0.5, borderBottomColor: LINE, paddingVertical: 2 },
  total: { fontFamily: HEAD, fontWeight: 700, fontSize: 15, lineHeight: 1.2, marginTop: 3 },
  foot: {
    position: 'absolute',
    bottom: 18,
    left: 45,
    right: 45,
    flexDirection: 'row',
    justifyContent: 'space-between',
  },
  sign: { borderTopWidth: 0.7, borderTopColor: INK, width: '46%', paddingTop: 3, marginTop: 24 },
})

/** At the foot of every sheet: whose paper it is, and how many sheets there are. */
export function Foot({ words, language }: { words: string; language: Language }) {
  return (
    <View fixed style={styles.foot}>
      <Text style={styles.soft}>{words}</Text>
      <Text
        style={styles.soft}
        render={({ pageNumber, totalPages }) => pageText({ language }, pageNumber, totalPages)}
      />
    </View>
  )
}
