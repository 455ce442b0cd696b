'use client'

import { useEffect, useMemo, useState } from 'react'
import type { ZodError } from 'zod'
import type { JobId } from '@/core/ids'
import {
  type Choices,
  choicesSchema,
  chosenOffer,
  EXTRA_KEYS,
  type ExtraKey,
  includedCount,
  type OfferInput,
  piecesOf,
} from '@/core/offer'
import type { Region } from '@/core/region'
import type { Setup } from '@/core/shop'
import { asked } from '@/text/en/asks'
import { numberOf } from '@/text/typed'
import { quoteDraftKey } from './draft-key'

/** The next version while it is put together: what is chosen, what is typed, and the offer it comes to. */

export type TypedTerms = { discount: string; deposit: string; days: string; gloss: string; note: string }

/** The first thing that is wrong, in words, and with which field. */
function issueOf({ issues: [issue] }: ZodError, region: Region) {
  return { path: issue!.path, message: asked(region, issue!.message) }
}

type Begin = { jobId: JobId; choices: Choices; note: string; fromCurve: boolean; onFromCurve: () => void }

export function useDraft(setup: Setup, input: OfferInput, begin: Begin) {
  const { jobId, fromCurve, onFromCurve } = begin
  const [packageKey, setPackageKey] = useState(begin.choices.packageKey)
  const [processes, setProcesses] = useState(begin.choices.processes)
  const [counts, setCounts] = useState<Partial<Record<ExtraKey, number>>>(
    Object.fromEntries(begin.choices.extras.map(({ key, count }) => [key, count])),
  )
  const [pieces, setPieces] = useState<Partial<Record<ExtraKey, readonly string[]>>>(
    Object.fromEntries(begin.choices.extras.map(({ key, pieces: chosen }) => [key, chosen])),
  )
  const [vendors, setVendors] = useState<readonly string[]>(begin.choices.vendors ?? [])
  const [typed, setTyped] = useState<TypedTerms>({
    discount: String(begin.choices.terms.discountPercent),
    deposit: String(begin.choices.terms.depositPercent),
    days: String(begin.choices.terms.validDays),
    gloss: begin.choices.glossGu === undefined ? '' : String(begin.choices.glossGu),
    note: begin.note,
  })
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
    ...(typed.gloss === '' ? {} : { glossGu: numberOf(typed.gloss) }),
    terms: {
      discountPercent: numberOf(typed.discount),
      depositPercent: numberOf(typed.deposit),
      validDays: numberOf(typed.days),
    },
  }
  const checked = choicesSchema.safeParse(wanted)
  return {
    packageKey,
    processes,
    typed,
    piecesOf: (key: ExtraKey): readonly string[] => extras.find((each) => each.key === key)?.pieces ?? [],
    vendors,
    counts: Object.fromEntries(extras.map(({ key, count }) => [key, count])) as Record<ExtraKey, number>,
    /** What is wrong with it, in words, and with which field. */
    issue: checked.success ? undefined : issueOf(checked.error, setup.region),
    choices: checked.success ? checked.data : undefined,
    /** Undefined while something is wrong, or where a panel can no longer take what was chosen for it. */
    offer: checked.success ? chosenOffer(setup.packages, input, checked.data) : undefined,
    choosePackage: (key: string) => {
      setPackageKey(key)
      setProcesses(undefined)
    },
    forgetProcesses: () => setProcesses(undefined),
    count: (key: ExtraKey, count: number) => setCounts({ ...counts, [key]: count }),
    /** Does an extra to these pieces, and to as many besides as it was. */
    choosePieces: (key: ExtraKey, chosen: readonly string[], count: number) => {
      setPieces({ ...pieces, [key]: chosen })
      setCounts({ ...counts, [key]: count })
    },
    callIn: (id: string, isCalled: boolean) => {
      const others = vendors.filter((each) => each !== id)
      setVendors(isCalled ? [...others, id] : others)
    },
    type: (change: Partial<TypedTerms>) => setTyped({ ...typed, ...change }),
  }
}

export type Draft = ReturnType<typeof useDraft>
