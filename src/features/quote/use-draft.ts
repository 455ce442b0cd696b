'use client'

import { useEffect, useMemo, useState } from 'react'
import type { ZodError } from 'zod'
import type { MethodKey } from '@/core/correction'
import type { JobId } from '@/core/ids'
import {
  type AgreedNow,
  type BudgetBuys,
  type Choices,
  type Coming,
  type CustomerTax,
  changeOf,
  choicesSchema,
  chosenOffer,
  EXTRA_KEYS,
  type ExtraKey,
  forBudget,
  includedCount,
  isOtherDay,
  type Offer,
  type OfferInput,
  type PackageTemplate,
  piecesOf,
} from '@/core/offer'
import type { Region } from '@/core/region'
import type { Setup } from '@/core/shop'
import { asked } from '@/text/en/asks'
import { numberOf } from '@/text/typed'
import type { TypedMoment } from '@/ui/moment-input'
import { momentOf, typedAt } from '../typed-moment'
import { quoteDraftKey } from './draft-key'
import { readOneOff, type TypedOneOff, typedOneOff } from './typed-one-off'

/** The next version while it is put together: what is chosen, what is typed, and the offer it comes to. */

export type TypedTerms = { discount: string; deposit: string; days: string; gloss: string; note: string }

/** Coats other than those of the package. */
type Coats = { layers: Choices['layers']; surfaces: Choices['surfaces'] }

/** The first thing that is wrong, in words, and with which field. */
function issueOf({ issues: [issue] }: ZodError, region: Region) {
  return { path: issue!.path, message: asked(region, issue!.message) }
}

type Begin = {
  jobId: JobId
  choices: Choices
  note: string
  fromCurve: boolean
  onFromCurve: () => void
  /** What is agreed, where the draft is a change of it. */
  agreed?: AgreedNow
  customerTax: CustomerTax
  /** When the car was to come, and by when it is wanted. */
  coming: Coming
}

export function useDraft(setup: Setup, input: OfferInput, begin: Begin) {
  const { jobId, fromCurve, onFromCurve, agreed, customerTax } = begin
  const [packageKey, setPackageKey] = useState(begin.choices.packageKey)
  const [processes, setProcesses] = useState(begin.choices.processes)
  const [counts, setCounts] = useState<Partial<Record<ExtraKey, number>>>(
    Object.fromEntries(begin.choices.extras.map(({ key, count }) => [key, count])),
  )
  const [pieces, setPieces] = useState<Partial<Record<ExtraKey, readonly string[]>>>(
    Object.fromEntries(begin.choices.extras.map(({ key, pieces: chosen }) => [key, chosen])),
  )
  const [vendors, setVendors] = useState<readonly string[]>(begin.choices.vendors ?? [])
  const [withoutVendors, setWithoutVendors] = useState<readonly string[]>(begin.choices.withoutVendors ?? [])
  const [coats, setCoats] = useState<Coats>({
    layers: begin.choices.layers,
    surfaces: begin.choices.surfaces,
  })
  const [oneOffs, setOneOffs] = useState<readonly TypedOneOff[]>(
    (begin.choices.oneOffs ?? []).map((line) => typedOneOff(setup.region, line)),
  )
  const [typed, setTyped] = useState<TypedTerms>({
    discount: String(begin.choices.terms.discountPercent),
    deposit: String(begin.choices.terms.depositPercent),
    days: String(begin.choices.terms.validDays),
    gloss: begin.choices.glossGu === undefined ? '' : String(begin.choices.glossGu),
    note: begin.note,
  })
  const [comes, setComes] = useState(typedAt(setup.region, begin.coming.arriveAt))
  const [wantedBy, setWantedBy] = useState<string>(begin.coming.wantedBy ?? '')
  // What was chosen along the curve waits in the session, since it is too long for an address.
  // biome-ignore lint/correctness/useExhaustiveDependencies: read once, when the page opens.
  useEffect(() => {
    const kept = fromCurve ? sessionStorage.getItem(quoteDraftKey(jobId)) : null
    const from = kept
      ? choicesSchema.pick({ packageKey: true, processes: true }).safeParse(JSON.parse(kept))
      : undefined
    if (!from?.success) return
    setPackageKey(from.data.packageKey)
    setProcesses(from.data.processes)
    onFromCurve()
  }, [])

  const template = setup.packages.find(({ key }) => key === packageKey) ?? setup.packages[0]!
  const extras = useMemo(
    () =>
      EXTRA_KEYS.map((key) => {
        const count = counts[key] ?? (template.extras.includes(key) ? includedCount(key, input.proposals) : 0)
        const chosen = piecesOf(
          { key, count, ...(pieces[key] ? { pieces: pieces[key] } : {}) },
          input.proposals,
        )
        return { key, count, ...(chosen.length > 0 ? { pieces: chosen } : {}) }
      }),
    [counts, pieces, template, input.proposals],
  )
  const wanted = {
    packageKey,
    ...(processes ? { processes } : {}),
    extras,
    vendors,
    ...(withoutVendors.length > 0 ? { withoutVendors } : {}),
    ...(coats.layers ? { layers: coats.layers } : {}),
    ...(coats.surfaces ? { surfaces: coats.surfaces } : {}),
    ...(oneOffs.length > 0 ? { oneOffs: oneOffs.map((line) => readOneOff(setup.region, line)) } : {}),
    ...(agreed ? otherDay(setup.region, begin.coming, comes, wantedBy) : {}),
    ...(typed.gloss === '' ? {} : { glossGu: numberOf(typed.gloss) }),
    terms: {
      discountPercent: numberOf(typed.discount),
      depositPercent: numberOf(typed.deposit),
      validDays: numberOf(typed.days),
    },
  }
  const checked = choicesSchema.safeParse(wanted)
  // A change goes on at the pace it was agreed at.
  const known = agreed ? { ...input, pace: agreed.summary.pace } : input
  const offer = checked.success ? chosenOffer(setup.packages, known, checked.data) : undefined
  const charges = { rates: setup.rates, terms: wanted.terms, customerTax }
  const changeWith = (choices: Choices, made: Offer) =>
    agreed &&
    changeOf(
      made,
      { ...agreed, holds: choices.processes !== undefined, otherDay: isOtherDay(choices, begin.coming) },
      charges,
      input.catalogue,
    )
  return {
    packageKey,
    processes,
    typed,
    piecesOf: (key: ExtraKey): readonly string[] => extras.find((each) => each.key === key)?.pieces ?? [],
    vendors,
    extras,
    counts: Object.fromEntries(extras.map(({ key, count }) => [key, count])) as Record<ExtraKey, number>,
    /** What is wrong with it, in words, and with which field. */
    issue: checked.success ? undefined : issueOf(checked.error, setup.region),
    choices: checked.success ? checked.data : undefined,
    /** Undefined while something is wrong, or where a panel can no longer take what was chosen for it. */
    offer,
    /** What it makes of what is agreed; or why it cannot. */
    changed: checked.success && offer ? changeWith(checked.data, offer) : undefined,
    comes,
    setComes,
    wantedBy,
    setWantedBy,
    /** Takes what a budget buys, and gives what that is. */
    buy: (budgetCents: number): BudgetBuys | undefined => {
      if (!checked.success) return undefined
      const bought = forBudget(template, known, budgetCents, (methods) => {
        const choices = { ...checked.data, processes: methods }
        const made = chosenOffer(setup.packages, known, choices)
        const changed = made && changeWith(choices, made)
        if (changed === 'nothing-differs') return agreed?.totalCents
        return typeof changed === 'object' ? changed.price.totalCents : undefined
      })
      if (bought?.kind === 'bought') setProcesses(bought.processes)
      return bought
    },
    template,
    coats: { layers: coats.layers ?? template.layers, surfaces: coats.surfaces ?? template.surfaces },
    oneOffs,
    withoutVendors,
    choosePackage: (key: string) => {
      setPackageKey(key)
      setProcesses(undefined)
      setCoats({ layers: undefined, surfaces: undefined })
      setWithoutVendors([])
    },
    /** Holds one panel to a method, and all others to theirs. */
    chooseMethod: (panel: string, method: MethodKey) =>
      setProcesses({ ...processesOf(offer), ...processes, [panel]: method }),
    /** The method of every panel as it stands. */
    methods: { ...processesOf(offer), ...processes },
    chooseCoats: (change: Partial<PackageTemplate>) => setCoats({ ...coats, ...change }),
    writeOneOffs: setOneOffs,
    forgetProcesses: () => setProcesses(undefined),
    count: (key: ExtraKey, count: number) => setCounts({ ...counts, [key]: count }),
    /** Does an extra to these pieces, and to as many besides as it was. */
    choosePieces: (key: ExtraKey, chosen: readonly string[], count: number) => {
      setPieces({ ...pieces, [key]: chosen })
      setCounts({ ...counts, [key]: count })
    },
    callIn: (id: string, isCalled: boolean) => {
      const [others, without] = [vendors, withoutVendors].map((all) => all.filter((each) => each !== id))
      setVendors(isCalled ? [...others!, id] : others!)
      setWithoutVendors(isCalled || !template.vendors.includes(id) ? without! : [...without!, id])
    },
    type: (change: Partial<TypedTerms>) => setTyped({ ...typed, ...change }),
  }
}

/** The other time at which the car comes, and the other day by which it is wanted; as typed, to be read by the schema. */
function otherDay(region: Region, coming: Coming, comes: TypedMoment, wantedBy: string) {
  const at = momentOf(region, comes)
  return {
    ...(at === coming.arriveAt ? {} : { comesAt: at ?? '' }),
    ...(wantedBy === '' || wantedBy === coming.wantedBy ? {} : { wantedBy }),
  }
}

const processesOf = (offer: Offer | undefined): Record<string, MethodKey> =>
  Object.fromEntries(
    (offer?.correction.panels ?? []).map(({ judged, option }) => [judged.panel.id, option.method.key]),
  )

export type Draft = ReturnType<typeof useDraft>
