import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { type MethodKey, SEEDED_METHODS } from '../correction'
import { toOperationId, toProductId } from '../ids'
import { paintedAreaM2 } from '../vehicle'
import { chosenOffer } from './choices'
import { EXTRA, EXTRA_KEYS, includedCount, mergeExtras, proposeExtras } from './extras'
import { makeOffer } from './offer'
import { catalogue, chips, offerInput, product, swirls, template, templates, vendors } from './offer.fixture'
import { packageTemplateSchema, termsSchema } from './package'
import { packageFaults } from './package-faults'
import { NO_PITCH, pitchFor } from './pitch'
import { vendorSkill } from './skill'
import { planSchema, summaryOf, summarySchema } from './told'
import { TRADES } from './vendor'

const shelf = { catalogue, vendors, methods: SEEDED_METHODS }
const terms = termsSchema.parse({})

describe('the times of a package (common practice)', () => {
  test('an all-in-one on a clean middle-sized car: under two hours in all, 45 min of preparation, 40 at the machine, 30 to set', () => {
    const { plan } = makeOffer(template('tideline'), offerInput({}, { contamination: 10 }))
    const minutes = (id: string) => plan.operations.find((operation) => operation.id === id)!.minutes
    expect(plan.operations.reduce((sum, operation) => sum + operation.minutes, 0)).toBeLessThan(120)
    expect(minutes('wash') + minutes('mask') + minutes('finish')).toBeLessThanOrEqual(50)
    expect(minutes('polish')).toBeGreaterThanOrEqual(35)
    expect(minutes('polish')).toBeLessThanOrEqual(45)
    expect(minutes('set') + minutes('buff')).toBe(30)
  })
  test('an all-in-one whose sheet says that it sets longer is given that long', () => {
    const { plan } = makeOffer(template('tideline'), offerInput({}, { contamination: 0, setMinutes: 45 }))
    const minutes = (id: string) => plan.operations.find((operation) => operation.id === id)!.minutes
    expect(minutes('set') + minutes('buff')).toBe(45)
  })
  test('the dirtier the car, the longer the wash, and it never passes two and a half hours on a car', () => {
    const wash = (contamination: number) =>
      makeOffer(template('tideline'), offerInput({}, { contamination })).plan.operations[0]!.minutes
    const minutes = [0, 10, 40, 70, 100].map(wash)
    expect(minutes).toEqual(minutes.toSorted((a, b) => a - b))
    expect(minutes.at(-1)!).toBeLessThanOrEqual(150)
  })
  test('a two-step under three layers is about two and a half working days of one person, of it a day and a half for the paint', () => {
    const { plan } = makeOffer(template('lantern'), offerInput())
    const hours = (kinds: string[]) =>
      plan.operations
        .filter(({ kind }) => kinds.includes(kind))
        .reduce((sum, { minutes, people }) => sum + minutes * people, 0) / 60
    expect(hours(['wash', 'mask', 'cut', 'refine', 'polish'])).toBeGreaterThan(10)
    expect(hours(['wash', 'mask', 'cut', 'refine', 'polish'])).toBeLessThan(14)
  })
})

test('a two-step under one coat on a clean saloon is two working days of one person (common practice)', () => {
  const twoStep = { ...template('headland'), strongest: 'two-step' }
  const { plan } = makeOffer(twoStep, offerInput({}, { contamination: 10 }))
  const hours = plan.operations.reduce((sum, { minutes, people }) => sum + minutes * people, 0) / 60
  expect(hours).toBeGreaterThan(14)
  expect(hours).toBeLessThan(17)
})

describe('a large body', () => {
  test('is coated by two, and nothing without a break outlasts half a shift', () => {
    for (const shape of ['van', 'motorhome'] as const) {
      const { plan } = makeOffer(template('headland'), offerInput({ shape }))
      const layer = plan.operations.find(({ kind }) => kind === 'layer')!
      expect(layer.people).toBe(2)
    }
    for (const shape of ['van', 'motorhome'] as const)
      for (const key of ['headland', 'lantern']) {
        const { plan } = makeOffer(template(key), offerInput({ shape }))
        for (const { mode, minutes } of plan.operations)
          if (mode === 'solid') expect(minutes).toBeLessThanOrEqual(240)
      }
  })
  test('two people are paid twice', () => {
    const { plan, price } = makeOffer(template('headland'), offerInput({ shape: 'van' }))
    const layer = plan.operations.find(({ kind }) => kind === 'layer')!
    const coat = price.lines.find((line) => line.kind === 'labour' && line.skill === 'coat')!
    expect(coat.kind === 'labour' && coat.minutes).toBeGreaterThanOrEqual(2 * layer.minutes)
  })
})

describe('extras', () => {
  const place = (id: string, name: string, kind: 'cloudy' | 'stained' | 'glass-spots') => ({
    place: { id, name, surface: 'light' as const, drawn: true },
    defects: [{ kind, severity: 1 as const, note: '' }],
  })
  const seen = {
    judgement: offerInput({
      defects: {
        bonnet: [swirls, chips],
        boot: [{ ...swirls, kind: 'scratches' }],
        roof: [{ ...swirls, kind: 'scratches', catchesNail: true }],
      },
    }).judgement,
    places: [
      place('headlamp-left', 'Left headlamp', 'cloudy'),
      place('headlamp-right', 'Right headlamp', 'cloudy'),
      place('interior', 'Interior', 'stained'),
    ],
  }
  const proposals = proposeExtras(seen)
  test('are proposed for what was seen, with where it was seen', () => {
    expect(proposals).toEqual([
      { key: 'spot-work', count: 1, where: ['boot'] },
      { key: 'touch-up', count: 2, where: expect.arrayContaining(['bonnet', 'roof']) },
      { key: 'headlamps', count: 2, where: ['headlamp-left', 'headlamp-right'] },
      { key: 'interior', count: 1, where: ['interior'] },
    ])
  })
  test('that a package brings are counted by what was seen: none where nothing asks for it', () => {
    expect(includedCount('headlamps', proposals)).toBe(2)
    expect(includedCount('glass-polish', proposals)).toBe(0)
    expect(includedCount('wheels-off', [])).toBe(1)
  })
  test('chosen by hand replace those of the package; none takes one out', () => {
    expect(
      mergeExtras(
        [
          { key: 'headlamps', count: 2 },
          { key: 'interior', count: 1 },
        ],
        [
          { key: 'headlamps', count: 1 },
          { key: 'interior', count: 0 },
        ],
      ),
    ).toEqual([{ key: 'headlamps', count: 1 }])
  })
  test.each(EXTRA_KEYS)('%s is planned, priced and carries its caution', (key) => {
    const car = offerInput({ shape: 'convertible' })
    const offer = makeOffer(template('headland'), car, { extras: [{ key, count: 2 }] })
    const own = offer.plan.operations.filter(({ extra }) => extra === key)
    const operation = own[0]!
    const minutes = own.reduce((sum, each) => sum + each.minutes, 0)
    const line = offer.price.lines.find((each) => each.kind === 'extra' && each.extra === key)!
    expect(minutes).toBeGreaterThanOrEqual(2 * EXTRA[key].minutesEach)
    expect(line.cents).toBeGreaterThan(0)
    const at = (id: string) => offer.plan.operations.findIndex((each) => each.id === id)
    const before = at(operation.id) < at('layer-1')
    expect(before).toBe(EXTRA[key].stage !== 'last')
    expect(at(operation.id) < at('wash')).toBe(EXTRA[key].stage === 'wet')
  })
  test('a soft top is not scrubbed on a car that has none', () => {
    const extras = [{ key: 'soft-top' as const, count: 1 }]
    expect(makeOffer(template('headland'), offerInput(), { extras }).extras).toEqual([])
    const open = offerInput({ shape: 'convertible' })
    expect(makeOffer(template('headland'), open, { extras }).extras).toEqual(extras)
  })
  test('cost what they cost: the price without them plus their line, before tax', () => {
    fc.assert(
      fc.property(
        fc.subarray([...EXTRA_KEYS], { minLength: 1 }),
        fc.integer({ min: 1, max: 4 }),
        (keys, count) => {
          const car = offerInput({ shape: 'convertible' })
          const plain = makeOffer(template('headland'), car)
          const extras = keys.map((key) => ({ key, count }))
          const more = makeOffer(template('headland'), car, { extras })
          const lines = more.price.lines.filter(({ kind }) => kind === 'extra')
          expect(more.price.netCents).toBe(
            plain.price.netCents + lines.reduce((sum, { cents }) => sum + cents, 0),
          )
        },
      ),
      { numRuns: 20 },
    )
  })
})

describe('vendors and other surfaces', () => {
  const offer = makeOffer(template('boathouse'), offerInput())
  const at = (id: string) => offer.plan.operations.findIndex((operation) => operation.id === id)
  test('a vendor comes on days of their own, before what they must come before', () => {
    const dents = offer.plan.operations[at('vendor-oona-dents')]!
    expect(dents.skill).toBe(vendorSkill('oona-dents'))
    expect(at('vendor-oona-dents')).toBeLessThan(at('cut'))
    expect(offer.price.lines).toContainEqual(expect.objectContaining({ kind: 'vendor', cents: 24000 }))
  })
  test('dents are drawn before the car is washed, under a roof and not in the wash bay; the work begins within a day of the wash', () => {
    expect(at('vendor-oona-dents')).toBeLessThan(at('wash'))
    expect(offer.plan.stays[0]).toEqual({ id: 'first', kind: 'indoor', operations: ['vendor-oona-dents'] })
    expect(offer.plan.stays[1]).toEqual({ id: 'wet', kind: 'wash', operations: ['wash'] })
    expect(offer.plan.links.find(({ from }) => from === 'wash')).toMatchObject({ to: 'mask', max: 1440 })
  })
  test('wheels are off before they are refinished', () => {
    expect(at('extra-wheels-off')).toBeGreaterThan(0)
    expect(at('extra-wheels-off')).toBeLessThan(at('vendor-tam-wheels'))
    expect(offer.plan.links).toContainEqual({ from: 'extra-wheels-off', to: 'vendor-tam-wheels', min: 0 })
  })
  test('paint work goes on while they are away, and only what needs them waits for them', () => {
    const after = offer.plan.links.filter(({ from }) => from === 'vendor-tam-wheels').map(({ to }) => to)
    expect(after).toEqual(['surface-wheels'])
    const stay = offer.plan.stays.find(({ operations }) =>
      operations.includes(toOperationId('vendor-tam-wheels')),
    )
    expect(stay).toEqual({
      id: 'piece-vendor-tam-wheels',
      kind: 'offsite',
      operations: ['vendor-tam-wheels'],
    })
  })
  test('where they are refinished here, nothing is coated near their dust', () => {
    const here = vendors.map(({ away: _, ...vendor }) => vendor)
    const { plan } = makeOffer(template('boathouse'), offerInput({}, { vendors: here }))
    const after = plan.links.filter(({ from }) => from === 'vendor-tam-wheels').map(({ to }) => to)
    expect(after).toEqual(['surface-glass'])
  })
  test('wheels come back on before the last look, in a step of their own', () => {
    expect(at('wheels-on')).toBeGreaterThan(at('dry'))
    expect(at('wheels-on')).toBeLessThan(at('finish'))
  })
  test('the car itself at a painter’s holds no bay, and is washed when it is back', () => {
    const painter = vendors.find(({ id }) => id === 'fergus-paint')!
    const away = makeOffer({ ...template('headland'), vendors: [painter.id] }, offerInput({}, { vendors }))
    expect(away.plan.stays.map(({ id, kind }) => [id, kind])).toEqual([
      ['away', 'offsite'],
      ['wet', 'wash'],
      ['dry', 'studio'],
    ])
    const there = away.plan.operations.find(({ vendorId }) => vendorId === painter.id)!
    expect(there.minutes).toBe(painter.minutes + 2 * painter.away!.travelMinutes)
  })
  test('wheels that go to somebody come off first, whatever the package says', () => {
    const wheels = { ...template('headland'), vendors: ['tam-wheels'] }
    const { extras, price, plan } = makeOffer(wheels, offerInput({}, { vendors }))
    expect(extras).toEqual([{ key: 'wheels-off', count: 1 }])
    expect(price.lines.some((line) => line.kind === 'extra' && line.extra === 'wheels-off')).toBe(true)
    expect(plan.links).toContainEqual({ from: 'extra-wheels-off', to: 'vendor-tam-wheels', min: 0 })
  })
  test('paint work goes on meanwhile', () => {
    expect(offer.plan.links.some(({ from, to }) => from === 'extra-wheels-off' && to === 'cut')).toBe(true)
  })
  test('film sets for a day before anything goes over it', () => {
    const film = vendors.find(({ trade }) => trade === 'film')!
    const { plan } = makeOffer({ ...template('headland'), vendors: [film.id] }, offerInput({}, { vendors }))
    expect(plan.links).toContainEqual({ from: `vendor-${film.id}`, to: 'wipe', min: 1440 })
  })
  test('what is washed without a hose waits for no wash bay; what is scrubbed wet still does', () => {
    const rinseless = offerInput({}, { rinseless: true })
    const stays = (extras: { key: 'engine-bay'; count: number }[]) =>
      makeOffer(template('headland'), rinseless, { extras }).plan.stays.map(({ id, operations }) => [
        id,
        operations[0],
      ])
    expect(stays([])).toEqual([['dry', 'wash']])
    expect(stays([{ key: 'engine-bay', count: 1 }])).toEqual([
      ['wet', 'extra-engine-bay'],
      ['dry', 'wash'],
    ])
  })
  test('each surface has its own product and its own step, before the paint is coated', () => {
    for (const surface of ['glass', 'trim', 'wheels']) {
      expect(at(`surface-${surface}`)).toBeGreaterThan(at('refine'))
      expect(at(`surface-${surface}`)).toBeLessThan(at('wipe'))
    }
    expect(offer.coats.map(({ surface }) => surface)).toEqual(['paint', 'glass', 'trim', 'wheels'])
  })
  test('the hold is the longest that any product on the car asks for', () => {
    const longest = Math.max(...offer.coats.map(({ product: { indoorHoldMinutes } }) => indoorHoldMinutes))
    expect(offer.plan.operations[at('dry')]!.minutes).toBe(longest)
  })
  test('film after the coating is forbidden, before it is not', () => {
    const film = vendors.find(({ trade }) => trade === 'film')!
    const breaches = (stage: typeof film.stage) =>
      makeOffer(
        { ...template('headland'), vendors: [film.id] },
        offerInput({}, { vendors: [{ ...film, stage }] }),
      ).breaches.map(({ id }) => id)
    expect(breaches('before-coating')).not.toContain('film-after-coating')
    expect(breaches('after-coating')).toContain('film-after-coating')
  })
  test('every trade has a name', () => expect(TRADES.length).toBeGreaterThan(4))
})

describe('a package as it is written down', () => {
  test('those of the demo have no faults', () => {
    for (const each of templates) expect(packageFaults(each, shelf)).toEqual([])
  })
  test('one from before surfaces, extras, vendors and care is still read', () => {
    const old = { key: 'a', name: 'A', pitch: { en: 'B' }, strongest: 'two-step', layers: [] }
    expect(packageTemplateSchema.parse(old)).toMatchObject({
      care: 'usual',
      surfaces: [],
      extras: [],
      vendors: [],
    })
  })
  test('says what it is for in one language at least, and is read in another where the shop wrote none', () => {
    const pitched = (pitch: unknown) =>
      packageTemplateSchema.safeParse({ key: 'a', name: 'A', pitch, strongest: 'two-step', layers: [] })
    expect(pitched({ en: ' ', fr: '' }).error?.issues.map(({ path }) => path.join('.'))).toEqual(['pitch'])
    expect(pitched({ fr: 'Un coup de neuf.' }).data?.pitch).toEqual({
      en: '',
      fr: 'Un coup de neuf.',
      de: '',
    })
    expect(pitchFor({ ...NO_PITCH, fr: 'Un coup de neuf.', en: 'Fresh again.' }, 'fr')).toBe(
      'Un coup de neuf.',
    )
    expect(pitchFor({ ...NO_PITCH, fr: 'Un coup de neuf.' }, 'de')).toBe('Un coup de neuf.')
    expect(pitchFor(NO_PITCH, 'en')).toBe('')
  })
  test.each([
    ['layers', { layers: [toProductId('nothing')] }],
    ['layers', { layers: [toProductId('tern-top')] }],
    ['layers', { layers: [toProductId('rill-glass')] }],
    ['surfaces.glass', { surfaces: [{ surface: 'glass' as const, productId: toProductId('nothing') }] }],
    ['layers', { surfaces: [{ surface: 'leather' as const, productId: toProductId('rill-glass') }] }],
    ['vendors', { vendors: ['nobody'] }],
    ['layers', { strongest: 'all-in-one' as const, layers: [toProductId('ebb-single')] }],
  ])('a fault at %s is named', (path, change) => {
    const [fault] = packageFaults({ ...template('headland'), ...change }, shelf)
    expect(fault?.path).toBe(path)
  })
})

describe('what was chosen', () => {
  const input = offerInput()
  const choices = { packageKey: 'headland', extras: [], terms }
  test('without processes it is the package as it comes', () => {
    expect(chosenOffer(templates, input, choices)!.price).toEqual(
      makeOffer(template('headland'), input).price,
    )
  })
  test('a package that is no longer sold, or a process that is forbidden, is no offer', () => {
    expect(chosenOffer(templates, input, { ...choices, packageKey: 'gone' })).toBeUndefined()
    expect(chosenOffer(templates, input, { ...choices, processes: { bonnet: 'all-in-one' } })).toBeUndefined()
  })
  test('any allowed process on any panel is given to it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<MethodKey>('light-polish', 'one-step-polish', 'one-step-cut', 'two-step'),
        (key) => {
          const offer = chosenOffer(templates, input, { ...choices, processes: { bonnet: key } })!
          const bonnet = offer.correction.panels.find(({ judged }) => judged.panel.id === 'bonnet')!
          expect(bonnet.option.method.key).toBe(key)
        },
      ),
    )
  })
})

describe('what was told', () => {
  test('outlives storing: plan and words read back as they were, for every package', () => {
    for (const each of templates) {
      const offer = makeOffer(each, offerInput(), { terms: { discountPercent: 5, depositPercent: 20 } })
      const stored = <T>(value: T) => JSON.parse(JSON.stringify(value))
      expect(planSchema.parse(stored(offer.plan))).toEqual(stored(offer.plan))
      expect(summarySchema.parse(stored(summaryOf(offer)))).toEqual(stored(summaryOf(offer)))
    }
  })
  test('names each panel with its process, what it takes and what it could spare', () => {
    const offer = makeOffer(template('lantern'), offerInput({ thin: ['roof'] }))
    const { panels, left } = summaryOf(offer)
    expect(panels.find(({ id }) => id === 'roof')).toMatchObject({ process: 'leave', takesUm: 0 })
    expect(left).toEqual(['Roof'])
    for (const { takesUm, budgetUm } of panels) expect(takesUm).toBeLessThanOrEqual(budgetUm)
  })
})

test('a sealant is sprayed on and takes a fraction of the time of a coating', () => {
  const layer = (id: string) =>
    makeOffer({ ...template('headland'), layers: [toProductId(id)] }, offerInput()).plan.operations.find(
      ({ kind }) => kind === 'layer',
    )!.minutes
  expect(product('drizzle-sealant').kind).toBe('sealant')
  expect(layer('drizzle-sealant')).toBeLessThan(layer('ebb-single') / 2)
  expect(paintedAreaM2('saloon')).toBeGreaterThan(8)
})
