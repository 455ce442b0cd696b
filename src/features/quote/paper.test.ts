import { describe, expect, test } from 'vitest'
import { toJobId } from '@/core/ids'
import type { Job } from '@/core/job'
import type { Quote } from '@/core/offer'
import { makeOffer, summaryOf, termsSchema } from '@/core/offer'
import { offerInput, template } from '@/core/offer/offer.fixture'
import { setupSchema } from '@/core/shop'
import { instantOrThrow } from '@/core/time'
import { money } from '@/text/formats'
import { toldQuote } from '@/text/quote'
import setupFile from '../../../demo/setup.json'
import { draftPaper, paperOf } from './paper'

const setup = setupSchema.parse(setupFile)
const job = {
  number: 107,
  customer: { name: 'Nessa Pike', language: 'en' },
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
  test('keeps the name the package had, and the words of the one sold today', () => {
    expect(paper.packageName).toBe('Headland as it was called then')
    expect(paper.pitch).toBe(template('headland').pitch.en)
    expect(paperOf({ ...quote, packageKey: 'gone' }, { job, setup }).pitch).toBe('')
  })
  test('says what it is for in the customer’s language, and goes without where the shop has not put it into that', () => {
    const customer = { ...job.customer, language: 'fr' as const }
    expect(paperOf(quote, { job: { ...job, customer }, setup }).pitch).toBe(template('headland').pitch.fr)
    const packages = setup.packages.map((each) => ({ ...each, pitch: { ...each.pitch, fr: '' } }))
    expect(paperOf(quote, { job: { ...job, customer }, setup: { ...setup, packages } }).pitch).toBe('')
  })
  test('keeps what the package was for when it was written, whatever the shop says of it today', () => {
    const told = toldQuote(quote, job, setup)
    const packages = setup.packages.map((each) => ({ ...each, pitch: { ...each.pitch, en: 'Quite new.' } }))
    const kept = { ...quote, told }
    expect(paperOf(kept, { job, setup: { ...setup, packages } }).pitch).toBe(template('headland').pitch.en)
    const { pitch: _, ...before } = told
    expect(paperOf({ ...quote, told: before }, { job, setup: { ...setup, packages } }).pitch).toBe(
      'Quite new.',
    )
  })
  test('is told in the words it was written in, whatever the shop says today', () => {
    const told = { ...paper.text, title: 'Quote 3 of long ago' }
    expect(paperOf({ ...quote, told }, { job, setup }).text).toBe(told)
    expect(paper.text.title).toMatch(/^Quote 3, /)
  })
  test('carries price, deposit, note and vehicle as they were written', () => {
    expect(paper.text.total.amount).toBe(money(setup.region, offer.price.totalCents))
    expect(paper.text.deposit?.name).toContain('20%')
    expect(paper.text.forCustomer).toContain('Nessa Pike')
    expect(paper).toMatchObject({
      note: 'both keys',
      vehicle: { plate: 'IM 1', words: 'Corvane Hearth 2022, green' },
    })
  })
})

test('a draft is told in the words of today', () => {
  const draft = draftPaper(
    {
      packageKey: 'headland',
      packageName: 'Headland',
      summary: summaryOf(offer),
      plan: offer.plan,
      totalCents: offer.price.totalCents,
      depositPercent: 20,
      validDays: 14,
      note: '',
    },
    { job, setup },
  )
  expect(draft.text.title).toBe('Draft quote')
})
