import { describe, expect, test } from 'vitest'
import { toJobId } from '@/core/ids'
import type { Job } from '@/core/job'
import type { Quote } from '@/core/offer'
import { makeOffer, summaryOf, termsSchema } from '@/core/offer'
import { offerInput, template } from '@/core/offer/offer.fixture'
import { setupSchema } from '@/core/shop'
import { instantOrThrow } from '@/core/time'
import setupFile from '../../../demo/setup.json'
import { draftPaper, paperOf } from './paper'

const setup = setupSchema.parse(setupFile)
const job = {
  number: 107,
  customer: { name: 'Nessa Pike' },
  vehicle: {
    plate: 'IM 1',
    make: 'Corvane',
    model: 'Hearth',
    year: '2022',
    shape: 'estate',
    colour: 'Green',
  },
} as unknown as Job
const terms = termsSchema.parse({ depositPercent: 20, discountPercent: 5, validDays: 14 })
const offer = makeOffer(template('headland'), offerInput(), { terms })
const quote: Quote = {
  jobId: toJobId('j'),
  version: 3,
  packageKey: 'headland',
  packageName: 'Headland as it was called then',
  plan: offer.plan,
  summary: summaryOf(offer),
  choices: { packageKey: 'headland', extras: [], terms },
  totalCents: offer.price.totalCents,
  note: 'both keys',
  writtenAt: instantOrThrow('2027-01-12T23:30:00Z'),
  validUntil: instantOrThrow('2027-01-27T00:00:00Z'),
}

describe('the paper of a version', () => {
  const paper = paperOf(quote, { job, setup })
  test('is called by the version and the day it was written, where the shop stands', () => {
    expect(paper.title).toBe('Quote 3 of 12 Jan 2027')
  })
  test('names its last day, which is the one before the midnight it ends with', () => {
    expect(paper.validUntil).toBe('It holds until 26 Jan 2027.')
  })
  test('keeps the name the package had, and the words of the one sold today', () => {
    expect(paper.packageName).toBe('Headland as it was called then')
    expect(paper.pitch).toBe(template('headland').pitch)
    expect(paperOf({ ...quote, packageKey: 'gone' }, { job, setup }).pitch).toBe('')
  })
  test('names a day of collection only where one was found, and fixes none', () => {
    expect(paper.collection).toBeUndefined()
    const dated = paperOf(
      { ...quote, couldCollectAt: instantOrThrow('2027-01-20T14:45:00Z') },
      { job, setup },
    )
    expect(dated.collection).toContain('Wednesday 20 January 2027 at 14:45')
    expect(dated.collection).toContain('The day is fixed when you say yes.')
  })
  test('carries price, deposit, note and vehicle as they were written', () => {
    expect(paper).toMatchObject({
      totalCents: offer.price.totalCents,
      depositPercent: 20,
      note: 'both keys',
      customer: 'Nessa Pike',
      vehicle: { plate: 'IM 1', words: 'Corvane Hearth 2022, green' },
    })
  })
})

test('a draft says that it is not yet written, and how long it will hold', () => {
  const draft = (validDays: number) =>
    draftPaper(
      {
        packageKey: 'headland',
        packageName: 'Headland',
        summary: summaryOf(offer),
        plan: offer.plan,
        totalCents: offer.price.totalCents,
        depositPercent: 20,
        validDays,
        note: '',
      },
      { job, setup },
    )
  expect(draft(14)).toMatchObject({ title: 'Not yet written', validUntil: 'It will hold for 14 days.' })
  expect(draft(1).validUntil).toBe('It will hold for a day.')
})
