import { Document, Image, Page, renderToBuffer, Text, View } from '@react-pdf/renderer'
import { WATERS } from '@/core/aftercare'
import type { HistoryStay, VehicleHistory } from '@/core/history'
import type { Region } from '@/core/region'
import { LIFETIME_UM, mean, takenByPanel } from '@/core/survey'
import { methodTitle } from '@/text/en/correction'
import { figure, measured, number, shortDay, unitSign } from '@/text/formats'
import { historyWords, layerLine } from '@/text/history'
import { placeTitle } from '@/text/panels'
import { title } from '@/text/title'
import { workWords } from '@/text/work'
import { FERN, Foot, INK, SOFT, styles } from '@/ui/pdf-kit'

/** The history of a vehicle to be read, in the language of its owner: what a new owner is handed with the car. */

/** A process as the history names it, in the reader’s words where it is one of ours. */
function processTitle(region: Region, name: string): string {
  const known = Object.entries(workWords(region).process).find(
    ([key]) => methodTitle({ key, name: '' }) === name,
  )
  return known ? title(region, known[1]) : name
}

function stayLines(region: Region, { film, gloss, work, layers, looks, photographs }: HistoryStay): string[] {
  const words = historyWords(region)
  const round = (values: HistoryStay['film'], phase: 'before' | 'after') =>
    values.filter((each) => each.phase === phase).flatMap((each) => each.values)
  const said = (what: string, write: (value: number) => string, values: HistoryStay['film']): string[] => {
    const [before, after] = [round(values, 'before'), round(values, 'after')]
    const count = before.length + after.length
    if (count === 0) return []
    const sentence = words.readings({
      what,
      count,
      ...(before.length > 0 ? { before: write(mean(before)) } : {}),
      ...(after.length > 0 ? { after: write(mean(after)) } : {}),
    })
    return [sentence]
  }
  const processes = [...new Set(work.map(({ process }) => process))]
  const waters = WATERS.flatMap((water) => {
    const count = looks.filter((look) => look.water === water).length
    return count > 0 ? [`${count} × ${words.water[water]}`] : []
  })
  return [
    ...said(words.depth, (um) => measured(region, 'depth', um, 1), film),
    ...said(words.gloss, (units) => `${number(region, units, 1)} GU`, gloss),
    ...processes.map((process) => {
      const own = work.filter((each) => each.process === process)
      const depth = measured(region, 'depth', mean(own.map(({ takesUm }) => takesUm)), 1)
      return words.worked({ process: processTitle(region, process), panels: own.length, depth })
    }),
    ...layers.map((layer) => layerLine(region, layer)),
    ...(waters.length > 0 ? [words.seen(waters.join(', '))] : []),
    ...(photographs.length > 0 ? [words.photographs(photographs.length)] : []),
  ]
}

/** So many of a stay stand side by side. */
const PICTURES_SHOWN = 5

function Pictures({ photographs, region }: Pick<HistoryStay, 'photographs'> & { region: Region }) {
  const shown = photographs.filter(({ picture }) => picture).slice(0, PICTURES_SHOWN)
  if (shown.length === 0) return null
  return (
    <View style={{ flexDirection: 'row', gap: 6, marginTop: 3 }} wrap={false}>
      {shown.map(({ sha256, picture, place, phase }) => (
        <View key={sha256} style={{ width: '19%' }}>
          <Image src={`data:image/jpeg;base64,${picture}`} style={{ height: 62, objectFit: 'cover' }} />
          <Text style={styles.soft}>
            {placeTitle(region, place)}, {historyWords(region).phase[phase]}
          </Text>
        </View>
      ))}
    </View>
  )
}

/** So many stays are told on paper, the latest (mem); a sheet of hundreds of pages is read by nobody and takes minutes to set. */
const STAYS_TOLD = 60

function HistoryDocument({ history, region }: { history: VehicleHistory; region: Region }) {
  const { vehicle, stays, ledger, shop, writtenOn } = history
  const told = stays.slice(-STAYS_TOLD)
  const taken = takenByPanel(ledger)
  const words = historyWords(region)
  return (
    <Document title={words.name(vehicle.plate)} author={shop} language={region.language}>
      <Page size="A4" style={styles.page}>
        <View style={styles.body}>
          <View style={[styles.row, { borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8 }]}>
            <View style={{ width: '60%' }}>
              <Text style={styles.soft}>
                {shop}, {shortDay(region, writtenOn)}
              </Text>
              <Text style={styles.h1}>{words.heading}</Text>
            </View>
            <View style={{ width: '36%', alignItems: 'flex-end' }}>
              <Text style={[styles.h1, { fontSize: 15 }]}>{vehicle.plate}</Text>
              <Text style={{ textAlign: 'right' }}>
                {vehicle.make} {vehicle.model}
                {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()}
              </Text>
              <Text style={styles.soft}>
                {title(region, words.shape[vehicle.shape])}, {words.paint[vehicle.paintSystem]}
              </Text>
              {vehicle.vin ? <Text style={styles.soft}>{vehicle.vin}</Text> : null}
            </View>
          </View>
          {stays.length === 0 ? <Text style={styles.h2}>{words.nothing}</Text> : null}
          {stays.length > told.length ? (
            <Text style={styles.soft}>{words.earlier(stays.length - told.length)}</Text>
          ) : null}
          {told.map((stay, at) => (
            <View key={at} style={{ marginTop: 4 }}>
              <Text style={styles.h2} minPresenceAhead={30}>
                {shortDay(region, stay.day)}: {stay.kind === 'work' ? stay.title : words.stay[stay.kind]}
                {stay.odometerKm === undefined ? '' : `, ${measured(region, 'distance', stay.odometerKm)}`}
              </Text>
              {stayLines(region, stay).map((line, lineAt) => (
                <View key={lineAt} style={[styles.expect, { borderLeftColor: FERN }]} wrap={false}>
                  <Text>{line}</Text>
                </View>
              ))}
              <Pictures photographs={stay.photographs} region={region} />
            </View>
          ))}
          <Text style={styles.h2}>
            {words.removed({
              unit: unitSign(region, 'depth'),
              limit: figure(region, 'depth', LIFETIME_UM),
            })}
          </Text>
          {Object.keys(taken).length === 0 ? <Text>{words.noneKnown}</Text> : null}
          {Object.entries(taken).map(([panel, { takenUm, uncertaintyUm }]) => (
            <View key={panel} style={[styles.row, styles.price]} wrap={false}>
              <Text>{placeTitle(region, panel)}</Text>
              <Text>
                {figure(region, 'depth', takenUm, 1)} ± {figure(region, 'depth', uncertaintyUm, 1)}
              </Text>
            </View>
          ))}
          <Text style={{ marginTop: 10, color: SOFT }}>{words.file}</Text>
        </View>
        <Foot words={words.foot(shop, vehicle.plate)} language={region.language} />
      </Page>
    </Document>
  )
}

export function historyPdf(history: VehicleHistory, region: Region): Promise<Buffer> {
  return renderToBuffer(<HistoryDocument history={history} region={region} />)
}
