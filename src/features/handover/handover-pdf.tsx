import { Document, Page, renderToBuffer, Text, View } from '@react-pdf/renderer'
import { COPPER, FERN, Foot, INK, LINE, SOFT, styles } from '@/ui/pdf-kit'
import { PaperHead } from '../paper-head'
import type { HandoverPaper } from './paper'

/** The handover sheet as a PDF: what the customer takes home, keeps and signs. */

const WIDTHS = { name: '22%', process: '20%', film: '14%', taken: '15%', gloss: '11%', seen: '18%' } as const

function Row({ cells, head }: { cells: HandoverPaper['panels'][number]; head?: boolean }) {
  return (
    <View style={[styles.row, styles.price, { paddingVertical: 1.2 }]} wrap={false}>
      {Object.entries(WIDTHS).map(([key, width]) => (
        <Text key={key} style={[{ width, paddingRight: 4 }, head ? styles.soft : { fontSize: 8.5 }]}>
          {cells[key as keyof typeof WIDTHS]}
        </Text>
      ))}
    </View>
  )
}

function HandoverDocument({ paper }: { paper: HandoverPaper }) {
  const { headings } = paper
  return (
    <Document
      title={`${headings.handover}, ${paper.plate}`}
      author={paper.shop.name}
      language={paper.language}
    >
      <Page size="A4" style={styles.page}>
        <View style={styles.body}>
          <View style={[styles.row, { borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8 }]}>
            <View style={{ width: '62%' }}>
              <PaperHead shop={paper.shop} />
              <Text style={styles.h1}>{headings.handover}</Text>
              <Text style={{ color: SOFT }}>{paper.title}</Text>
            </View>
            <View style={{ width: '34%', alignItems: 'flex-end' }}>
              <Text style={[styles.h1, { fontSize: 15 }]}>{paper.plate}</Text>
              <Text style={{ textAlign: 'right' }}>{paper.vehicle}</Text>
              <Text>{paper.forCustomer}</Text>
            </View>
          </View>
          <Text style={styles.h2}>{headings.result}</Text>
          {paper.result.map((line) => (
            <View key={line} style={[styles.expect, { borderLeftColor: FERN }]} wrap={false}>
              <Text style={styles.bold}>{line}</Text>
            </View>
          ))}
          {paper.stays.map((line) => (
            <View key={line} style={[styles.expect, { borderLeftColor: COPPER }]} wrap={false}>
              <Text>{line}</Text>
            </View>
          ))}
          {paper.panels.length > 0 ? (
            <>
              <Text style={styles.h2}>{headings.panels}</Text>
              <Row cells={paper.columns} head />
              {paper.panels.map((panel) => (
                <Row key={panel.name} cells={panel} />
              ))}
            </>
          ) : null}
          {paper.beside.length > 0 ? (
            <View wrap={false}>
              <Text style={styles.h2}>{headings.beside}</Text>
              {paper.beside.map((line) => (
                <Text key={line}>{line}</Text>
              ))}
            </View>
          ) : null}
          {paper.layers.length > 0 ? (
            <View wrap={false}>
              <Text style={styles.h2}>{headings.coatings}</Text>
              {[...paper.layers, ...paper.spots].map((line) => (
                <Text key={line}>{line}</Text>
              ))}
            </View>
          ) : null}
          {paper.technical ? (
            <View wrap={false}>
              <Text style={styles.h2}>{paper.technical.heading}</Text>
              {paper.technical.lines.map((line) => (
                <Text key={line}>{line}</Text>
              ))}
            </View>
          ) : null}
          <Text style={styles.h2}>{headings.inspection}</Text>
          <Text>{paper.inspection}</Text>
          {paper.milestones.length > 0 ? (
            <View wrap={false}>
              <Text style={styles.h2}>{headings.weeksAhead}</Text>
              {paper.milestones.map(({ title, when, advice, hold }) => (
                <View key={title} style={[styles.expect, { borderLeftColor: hold ? COPPER : LINE }]}>
                  <Text>
                    <Text style={styles.bold}>{title}</Text> {when}
                  </Text>
                  <Text style={styles.soft}>{advice}</Text>
                </View>
              ))}
            </View>
          ) : null}
          <View style={styles.row} wrap={false}>
            <View style={{ width: '48%' }}>
              <Text style={styles.h2}>{headings.do}</Text>
              {paper.rules.yes.map((line) => (
                <Text key={line} style={{ marginBottom: 1.5 }}>
                  {line}
                </Text>
              ))}
            </View>
            <View style={{ width: '48%' }}>
              <Text style={styles.h2}>{headings.avoid}</Text>
              {paper.rules.no.map((line) => (
                <Text key={line} style={{ marginBottom: 1.5 }}>
                  {line}
                </Text>
              ))}
            </View>
          </View>
          <View wrap={false}>
            <Text style={styles.h2}>{headings.payment}</Text>
            {paper.money.map((line) => (
              <Text key={line}>{line}</Text>
            ))}
            {paper.cautions.map((line) => (
              <Text key={line} style={{ marginTop: 5, color: COPPER }}>
                {line}
              </Text>
            ))}
            <View style={styles.row}>
              <Text style={[styles.sign, styles.soft]}>{paper.received}</Text>
              <Text style={[styles.sign, styles.soft]}>{paper.forShop}</Text>
            </View>
          </View>
        </View>
        <Foot words={`${paper.shop.name}, ${paper.plate}, ${headings.handover}.`} language={paper.language} />
      </Page>
    </Document>
  )
}

/** Sets the sheet. The PDF carries its fonts and needs no network to be read. */
export function handoverPdf(paper: HandoverPaper): Promise<Buffer> {
  return renderToBuffer(<HandoverDocument paper={paper} />)
}
