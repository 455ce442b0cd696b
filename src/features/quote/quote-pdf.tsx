import { Document, G, Page, Path, renderToBuffer, Svg, Text, View } from '@react-pdf/renderer'
import { PROCESSES } from '@/core/correction'
import type { Summary } from '@/core/offer'
import { bodyPlan } from '@/core/vehicle'
import { money, percent } from '@/text/formats'
import { COPPER, FERN, Foot, INK, LINE, SOFT, styles } from '@/ui/pdf-kit'
import { lineText } from '../plan/price-lines'
import { coatLines, lineOrigin, workLines } from './paper-lines'
import type { Paper } from './quote-paper'

/** The quote as a PDF: the same words as on the screen, on one or two sheets of A4, with its own fonts inside. */

/** From left alone to the strongest process there is. */
const SHADES = ['#fbf9f2', '#dfe7d8', '#c5d6c1', '#a3bfa2', '#7fa584', '#5c8a67', '#3c6e4b']

/** The unfolded car with every panel in the shade of its process, strongest darkest. */
function PlanDrawing({ paper }: { paper: Paper }) {
  const { viewBox, panels, backdrop } = bodyPlan(paper.vehicle.shape)
  const shadeOf = (process: string | undefined) =>
    SHADES[
      Math.max(
        0,
        PROCESSES.findIndex(({ name }) => name === process),
      )
    ]!
  const given = new Map(paper.summary.panels.map(({ id, process }) => [id, process]))
  const under = backdrop.filter(({ kind }) => kind === 'shell' || kind === 'bed')
  const over = backdrop.filter(({ kind }) => kind !== 'shell' && kind !== 'bed' && kind !== 'line')
  const fill = { shell: '#c4cdb4', bed: '#e2e5d4', glass: '#c3cdc6', wheel: '#39443d' } as Record<
    string,
    string
  >
  return (
    <Svg
      viewBox={`${viewBox.x} ${viewBox.y} ${viewBox.width} ${viewBox.height}`}
      style={{ width: 190, height: (190 * viewBox.height) / viewBox.width }}
    >
      <G>
        {under.map((part) => (
          <Path key={part.path} d={part.path} fill={fill[part.kind] ?? '#e2e5d4'} />
        ))}
        {Object.entries(panels).map(([id, { path: outline }]) => (
          <Path key={id} d={outline} fill={shadeOf(given.get(id))} stroke={SOFT} strokeWidth={1.2} />
        ))}
        {over.map((part) => (
          <Path key={part.path} d={part.path} fill={fill[part.kind] ?? '#c3cdc6'} />
        ))}
      </G>
    </Svg>
  )
}

const BORDER: Record<Summary['expectation'][number]['kind'], string> = {
  result: FERN,
  stays: COPPER,
  limit: LINE,
  protection: LINE,
}

function PriceRow({
  name,
  origin,
  cents,
  strong,
}: {
  name: string
  origin?: string
  cents: string
  strong?: boolean
}) {
  return (
    <View style={[styles.row, styles.price]} wrap={false}>
      <View style={{ width: '78%' }}>
        <Text style={strong ? styles.bold : {}}>{name}</Text>
        {origin ? <Text style={styles.soft}>{origin}</Text> : null}
      </View>
      <Text style={strong ? styles.bold : {}}>{cents}</Text>
    </View>
  )
}

function QuoteDocument({ paper }: { paper: Paper }) {
  const { shop, summary, vehicle } = paper
  const cents = (value: number) => money(shop.region, value)
  return (
    <Document title={`${paper.title}, ${vehicle.plate}`} author={shop.name} language="en-IE">
      <Page size="A4" style={styles.page}>
        <View style={styles.body}>
          <View style={[styles.row, { borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8 }]}>
            <View style={{ width: '62%' }}>
              <Text style={styles.soft}>
                {shop.name}, {shop.address}
              </Text>
              <Text style={styles.h1}>{paper.packageName}</Text>
              <Text style={{ color: SOFT }}>{paper.pitch}</Text>
            </View>
            <View style={{ width: '34%', alignItems: 'flex-end' }}>
              <Text style={[styles.h1, { fontSize: 15 }]}>{vehicle.plate}</Text>
              <Text style={{ textAlign: 'right' }}>{vehicle.words}</Text>
              <Text>for {paper.customer}</Text>
            </View>
          </View>
          <Text style={[styles.soft, { marginTop: 5 }]}>
            {paper.title}, job {paper.jobNumber}. {paper.validUntil}
          </Text>
          <Text style={styles.h2}>What to expect</Text>
          {summary.expectation.map(({ kind, text }) => (
            <View key={text} style={[styles.expect, { borderLeftColor: BORDER[kind] }]} wrap={false}>
              <Text style={kind === 'result' ? styles.bold : {}}>{text}</Text>
            </View>
          ))}
          <View style={[styles.row, { marginTop: 2 }]} wrap={false}>
            <View style={{ width: '60%' }}>
              <Text style={styles.h2}>Work included</Text>
              {workLines(summary).map((line) => (
                <Text key={line} style={{ marginBottom: 2 }}>
                  {line}
                </Text>
              ))}
              {summary.coats.length > 0 ? (
                <>
                  <Text style={styles.h2}>Protection applied</Text>
                  {coatLines(summary).map((line) => (
                    <Text key={line}>{line}</Text>
                  ))}
                </>
              ) : null}
            </View>
            <View style={{ width: '37%', alignItems: 'flex-end', marginTop: 12 }}>
              <PlanDrawing paper={paper} />
              <Text style={styles.soft}>The darker, the stronger the polish.</Text>
            </View>
          </View>
          <Text style={styles.h2}>The price</Text>
          {summary.priceLines.map((line, at) => (
            <PriceRow
              key={String(at)}
              name={lineText(shop.region, line)}
              origin={lineOrigin(shop.region, line, paper.plan.operations)}
              cents={cents(line.cents)}
            />
          ))}
          <View wrap={false}>
            <PriceRow name="Before tax" cents={cents(summary.netCents)} />
            <PriceRow name={`Tax ${summary.taxPercent ?? 0} %`} cents={cents(summary.taxCents)} />
            <View style={[styles.row, styles.total]}>
              <Text>Total</Text>
              <Text>{cents(paper.totalCents)}</Text>
            </View>
            {summary.depositCents > 0 ? (
              <View style={styles.row}>
                <Text>Deposit, {percent(shop.region, paper.depositPercent)} before the work begins</Text>
                <Text>{cents(summary.depositCents)}</Text>
              </View>
            ) : null}
          </View>
          {paper.collection ? <Text style={{ marginTop: 8 }}>{paper.collection}</Text> : null}
          {paper.note ? <Text style={{ marginTop: 6 }}>{paper.note}</Text> : null}
          <View style={styles.row} wrap={false}>
            <Text style={[styles.sign, styles.soft]}>Agreed, {paper.customer}, and the day</Text>
            <Text style={[styles.sign, styles.soft]}>For {shop.name}</Text>
          </View>
        </View>
        <Foot words={`${shop.name}, ${vehicle.plate}, ${paper.title}.`} />
      </Page>
    </Document>
  )
}

/** Lays the quote out. The PDF carries its fonts and needs no network to be read. */
export function quotePdf(paper: Paper): Promise<Buffer> {
  return renderToBuffer(<QuoteDocument paper={paper} />)
}
