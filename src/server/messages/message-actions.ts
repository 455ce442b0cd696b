'use server'

import { revalidatePath } from 'next/cache'
import { headers } from 'next/headers'
import { z } from 'zod'
import { CHANNELS, fillIn, LANGUAGES, OCCASIONS, TEMPLATE_ERROR_TEXT, unknownFacts } from '@/core/messages'
import { climateSetupSchema, quietSchema, type Shop } from '@/core/shop'
import { type Instant, plusMinutes } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
import { makeOwnerLink, revokeOwnerLink } from '../links/owner-links'
import { loadShop, saveQuietAndClimate, shopVersion } from '../shop/shop-store'
import { findKnown, writeContact } from '../vehicles/vehicle-store'
import { messageGateway } from './gateway'
import { markRead, saveTemplate, skipMessage, withdrawMessage } from './message-store'
import { emptyOutbox } from './outbox'
import { type Proposed, proposalsOf, putIntoQueue, writeOut } from './proposed-messages'

export type MessageAnswer =
  | { kind: 'done'; queued?: number; notBefore?: Instant }
  | { kind: 'refused'; field: string; message: string }

const refuse = (message: string, field = ''): MessageAnswer => ({ kind: 'refused', field, message })

function settled(more: { queued?: number; notBefore?: Instant } = {}): MessageAnswer {
  revalidatePath('/', 'layout')
  return { kind: 'done', ...more }
}

/** A page that a message leads to is good for so long, days (mem). */
const PAGE_DAYS = 180

async function addressOf(path: string): Promise<string> {
  const head = await headers()
  const host = head.get('x-forwarded-host') ?? head.get('host') ?? 'localhost'
  return `${head.get('x-forwarded-proto') ?? 'http'}://${host}${path}`
}

/** A new private page of a vehicle for its owner, as a whole address. */
async function pageFor(vehicleId: string): Promise<string | undefined> {
  const at = now()
  const token = await makeOwnerLink(await database(), vehicleId, at, plusMinutes(at, PAGE_DAYS * 1440))
  return token && addressOf(`/o/${token}`)
}

async function queueOne(shop: Shop, proposed: Proposed): Promise<MessageAnswer> {
  const db = await database()
  const { due, customer, vehicle, route } = proposed
  if (route.kind === 'held') return refuse('Consent or address is missing.')
  const page = await pageFor(vehicle.id)
  const text = await writeOut(db, shop, due.occasion, proposed, { ...due.facts, ...(page ? { page } : {}) })
  if (!text.ok) return refuse(text.error.message)
  const queued = await putIntoQueue(
    db,
    shop,
    { customer, vehicle, key: due.key, occasion: due.occasion, text: text.value },
    now(),
  )
  return queued.kind === 'refused' ? refuse(queued.message) : { kind: 'done', queued: 1 }
}

/** Puts proposals into the queue: those of these keys that still stand. */
export async function queueProposed(keys: readonly string[]): Promise<MessageAnswer> {
  const db = await database()
  const shop = await loadShop(db)
  const wanted = new Set(z.array(z.string()).max(5000).parse(keys))
  let queued = 0
  for (const proposed of await proposalsOf(db, shop, now(), wanted)) {
    if (proposed.route.kind === 'held') continue
    const answer = await queueOne(shop, proposed)
    if (answer.kind === 'refused') return answer
    queued++
  }
  return settled({ queued })
}

/** A proposal that is not to be sent; it does not come again. */
export async function skipProposed(key: string): Promise<MessageAnswer> {
  await skipMessage(await database(), z.string().min(1).parse(key), now())
  return settled()
}

const byHandSchema = z.strictObject({
  /** Made where it is typed, so that a second click sends no second message. */
  id: z.uuid(),
  vehicleId: z.string(),
  occasion: z.enum(OCCASIONS),
  subject: z
    .string()
    .trim()
    .min(1, 'Write what it is about.')
    .max(120, 'Keep the subject under 120 characters.'),
  text: z.string().trim().min(1, 'Write what you want to say.').max(1500, 'Keep it under 1,500 characters.'),
})
export type TypedMessage = z.input<typeof byHandSchema>

/** Puts a message written by hand into the queue, with the address of the owner's page where it stands for it. */
export async function writeToOwner(typed: TypedMessage): Promise<MessageAnswer> {
  const read = byHandSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, String(issue!.path.at(-1) ?? ''))
  }
  const { id, vehicleId, occasion, ...template } = read.data
  const db = await database()
  const shop = await loadShop(db)
  const known = await findKnown(db, vehicleId)
  if (!known) return refuse('This vehicle is no longer there. Go back to the list.')
  const [unknown] = unknownFacts(template).filter((name) => name !== 'page')
  if (unknown) return refuse(TEMPLATE_ERROR_TEXT['unknown-fact'](unknown), 'text')
  const needsPage = template.text.includes('{page}')
  const page = needsPage ? await pageFor(vehicleId) : undefined
  const { customer, vehicle } = known
  const facts = { name: customer.name, car: vehicle.model, shop: shop.setup.name, ...(page ? { page } : {}) }
  const text = fillIn(template, facts, customer.language)
  if (!text.ok) return refuse(TEMPLATE_ERROR_TEXT[text.error.code](text.error.name), 'text')
  const queued = await putIntoQueue(
    db,
    shop,
    { customer, vehicle, key: `by-hand:${id}`, occasion, text: text.value },
    now(),
  )
  if (queued.kind === 'refused') return refuse(queued.message)
  return settled(queued.kind === 'queued' ? { notBefore: queued.notBefore } : {})
}

export async function withdrawQueued(id: string): Promise<MessageAnswer> {
  return (await withdrawMessage(await database(), id))
    ? settled()
    : refuse('It is on its way already and cannot be called back.')
}

export async function readReply(id: string): Promise<MessageAnswer> {
  await markRead(await database(), id, now())
  return settled()
}

/**
 * Empties the outbox now and asks what became of what was sent; the shop does the same by itself every few seconds. Says how
 * many went, and in quiet hours until when none does.
 */
export async function sendNow(): Promise<MessageAnswer> {
  const db = await database()
  const { timezone: zone, quiet } = (await loadShop(db)).setup
  const { sent, quietUntil } = await emptyOutbox(db, messageGateway(), { zone, quiet }, now())
  return settled({ queued: sent, ...(quietUntil ? { notBefore: quietUntil } : {}) })
}

const wordsSchema = z.strictObject({
  occasion: z.enum(OCCASIONS),
  language: z.enum(LANGUAGES),
  subject: z.string().trim().min(1, 'Write a subject.').max(120, 'Keep the subject under 120 characters.'),
  text: z.string().trim().min(1, 'Write a text.').max(1500, 'Keep it under 1,500 characters.'),
})

/** Keeps the shop's own words for an occasion. */
export async function saveWords(typed: z.input<typeof wordsSchema>): Promise<MessageAnswer> {
  const read = wordsSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, String(issue!.path.at(-1) ?? ''))
  }
  const { occasion, language, ...template } = read.data
  const [unknown] = unknownFacts(template)
  if (unknown) return refuse(TEMPLATE_ERROR_TEXT['unknown-fact'](unknown), 'text')
  await saveTemplate(await database(), occasion, language, template)
  return settled()
}

const timesSchema = z.strictObject({ quiet: quietSchema, climate: climateSetupSchema })
export type TypedTimes = z.input<typeof timesSchema>

/** Keeps when nobody is written to, and when frost and pollen come. What is queued already keeps its day. */
export async function saveTimes(typed: TypedTimes): Promise<MessageAnswer> {
  const read = timesSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, issue!.path.join('.'))
  }
  const db = await database()
  return (await saveQuietAndClimate(db, await shopVersion(db), read.data))
    ? settled()
    : refuse('Somebody has changed the shop’s set-up meanwhile. Reload the page and look again.')
}

/** Goes back to the words that ship with the shop. */
export async function dropWords(occasion: string, language: string): Promise<MessageAnswer> {
  await saveTemplate(
    await database(),
    z.enum(OCCASIONS).parse(occasion),
    z.enum(LANGUAGES).parse(language),
    undefined,
  )
  return settled()
}

const contactSchema = z.strictObject({
  phone: z.string().trim().max(60, 'Keep the number under 60 characters.'),
  email: z.union([z.literal(''), z.email('This is no e-mail address. Correct it, or leave it empty.')]),
  mayRemind: z.boolean(),
  language: z.enum(LANGUAGES),
  writeBy: z.enum(CHANNELS),
})
export type TypedContact = z.input<typeof contactSchema>

/** Keeps how an owner is written to, and whether they may be. */
export async function saveContact(customerId: string, typed: TypedContact): Promise<MessageAnswer> {
  const read = contactSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refuse(issue!.message, String(issue!.path.at(-1) ?? ''))
  }
  return (await writeContact(await database(), customerId, read.data))
    ? settled()
    : refuse('This owner is no longer there. Reload the page.')
}

/** A private page for the owner; its address is shown once. */
export async function makePage(vehicleId: string): Promise<{ address: string } | { message: string }> {
  const address = await pageFor(vehicleId)
  revalidatePath('/', 'layout')
  return address ? { address } : { message: 'This vehicle is no longer there. Go back to the list.' }
}

export async function closePage(hash: string): Promise<void> {
  await revokeOwnerLink(await database(), hash, now())
  revalidatePath('/', 'layout')
}
