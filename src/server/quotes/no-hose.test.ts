import { expect, test } from 'vitest'
import { type JobPlan, makeOffer } from '@/core/offer'
import { answerCaller } from '@/core/planning/caller'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { loadShop, saveSchoolsAndWash, shopVersion } from '../shop/shop-store'
import { loadWash } from '../survey/wash-store'
import { loadWorked } from './offers'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(NOW)

const washOf = ({ stays, operations }: JobPlan) => {
  const wash = operations.find(({ kind }) => kind === 'wash')!
  return { title: wash.title, kind: stays.find((stay) => stay.operations.includes(wash.id))!.kind }
}

test('a shop without a hose plans no wash bay, also for a car whose wash nobody has looked at yet', async () => {
  const plans = async () => {
    const { shop: stood, jobs } = await loadFloor(shop.db, NOW)
    const { job } = jobs.find((each) => !each.agreement && each.surveyed)!
    expect((await loadWash(shop.db, job.id)).findings).toBeUndefined()
    const { input } = await loadWorked(shop.db, stood, job)
    return stood.setup.packages.map((template) => washOf(makeOffer(template, input).plan))
  }
  for (const wash of await plans()) expect(wash).toEqual({ title: { code: 'wash' }, kind: 'wash' })
  const { setup } = await loadShop(shop.db)
  const { school, polishing, sharing, unagreed, sure, inspector, wash } = setup
  const dry = { school, polishing, sharing, unagreed, sure, inspector, wash: { ...wash, hose: false } }
  expect(await saveSchoolsAndWash(shop.db, await shopVersion(shop.db), dry)).toBe(true)
  for (const inside of await plans()) {
    expect(inside.title).toEqual({ code: 'rinseless-wash' })
    expect(inside.kind).not.toBe('wash')
  }

  const asked = { shape: 'hatchback', state: 'usual', packageKey: 'headland', arrive: NOW } as const
  const answer = answerCaller(await loadFloor(shop.db, NOW), asked)
  if (answer.kind !== 'promise') throw new Error(answer.kind)
  expect(washOf(answer.usual.plan).title).toEqual({ code: 'rinseless-wash' })
  const ways = [...answer.sooner.map(({ way }) => way.kind), ...answer.noSooner]
  expect(ways).not.toContain('washed-inside')
})
