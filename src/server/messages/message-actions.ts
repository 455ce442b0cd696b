'use server'

import { z } from 'zod'
import { type Answer, done, type Refusal, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { CHANNELS, LANGUAGES } from '@/core/customer'
import type { VehicleId } from '@/core/ids'
import { aCustomer, aMessage, aVehicle, nothing, version } from '@/core/inputs'
import { fillIn, OCCASIONS, type Proposed, type Template, unknownFacts } from '@/core/messages'
import { CUSTOMER_TAX } from '@/core/offer'
import { SAID_BY } from '@/core/people'
import { climateSetupSchema, quietSchema, type Shop } from '@/core/shop'
import { type Instant, plusMinutes } from '@/core/time'
import { TEMPLATE_ERROR_TEXT } from '@/text/en/messages'
import { dueFacts } from '@/text/messages'
import { defineAction } from '../action/define'
import type { Doing } from '../action/perform'
import { messageGateway } from '../devices'
import { makeOwnerLink, revokeOwnerLink } from '../links/owner-links'
import { mayMakeLink } from '../links/private-links'
import { noteConsent } from '../people/consents'
import { CHANGED_MEANWHILE, loadShop, saveQuietAndClimate } from '../shop/shop-store'
import { findKnown, writeContact } from '../vehicles/vehicle-store'
import { loadTemplates, markRead, saveTemplate, skipMessage, withdrawMessage } from './message-store'
import { emptyOutbox } from './outbox'
import { PAGE_DAYS, PAGE_TO_COME } from './owner-page'
import { proposalsOf, putIntoQueue, writtenOut } from './proposed-messages'

const pagePath = async ({ trx, at }: Doing, vehicleId: VehicleId): Promise<string | undefined> => {
  const token = await makeOwnerLink(trx, vehicleId, at, plusMinutes(at, PAGE_DAYS * 1440))
  return token && `/o/${token}`
}

type Page = { ok: true; value: { page?: string } } | Refusal

/**
 * Where the page of an owner will be, where the words ask for one; its token is put in as the message is handed over, and stands in no message
 * that is kept. Where owners reach the shop is set by whoever runs it: no request may say so.
 */
function pageFor({ caller: { address } }: Doing, { text }: Pick<Template, 'text'>): Page {
  if (!text.includes('{page}')) return { ok: true, value: {} }
  return address
    ? { ok: true, value: { page: `${address}/o/${PAGE_TO_COME}` } }
    : refuse('rule', ask('no-public-address'))
}

async function queueOne(
  doing: Doing,
  shop: Shop,
  proposed: Proposed,
  words: Template,
): Promise<Answer<null>> {
  const { due, customer, vehicle, route } = proposed
  if (route.kind === 'held') return refuse('rule', ask('no-consent'))
  const page = pageFor(doing, words)
  if (!page.ok) return page
  const facts = {
    ...dueFacts(shop.setup.region, proposed.customer.language, due),
    ...page.value,
  }
  const text = writtenOut(words, shop, proposed, facts)
  if (!text.ok) return refuse('rule', text.error.message)
  const queued = await putIntoQueue(
    doing.trx,
    shop,
    { customer, vehicle, key: due.key, occasion: due.occasion, text: text.value },
    doing.at,
  )
  return queued.kind === 'refused' ? refuse('rule', queued.message) : done()
}

/** Puts proposals into the queue: those of these keys that still stand. */
export const queueProposed = defineAction({
  name: 'messages.queue-proposed',
  who: 'desk',
  input: z.strictObject({ keys: z.array(z.string().max(200)).max(5000) }),
  mostInput: 1_000_000,
  write: async (doing, { keys }) => {
    const shop = await loadShop(doing.trx)
    const templateOf = await loadTemplates(doing.trx)
    let queued = 0
    for (const proposed of await proposalsOf(doing.trx, shop, doing.at, new Set(keys))) {
      if (proposed.route.kind === 'held') continue
      const words = templateOf(proposed.due.occasion, proposed.customer.language)
      const answer = await queueOne(doing, shop, proposed, words)
      if (!answer.ok) return answer
      queued++
    }
    return done({ queued })
  },
})

/** A proposal that is not to be sent; it does not come again. */
export const skipProposed = defineAction({
  name: 'messages.skip-proposed',
  who: 'desk',
  input: z.strictObject({ key: z.string().min(1).max(200) }),
  write: async ({ trx, at }, { key }) => {
    await skipMessage(trx, key, at)
    return done()
  },
})

/** Puts a message written by hand into the queue, with the address of the owner's page where it stands for it. */
export const writeToOwner = defineAction({
  name: 'messages.write-to-owner',
  who: 'desk',
  input: z.strictObject({
    /** Made where it is typed: what is tried again after a reload is still the same message. */
    id: z.uuid(),
    vehicleId: aVehicle,
    occasion: z.enum(OCCASIONS),
    subject: z
      .string()
      .trim()
      .min(1, ask('about-what'))
      .max(120, ask('keep-under', { characters: 120 })),
    text: z
      .string()
      .trim()
      .min(1, ask('message-text'))
      .max(1500, ask('keep-under', { characters: 1_500 })),
  }),
  write: async (doing, { id: message, vehicleId, occasion, ...template }) => {
    const shop = await loadShop(doing.trx)
    const known = await findKnown(doing.trx, vehicleId)
    if (!known) return refuse('gone', ask('vehicle-gone'))
    const [unknown] = unknownFacts(template).filter((name) => name !== 'page')
    if (unknown) return refuse('input', TEMPLATE_ERROR_TEXT['unknown-fact'](unknown), 'text')
    const page = pageFor(doing, template)
    if (!page.ok) return page
    const { customer, vehicle } = known
    const facts = {
      name: customer.name,
      car: vehicle.model,
      shop: shop.setup.name,
      ...page.value,
    }
    const text = fillIn(template, facts)
    if (!text.ok) return refuse('input', TEMPLATE_ERROR_TEXT[text.error.code](text.error.name), 'text')
    const queued = await putIntoQueue(
      doing.trx,
      shop,
      { customer, vehicle, key: `by-hand:${message}`, occasion, text: text.value },
      doing.at,
    )
    return queued.kind === 'refused' ? refuse('rule', queued.message) : done()
  },
})

export const withdrawQueued = defineAction({
  name: 'messages.withdraw',
  who: 'desk',
  input: z.strictObject({ id: aMessage }),
  write: async ({ trx }, message) =>
    (await withdrawMessage(trx, message.id)) ? done() : refuse('stale', ask('message-sent')),
})

export const readReply = defineAction({
  name: 'messages.read-reply',
  who: 'desk',
  input: z.strictObject({ id: aMessage }),
  write: async ({ trx, at }, message) => {
    await markRead(trx, message.id, at)
    return done()
  },
})

/**
 * Empties the outbox now and asks what became of what was sent; the shop does the same by itself every few seconds. Says how
 * many went, and in quiet hours until when none does. Each message is claimed and marked by itself, before and after it is
 * handed over: that is done before the transaction of the action, which only remembers that somebody asked for it.
 */
export const sendNow = defineAction({
  name: 'messages.send-now',
  who: 'desk',
  input: nothing,
  prepare: async ({ db, at }) => {
    const {
      region: { timezone: zone },
      quiet,
    } = (await loadShop(db)).setup
    return emptyOutbox(db, messageGateway(), { zone, quiet }, at)
  },
  write: async (_, __, { sent, quietUntil }) =>
    done<{ queued: number; notBefore?: Instant }>({
      queued: sent,
      ...(quietUntil ? { notBefore: quietUntil } : {}),
    }),
})

const occasionAndLanguage = { occasion: z.enum(OCCASIONS), language: z.enum(LANGUAGES) }

/** Keeps the shop's own words for an occasion. */
export const saveWords = defineAction({
  name: 'messages.save-words',
  who: 'manage',
  input: z.strictObject({
    ...occasionAndLanguage,
    subject: z
      .string()
      .trim()
      .min(1, ask('text-subject'))
      .max(120, ask('keep-under', { characters: 120 })),
    text: z
      .string()
      .trim()
      .min(1, ask('text-text'))
      .max(1500, ask('keep-under', { characters: 1_500 })),
  }),
  write: async ({ trx }, { occasion, language, ...template }) => {
    const [unknown] = unknownFacts(template)
    if (unknown) return refuse('input', TEMPLATE_ERROR_TEXT['unknown-fact'](unknown), 'text')
    await saveTemplate(trx, occasion, language, template)
    return done()
  },
})

/** Goes back to the words that ship with the shop. */
export const dropWords = defineAction({
  name: 'messages.drop-words',
  who: 'manage',
  input: z.strictObject(occasionAndLanguage),
  write: async ({ trx }, { occasion, language }) => {
    await saveTemplate(trx, occasion, language, undefined)
    return done()
  },
})

/** Keeps when nobody is written to, and when frost and pollen come. What is queued already keeps its day. */
export const saveTimes = defineAction({
  name: 'messages.save-times',
  who: 'manage',
  input: z.strictObject({ version, quiet: quietSchema, climate: climateSetupSchema }),
  write: async ({ trx }, { version: readAt, ...times }) =>
    (await saveQuietAndClimate(trx, readAt, times))
      ? done({ version: readAt + 1 })
      : refuse('stale', CHANGED_MEANWHILE),
})

/** Keeps how an owner is written to, and whether they may be. */
export const saveContact = defineAction({
  name: 'messages.save-contact',
  who: 'desk',
  input: z.strictObject({
    customerId: aCustomer,
    phone: z
      .string()
      .trim()
      .max(60, ask('keep-under', { characters: 60 })),
    email: z.union([z.literal(''), z.email(ask('an-email')).max(200)]),
    mayRemind: z.boolean(),
    language: z.enum(LANGUAGES),
    writeBy: z.enum(CHANNELS),
    tax: z.enum(CUSTOMER_TAX),
    /** How they said so, where they now say something else about reminders. */
    saidBy: z.enum(SAID_BY).optional(),
  }),
  write: async ({ trx, at, caller }, { customerId, saidBy, ...contact }) => {
    const known = await trx('customers').where({ id: customerId }).whereNull('erased_at').first('may_remind')
    if (!known) return refuse('gone', ask('owner-gone'))
    const given = contact.mayRemind
    if ((known.may_remind === 1) !== given) {
      if (!saidBy) return refuse('input', ask('said-how'), 'saidBy')
      await noteConsent(trx, customerId, { given, channel: saidBy, by: caller.name ?? '' }, at)
    }
    await writeContact(trx, customerId, contact)
    return done()
  },
})

/** A private page for the owner; its address is shown once. */
export const makePage = defineAction({
  name: 'messages.make-page',
  who: 'desk',
  secret: true,
  input: z.strictObject({ vehicleId: aVehicle }),
  write: async (doing, { vehicleId }) => {
    if (!(await mayMakeLink(doing.trx, 'owner_links', { vehicle_id: vehicleId }, doing.at)))
      return refuse('rule', ask('links-most'))
    const path = await pagePath(doing, vehicleId)
    return path ? done({ path: `${doing.caller.address ?? ''}${path}` }) : refuse('gone', ask('vehicle-gone'))
  },
})

export const closePage = defineAction({
  name: 'messages.close-page',
  who: 'desk',
  input: z.strictObject({ hash: z.string().max(128) }),
  write: async ({ trx, at }, { hash }) => {
    await revokeOwnerLink(trx, hash, at)
    return done()
  },
})
