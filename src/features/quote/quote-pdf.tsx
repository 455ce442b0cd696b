import { Document, G, Image, Page, Path, renderToBuffer, Svg, Text, View } from '@react-pdf/renderer'
import type { QuoteRow, QuoteText } from '@/core/offer'
import { bodyPlan } from '@/core/vehicle'
import { COPPER, FERN, Foot, INK, LINE, SOFT, styles } from '@/ui/pdf-kit'
import { PaperHead } from '../paper-head'
import type { Paper } from './paper'

/** The quote as a PDF: the same words as on the screen, on one or two sheets of A4, with its own fonts inside. */

/** From left alone to the most a panel ever gives at once. */
const SHADES = ['#fbf9f2', '#dfe7d8', '#c5d6c1', '#a3bfa2', '#7fa584', '#5c8a67', '#3c6e4b']

/** What the darkest shade stands for, µm. */
const DARKEST_UM = 4

const shadeOf = (takesUm = 0) =>
  SHADES[
    takesUm === 0
      ? 0
      : Math.max(1, Math.min(SHADES.length - 1, Math.ceil((takesUm / DARKEST_UM) * (SHADES.length - 1))))
  ]!

/** The unfolded car with every panel in the shade of what is taken from it. */
function PlanDrawing({ paper }: { paper: Paper }) {
  const { viewBox, panels, backdrop } = bodyPlan(paper.vehicle.shape)
  const given = new Map(paper.panels.map(({ id, takesUm }) => [id, takesUm]))
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

const BORDER: Record<QuoteText['expectation'][number]['kind'], string> = {
  result: FERN,
  stays: COPPER,
  limit: LINE,
  protection: LINE,
}

function PriceRow({ row: { name, origin, amount } }: { row: QuoteRow }) {
  return (
    <View style={[styles.row, styles.price]} wrap={false}>
      <View style={{ width: '78%' }}>
        <Text>{name}</Text>
        {origin ? <Text style={styles.soft}>{origin}</Text> : null}
      </View>
      <Text>{amount}</Text>
    </View>
  )
}

function ChangeBlock({
  change,
  photos,
}: {
  change: NonNullable<QuoteText['change']>
  photos: Paper['photos']
}) {
  return (
    <View>
      <Text style={{ marginTop: 8 }}>{change.of}</Text>
      {change.sections.map(({ heading, text }) => (
        <View key={heading} wrap={false}>
          <Text style={styles.h2}>{heading}</Text>
          <Text>{text}</Text>
        </View>
      ))}
      {photos.some(({ picture }) => picture) ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: 4 }} wrap={false}>
          {photos.map(({ hash, caption, picture }) =>
            picture ? (
              <View key={hash} style={{ width: '24%' }}>
                <Image src={`data:image/jpeg;base64,${picture}`} style={{ height: 80, objectFit: 'cover' }} />
                <Text style={styles.soft}>{caption}</Text>
              </View>
            ) : null,
          )}
        </View>
      ) : null}
      {change.rows.length > 0 ? (
        <>
          <Text style={styles.h2}>{change.heading}</Text>
          {[...change.rows, ...change.sums].map((row) => (
            <PriceRow key={row.name} row={row} />
          ))}
        </>
      ) : null}
    </View>
  )
}

function QuoteDocument({ paper }: { paper: Paper }) {
  const { shop, text, vehicle } = paper
  const { headings } = text
  return (
    <Document title={`${text.title}, ${vehicle.plate}`} author={shop.name} language={text.language}>
      <Page size="A4" style={styles.page}>
        <View style={styles.body}>
          <View style={[styles.row, { borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8 }]}>
            <View style={{ width: '62%' }}>
              <PaperHead shop={shop} />
              <Text style={styles.h1}>{text.change ? text.title : paper.packageName}</Text>
              <Text style={{ color: SOFT }}>{text.change ? paper.packageName : paper.pitch}</Text>
            </View>
            <View style={{ width: '34%', alignItems: 'flex-end' }}>
              <Text style={[styles.h1, { fontSize: 15 }]}>{vehicle.plate}</Text>
              <Text style={{ textAlign: 'right' }}>{vehicle.words}</Text>
              <Text>{text.forCustomer}</Text>
            </View>
          </View>
          <Text style={[styles.soft, { marginTop: 5 }]}>
            {text.change ? text.about : `${text.title}. ${text.about}`}
          </Text>
          {text.change ? <ChangeBlock change={text.change} photos={paper.photos} /> : null}
          {text.expectation.length > 0 ? <Text style={styles.h2}>{headings.expect}</Text> : null}
          {text.expectation.map(({ kind, text: said }) => (
            <View key={said} style={[styles.expect, { borderLeftColor: BORDER[kind] }]} wrap={false}>
              <Text style={kind === 'result' ? styles.bold : {}}>{said}</Text>
            </View>
          ))}
          <View style={[styles.row, { marginTop: 2 }]} wrap={false}>
            <View style={{ width: '60%' }}>
              {text.work.length > 0 ? <Text style={styles.h2}>{headings.work}</Text> : null}
              {text.work.map((line) => (
                <Text key={line} style={{ marginBottom: 2 }}>
                  {line}
                </Text>
              ))}
              {text.protection.length > 0 ? (
                <>
                  <Text style={styles.h2}>{headings.protection}</Text>
                  {text.protection.map((line) => (
                    <Text key={line}>{line}</Text>
                  ))}
                </>
              ) : null}
            </View>
            <View style={{ width: '37%', alignItems: 'flex-end', marginTop: 12 }}>
              <PlanDrawing paper={paper} />
              <Text style={styles.soft}>{headings.darker}</Text>
            </View>
          </View>
          <Text style={styles.h2}>{headings.price}</Text>
          {text.rows.map((row, at) => (
            <PriceRow key={String(at)} row={row} />
          ))}
          <View wrap={false}>
            {text.sums.map((row) => (
              <PriceRow key={row.name} row={row} />
            ))}
            <View style={[styles.row, styles.total]}>
              <Text>{text.total.name}</Text>
              <Text>{text.total.amount}</Text>
            </View>
            {text.deposit ? (
              <View style={styles.row}>
                <Text>{text.deposit.name}</Text>
                <Text>{text.deposit.amount}</Text>
              </View>
            ) : null}
          </View>
          {text.collection ? <Text style={{ marginTop: 8 }}>{text.collection}</Text> : null}
          {paper.note ? <Text style={{ marginTop: 6 }}>{paper.note}</Text> : null}
          {text.technical ? (
            <View style={{ marginTop: 8 }}>
              <Text style={styles.h2}>{text.technical.heading}</Text>
              {text.technical.lines.map((line) => (
                <Text key={line} style={[styles.soft, { marginBottom: 2 }]}>
                  {line}
                </Text>
              ))}
            </View>
          ) : null}
          <View style={styles.row} wrap={false}>
            <Text style={[styles.sign, styles.soft]}>{text.accepted}</Text>
            <Text style={[styles.sign, styles.soft]}>{text.forShop}</Text>
          </View>
        </View>
        <Foot words={`${shop.name}, ${vehicle.plate}, ${text.title}.`} language={text.language} />
      </Page>
    </Document>
  )
}

/** Sets the quote. The PDF carries its fonts and needs no network to be read. */
export function quotePdf(paper: Paper): Promise<Buffer> {
  return renderToBuffer(<QuoteDocument paper={paper} />)
}
