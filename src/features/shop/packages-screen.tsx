'use client'

import clsx from 'clsx'
import { useState } from 'react'
import type { Refusal } from '@/core/answer'
import type { Product } from '@/core/coating'
import type { Method } from '@/core/correction'
import { NO_PITCH, type PackageTemplate, type Vendor } from '@/core/offer'
import type { Region } from '@/core/region'
import { keepPackages } from '@/server/shop/package-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'
import { PackageForm } from './package-form'
import { SaveBar } from './save-bar'
import { BESIDE, SheetColumn } from './sheet-column'
import { ShopCrumb } from './shop-crumb'

type Props = {
  packages: readonly PackageTemplate[]
  catalogue: readonly Product[]
  vendors: readonly Vendor[]
  methods: readonly Method[]
  version: number
  region: Region
}

const freshKey = (packages: readonly PackageTemplate[]) => {
  const taken = new Set(packages.map(({ key }) => key))
  let number = packages.length + 1
  while (taken.has(`package-${number}`)) number++
  return `package-${number}`
}

/** The package a refusal is about, and its field. */
function faultIn({ field, message }: Refusal): { at: number; field: string; message: string } | undefined {
  const [, at, rest] = /^packages\.(\d+)\.?(.*)$/.exec(field) ?? []
  return at === undefined ? undefined : { at: Number(at), field: rest ?? '', message }
}

/** What the shop sells: each package as a list of what is done, applied and brought in. Kept all together. */
export function PackagesScreen({
  packages: stored,
  catalogue,
  vendors,
  methods,
  version: readAt,
  region,
}: Props) {
  const [packages, setPackages] = useState(stored)
  const [version, setVersion] = useState(readAt)
  const [open, setOpen] = useState(stored[0]!.key)
  const [removed, setRemoved] = useState<{ template: PackageTemplate; at: number }>()
  const saving = useAction()
  const { run, refusal, clear } = saving
  const fault = refusal && faultIn(refusal)
  // What is wrong with one package is shown with that package open.
  const current = (fault && packages[fault.at]) ?? packages.find(({ key }) => key === open) ?? packages[0]
  const change = (next: readonly PackageTemplate[]) => {
    setPackages(next)
    clear()
  }
  const add = () => {
    const key = freshKey(packages)
    change([
      ...packages,
      { ...(current ?? stored[0]!), key, name: '', pitch: NO_PITCH, vendors: [], extras: [] },
    ])
    setOpen(key)
  }
  const remove = (template: PackageTemplate) => {
    setRemoved({ template, at: packages.indexOf(template) })
    change(packages.filter((each) => each !== template))
  }
  const move = (template: PackageTemplate, by: number) => {
    const at = packages.indexOf(template)
    change(packages.filter((each) => each !== template).toSpliced(at + by, 0, template))
  }
  const keep = () =>
    run(keepPackages, { version, packages: [...packages] }, (kept) => setVersion(kept.version))
  return (
    <div className="mx-auto max-w-6xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Packages</h1>
      <div className="mt-4 grid gap-6 md:grid-cols-[16rem_minmax(0,1fr)]">
        <nav aria-label="Packages of this shop" className={BESIDE}>
          <ul className="space-y-1.5">
            {packages.map((template, at) => (
              <li key={template.key} className="flex items-center gap-1">
                <button
                  type="button"
                  aria-pressed={template === current}
                  className={clsx(
                    'min-h-11 grow rounded border px-3 py-1.5 text-left font-head font-semibold',
                    template === current
                      ? 'border-fern bg-fern text-on-fern'
                      : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
                  )}
                  onClick={() => setOpen(template.key)}
                >
                  {template.name.trim() || 'A new package'}
                </button>
                <button
                  type="button"
                  aria-label={`${template.name || 'A new package'} one place up`}
                  disabled={at === 0}
                  className="size-11 rounded border border-ink-soft/45 bg-sheet hover:bg-lichen disabled:opacity-40"
                  onClick={() => move(template, -1)}
                >
                  ↑
                </button>
              </li>
            ))}
          </ul>
          <Button look="outline" className="mt-3 w-full" onClick={add}>
            Add package
          </Button>
          {removed && (
            <p className="mt-3 text-sm" role="status">
              {removed.template.name || 'A new package'} is removed.{' '}
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => {
                  change(packages.toSpliced(removed.at, 0, removed.template))
                  setOpen(removed.template.key)
                  setRemoved(undefined)
                }}
              >
                Undo
              </button>
            </p>
          )}
          <p className="mt-4 text-sm text-ink-soft">
            Existing quotes and jobs keep their terms. Changes apply to new ones.
          </p>
        </nav>
        <SheetColumn opened={current?.key}>
          {current && (
            <PackageForm
              key={current.key}
              template={current}
              catalogue={catalogue}
              vendors={vendors}
              methods={methods}
              region={region}
              fault={fault}
              onChange={(next) => change(packages.map((each) => (each === current ? next : each)))}
              {...(packages.length > 1 ? { onRemove: () => remove(current) } : {})}
            />
          )}
        </SheetColumn>
      </div>
      <SaveBar saving={saving} onSave={keep} saved="Saved. New plans offer them." />
    </div>
  )
}
