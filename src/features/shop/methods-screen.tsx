'use client'

import clsx from 'clsx'
import { useState } from 'react'
import type { Refusal } from '@/core/answer'
import { LEAVE, type Method, mildestFirst } from '@/core/correction'
import { keepMethods } from '@/server/shop/method-actions'
import { methodTitle } from '@/text/en/correction'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'
import { MethodForm } from './method-form'
import { SaveBar } from './save-bar'
import { BESIDE, SheetColumn } from './sheet-column'
import { ShopCrumb } from './shop-crumb'
import { readMethod, type TypedMethod, typedMethod } from './typed-method'

const freshKey = (methods: readonly { key: string }[]) => {
  const taken = new Set(methods.map(({ key }) => key))
  let number = methods.length
  while (taken.has(`method-${number}`)) number++
  return `method-${number}`
}

/** The method a refusal is about, and its field. */
function faultIn({ field, message }: Refusal): { at: number; field: string; message: string } | undefined {
  const [, at, rest] = /^methods\.(\d+)\.?(.*)$/.exec(field) ?? []
  return at === undefined ? undefined : { at: Number(at), field: rest ?? '', message }
}

/** How the shop polishes: its methods from the mildest to the strongest, each a list of steps. Kept all together. */
export function MethodsScreen({
  methods: stored,
  version: readAt,
}: {
  methods: readonly Method[]
  version: number
}) {
  const [methods, setMethods] = useState(() =>
    mildestFirst(stored)
      .filter(({ key }) => key !== LEAVE.key)
      .map(typedMethod),
  )
  const [version, setVersion] = useState(readAt)
  const [open, setOpen] = useState(methods[0]?.key)
  const saving = useAction()
  const { run, refusal, clear } = saving
  const fault = refusal && faultIn(refusal)
  const current = (fault && methods[fault.at]) ?? methods.find(({ key }) => key === open) ?? methods[0]
  const change = (next: TypedMethod[]) => {
    setMethods(next)
    clear()
  }
  const copy = (from: TypedMethod) => {
    const key = freshKey(methods)
    const at = methods.indexOf(from)
    const name = `${methodTitle(from)}, copy`
    change(methods.toSpliced(at + 1, 0, { ...from, key, version: 0, name, retired: false }))
    setOpen(key)
  }
  const keep = () =>
    run(keepMethods, { version, methods: methods.map(readMethod) }, (kept) => {
      setVersion(kept.version)
      setMethods(methods.map((each) => typedMethod(kept.methods.find(({ key }) => key === each.key)!)))
    })
  return (
    <div className="mx-auto max-w-6xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Methods</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        How this shop polishes, the mildest first. Plans choose among them panel by panel; a package stops at
        the strongest you name there.
      </p>
      <div className="mt-4 grid gap-6 md:grid-cols-[17rem_minmax(0,1fr)]">
        <nav aria-label="Methods of this shop" className={BESIDE}>
          <ul className="space-y-1.5">
            {methods.map((method) => (
              <li key={method.key}>
                <button
                  type="button"
                  aria-pressed={method === current}
                  className={clsx(
                    'min-h-11 w-full rounded border px-3 py-1.5 text-left font-head font-semibold',
                    method === current
                      ? 'border-fern bg-fern text-on-fern'
                      : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
                  )}
                  onClick={() => setOpen(method.key)}
                >
                  {methodTitle(method)}
                  {method.retired && <span className="block text-sm font-normal">no longer offered</span>}
                </button>
              </li>
            ))}
          </ul>
          {current && (
            <Button look="outline" className="mt-3 w-full" onClick={() => copy(current)}>
              Copy this method
            </Button>
          )}
          <p className="mt-4 text-sm text-ink-soft">
            Agreed jobs keep the method as it was when they were agreed. Changes apply to new plans.
          </p>
        </nav>
        <SheetColumn opened={current?.key}>
          {current && (
            <MethodForm
              key={current.key}
              method={current}
              fault={fault}
              onChange={(next) => change(methods.map((each) => (each === current ? next : each)))}
              {...(current.version === 0
                ? { onRemove: () => change(methods.filter((each) => each !== current)) }
                : {})}
            />
          )}
        </SheetColumn>
      </div>
      <SaveBar saving={saving} onSave={keep} saved="Saved. New plans use them." />
    </div>
  )
}
