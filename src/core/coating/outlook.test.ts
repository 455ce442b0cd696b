import { expect, test } from 'vitest'
import catalogue from '../../../demo/catalogue.json'
import { instantOrThrow, minutesBetween, plusMinutes } from '../time'
import { coatingOutlook } from './outlook'
import { catalogueSchema } from './product'

const [product] = catalogueSchema.parse(catalogue)
const NOON = instantOrThrow('2027-01-13T12:00:00Z')
const readings = (values: readonly { rh: number; air?: number }[]) =>
  values.map(({ rh, air = 18 }, index) => ({
    at: plusMinutes(NOON, index * 5),
    climate: { airC: air, rhPercent: rh, panelC: air - 0.5 },
  }))

test('air within its limits is a go', () => {
  expect(coatingOutlook(product!, readings([{ rh: 55 }]))).toEqual({ breaches: [] })
})

test('air that dries says when, and the last of several reasons decides', () => {
  const drying = readings([{ rh: 78 }, { rh: 77 }, { rh: 76 }, { rh: 75 }, { rh: 74 }])
  const { breaches, improvesAt } = coatingOutlook(product!, drying)
  expect(breaches.map(({ rule }) => rule)).toEqual(['air-too-humid'])
  expect(minutesBetween(drying.at(-1)!.at, improvesAt!)).toBe(20)
  const colder = readings([78, 77, 76, 75, 74].map((rh, index) => ({ rh, air: 7 + index * 0.1 })))
  const both = coatingOutlook(product!, colder)
  expect(both.breaches.map(({ rule }) => rule)).toEqual(['air-too-cold', 'air-too-humid'])
  expect(both.improvesAt! > improvesAt!).toBe(true)
})

test('where one reason does not get better no hour is named, and no reading is no go', () => {
  const stuck = readings([78, 77, 76, 75, 74].map((rh) => ({ rh, air: 8 })))
  expect(coatingOutlook(product!, stuck).improvesAt).toBeUndefined()
  expect(coatingOutlook(product!, []).breaches).toEqual([{ rule: 'climate-not-measured' }])
})
