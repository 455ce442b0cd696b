import { emptyIntake, type Intake } from '@/core/intake/intake'
import type { Random } from '@/core/schedule'
import type { Shape, Storage, Washing } from '@/core/vehicle'

/** Owners and cars of two invented years. Everybody and everything here is made up from lists. */

const FIRST = [
  'Abban',
  'Bláth',
  'Colm',
  'Dervla',
  'Eithne',
  'Fergal',
  'Grania',
  'Hugh',
  'Iseult',
  'Jarlath',
  'Keelin',
  'Lorcan',
  'Muirne',
  'Niamh',
  'Odhran',
  'Piaras',
  'Rionach',
  'Sorcha',
  'Tomás',
  'Una',
  'Wynne',
  'Zita',
]
const LAST = [
  'Arbutus',
  'Bellweather',
  'Corrigall',
  'Dunlin',
  'Eelgrass',
  'Fallowmere',
  'Gannet',
  'Hollin',
  'Inver',
  'Kittiwake',
  'Limpet',
  'Marram',
  'Netmaker',
  'Oysterby',
  'Plover',
  'Quayle',
  'Redshank',
  'Saltmarsh',
  'Turnstone',
  'Whelk',
  'Yarrowby',
]
const MODELS: readonly [make: string, model: string, shape: Shape][] = [
  ['Marl', 'Stonecrop', 'hatchback'],
  ['Marl', 'Puffin', 'coupe'],
  ['Marl', 'Samphire', 'suv'],
  ['Corvane', 'Nimble', 'hatchback'],
  ['Corvane', 'Hearth Saloon', 'saloon'],
  ['Corvane', 'Hearth Estate', 'estate'],
  ['Tarrow', 'Lugger', 'estate'],
  ['Tarrow', 'Bollard', 'pickup'],
]
const COLOURS = [
  'Slate',
  'Peat black',
  'Fog blue',
  'Oyster white',
  'Kelp green',
  'Storm grey',
  'Foxglove',
  'Sand',
]
const STORAGES: readonly Storage[] = ['garage', 'carport', 'street', 'street']
const WASHINGS: readonly Washing[] = ['hand', 'hand', 'touchless', 'brush']
const HARDNESS = ['soft', 'medium', 'medium', 'hard'] as const

export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!

/** Names from the two lists, each pair once. */
export function pastNames(random: Random, count: number): string[] {
  const names = FIRST.flatMap((first) => LAST.map((last) => `${first} ${last}`))
  return Array.from({ length: count }, () => names.splice(Math.floor(random() * names.length), 1)[0]!)
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]/g, '')

/** A car as it was taken in for the first time. */
export function pastIntake(random: Random, name: string, plate: string, day: string): Intake {
  const [make, model, shape] = pick(random, MODELS)
  return {
    ...emptyIntake(day),
    customerName: name,
    phone: `0555 ${String(100 + Math.floor(random() * 900))}`,
    email: `${plain(name.split(' ')[0]!)}.${plain(name.split(' ')[1]!)}@inchmoyle.example`,
    mayRemind: random() < 0.85,
    plate,
    make,
    model,
    shape,
    year: String(2014 + Math.floor(random() * 11)),
    colour: pick(random, COLOURS),
    hardness: pick(random, HARDNESS),
    storage: pick(random, STORAGES),
    washing: pick(random, WASHINGS),
    yearlyKm: String(4000 + 1000 * Math.floor(random() * 24)),
    salted: random() < 0.5,
    hardWater: random() < 0.2,
    wishes: 'As talked through at the counter.',
  }
}

/** The car the aftercare of the demo turns on: coated fourteen months ago, seen once since, and due again. */
export const BONNET_CAR = {
  customerName: 'Nuala Feathering',
  phone: '0555 914',
  email: 'nuala@inchmoyle.example',
  mayRemind: true,
  plate: 'IM 2208',
  vin: '',
  make: 'Corvane',
  model: 'Hearth Estate',
  year: '2022',
  shape: 'estate',
  colour: 'Peat black',
  paintSystem: 'clear-over-base',
  hardness: 'medium',
  storage: 'carport',
  washing: 'hand',
  yearlyKm: '9000',
  salted: false,
  hardWater: false,
  wishes: 'Runs the guest house on the head. Wants it black and easy to wash.',
} as const satisfies Partial<Intake>
