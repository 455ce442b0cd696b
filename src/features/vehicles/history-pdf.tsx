import { Document, Image, Page, renderToBuffer, Text, View } from '@react-pdf/renderer'
import { WATERS } from '@/core/aftercare'
import { type HistoryStay, layerPlace, type VehicleHistory } from '@/core/history'
import type { Region } from '@/core/region'
import { LIFETIME_UM, mean, takenByPanel } from '@/core/survey'
import { SHAPE_NAME } from '@/core/vehicle'
import { WATER_WORDS } from '@/text/en/aftercare'
import { staffPanel } from '@/text/en/staff-panels'
import { PAINT_SYSTEM_GUIDE } from '@/text/en/vehicle'
import { figure, measured, number, shortDay, unitSign } from '@/text/formats'
import { staffLanguage } from '@/text/staff-language'
import { FERN, Foot, INK, SOFT, styles } from '@/ui/pdf-kit'

/** The history of a vehicle to be read: what a new owner is handed with the car. */

function stayLines(region: Region, { film, gloss, work, layers, looks, photographs }: HistoryStay): string[] {
  const round = (values: HistoryStay['film'], phase: 'before' | 'after') =>
    values.filter((each) => each.phase === phase).flatMap((each) => each.values)
  const said = (name: string, write: (value: number) => string, values: HistoryStay['film']) => {
    const [before, after] = [round(values, 'before'), round(values, 'after')]
    if (before.length + after.length === 0) return []
    const words = [
      before.length > 0 ? `${write(mean(before))} before` : '',
      after.length > 0 ? `${write(mean(after))} after` : '',
    ]
    return [`${name}, mean of ${before.length + after.length} readings: ${words.filter(Boolean).join(', ')}.`]
  }
  const processes = [...new Set(work.map(({ process }) => process))]
  const waters = WATERS.flatMap((water) => {
    const count = looks.filter((look) => look.water === water).length
    return count > 0 ? [`${count} × ${WATER_WORDS[water].name.toLowerCase()}`] : []
  })
  return [
    ...said('Paint depth', (um) => measured(region, 'depth', um, 1), film),
    ...said('Gloss', (units) => `${number(region, units, 1)} GU`, gloss),
    ...processes.map((process) => {
      const own = work.filter((each) => each.process === process)
      return `${process} on ${own.length} ${own.length === 1 ? 'panel' : 'panels'}, ${measured(region, 'depth', mean(own.map(({ takesUm }) => takesUm)), 1)} each.`
    }),
    ...layers.map(
      ({ product, lot, endedAt, ...layer }) =>
        `${product} on ${layerPlace(layer)}, lot ${lot}, ${shortDay(region, endedAt.slice(0, 10) as never)}.`,
    ),
    ...(waters.length > 0 ? [`Water: ${waters.join(', ')}.`] : []),
    ...(photographs.length > 0 ? [`${photographs.length} photographs.`] : []),
  ]
}

/** So many of a stay stand side by side. */
const PICTURES_SHOWN = 5

function Pictures({ photographs }: Pick<HistoryStay, 'photographs'>) {
  const shown = photographs.filter(({ picture }) => picture).slice(0, PICTURES_SHOWN)
  if (shown.length === 0) return null
  return (
    <View style={{ flexDirection: 'row', gap: 6, marginTop: 3 }}>
      {shown.map(({ sha256, picture, place, phase }) => (
        <View key={sha256} style={{ width: '19%' }}>
          <Image src={`data:image/jpeg;base64,${picture}`} style={{ height: 62, objectFit: 'cover' }} />
          <Text style={styles.soft}>
            {place}, {phase}
          </Text>
        </View>
      ))}
    </View>
  )
}

function HistoryDocument({ history, region }: { history: VehicleHistory; region: Region }) {
  const { vehicle, stays, ledger, shop, writtenOn } = history
  const taken = takenByPanel(ledger)
  return (
    <Document title={`History, ${vehicle.plate}`} author={shop} language={staffLanguage(region)}>
      <Page size="A4" style={styles.page}>
        <View style={styles.body}>
          <View style={[styles.row, { borderBottomWidth: 1.5, borderBottomColor: INK, paddingBottom: 8 }]}>
            <View style={{ width: '60%' }}>
              <Text style={styles.soft}>
                {shop}, {shortDay(region, writtenOn)}
              </Text>
              <Text style={styles.h1}>History of a car’s paint</Text>
            </View>
            <View style={{ width: '36%', alignItems: 'flex-end' }}>
              <Text style={[styles.h1, { fontSize: 15 }]}>{vehicle.plate}</Text>
              <Text style={{ textAlign: 'right' }}>
                {vehicle.make} {vehicle.model}
                {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()}
              </Text>
              <Text style={styles.soft}>
                {SHAPE_NAME[vehicle.shape]}, {PAINT_SYSTEM_GUIDE[vehicle.paintSystem].name.toLowerCase()}
              </Text>
              {vehicle.vin ? <Text style={styles.soft}>{vehicle.vin}</Text> : null}
            </View>
          </View>
          {stays.length === 0 ? <Text style={styles.h2}>Nothing was done here yet.</Text> : null}
          {stays.map((stay, at) => (
            <View key={at} style={{ marginTop: 4 }} wrap={false}>
              <Text style={styles.h2}>
                {shortDay(region, stay.day)}: {stay.title}
                {stay.odometerKm === undefined ? '' : `, ${measured(region, 'distance', stay.odometerKm)}`}
              </Text>
              {stayLines(region, stay).map((line) => (
                <View key={line} style={[styles.expect, { borderLeftColor: FERN }]}>
                  <Text>{line}</Text>
                </View>
              ))}
              <Pictures photographs={stay.photographs} />
            </View>
          ))}
          <Text style={styles.h2}>
            All paint ever removed, {unitSign(region, 'depth')} of the {figure(region, 'depth', LIFETIME_UM)}{' '}
            a panel can lose in its life
          </Text>
          {Object.keys(taken).length === 0 ? <Text>None that anybody knows of.</Text> : null}
          {Object.entries(taken).map(([panel, { takenUm, uncertaintyUm }]) => (
            <View key={panel} style={[styles.row, styles.price]} wrap={false}>
              <Text>{staffPanel(region, panel)}</Text>
              <Text>
                {figure(region, 'depth', takenUm, 1)} ± {figure(region, 'depth', uncertaintyUm, 1)}
              </Text>
            </View>
          ))}
          <Text style={{ marginTop: 10, color: SOFT }}>
            The same history goes with the car as one file, from which a shop can go on. Owners, messages and
            money are not in it.
          </Text>
        </View>
        <Foot words={`${shop}, history of ${vehicle.plate}`} language="en" />
      </Page>
    </Document>
  )
}

export function historyPdf(history: VehicleHistory, region: Region): Promise<Buffer> {
  return renderToBuffer(<HistoryDocument history={history} region={region} />)
}
