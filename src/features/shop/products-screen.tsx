'use client'

import clsx from 'clsx'
import { useState } from 'react'
import type { Refusal } from '@/core/answer'
import { type Product, usualProduct } from '@/core/coating'
import { type Supply, supplyFor } from '@/core/supply'
import { keepProducts } from '@/server/shop/product-actions'
import { PRODUCT_KIND_NAME } from '@/text/en/products'
import { sentence } from '@/text/en/sentence'
import { spelt } from '@/text/en/spelling'
import { SUPPLY_NAME } from '@/text/en/supplies'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { ProductForm } from './product-form'
import { SaveBar } from './save-bar'
import { BESIDE, SheetColumn } from './sheet-column'
import { ShopCrumb } from './shop-crumb'
import { SupplyForm } from './supply-form'
import {
  readProduct,
  readSupply,
  type TypedProduct,
  type TypedSupply,
  typedProduct,
  typedSupply,
} from './typed-product'

const freshId = (taken: readonly { id: string }[]) => {
  let number = taken.length + 1
  while (taken.some(({ id }) => id === `product-${number}`)) number++
  return `product-${number}`
}

type Fault = { list: 'catalogue' | 'supplies'; at: number; field: string; message: string }

/** The sheet a refusal is about, and its field. */
function faultIn({ field, message }: Refusal): Fault | undefined {
  const [, list, at, rest] = /^(catalogue|supplies)\.(\d+)\.?(.*)$/.exec(field) ?? []
  return at === undefined
    ? undefined
    : { list: list as Fault['list'], at: Number(at), field: rest ?? '', message }
}

/** Everything the shop applies, washes and polishes with: a data sheet each. Kept all together. */
export function ProductsScreen({
  catalogue: storedCatalogue,
  supplies: storedSupplies,
  version: readAt,
}: {
  catalogue: readonly Product[]
  supplies: readonly Supply[]
  version: number
}) {
  const region = useRegion()
  const [products, setProducts] = useState(() => storedCatalogue.map((each) => typedProduct(region, each)))
  const [supplies, setSupplies] = useState(() => storedSupplies.map(typedSupply))
  const [version, setVersion] = useState(readAt)
  const [open, setOpen] = useState<string>(storedCatalogue[0]!.id)
  const saving = useAction()
  const { run, refusal, clear } = saving
  const fault = refusal && faultIn(refusal)
  const faulty = fault && { catalogue: products, supplies }[fault.list][fault.at]?.id
  const shown = faulty ?? open
  const product = products.find(({ id }) => id === shown)
  const supply = supplies.find(({ id }) => id === shown)
  const changeProducts = (next: TypedProduct[]) => {
    setProducts(next)
    clear()
  }
  const changeSupplies = (next: TypedSupply[]) => {
    setSupplies(next)
    clear()
  }
  const addProduct = () => {
    const id = freshId(products)
    changeProducts([...products, { ...typedProduct(region, usualProduct(id, 'single')), version: 0 }])
    setOpen(id)
  }
  const addSupply = () => {
    const id = `${freshId(supplies)}-wash`
    changeSupplies([...supplies, { ...typedSupply(supplyFor([], 'shampoo')), id, version: 0 }])
    setOpen(id)
  }
  const keep = () =>
    run(
      keepProducts,
      {
        version,
        catalogue: products.map((each) => {
          const sheet = readProduct(region, each)
          return { ...sheet, version: Math.max(1, sheet.version) }
        }),
        supplies: supplies.map(readSupply),
      },
      (kept) => {
        setVersion(kept.version)
        setProducts(kept.catalogue.map((each) => typedProduct(region, each)))
        setSupplies(kept.supplies.map(typedSupply))
      },
    )
  const supplyTitle = ({ name, kind }: Pick<Supply, 'name' | 'kind'>) =>
    name || sentence(spelt(region, SUPPLY_NAME[kind]))
  return (
    <div className="mx-auto max-w-6xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Products</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        A data sheet for everything that is applied, washed or polished with. Plans, windows, mixes and clocks
        follow it.
      </p>
      <div className="mt-4 grid gap-6 md:grid-cols-[17rem_minmax(0,1fr)]">
        <nav aria-label="Products of this shop" className={clsx('space-y-5', BESIDE)}>
          <Sheets
            title="Coatings, sealants, toppers"
            add="Add a coating or sealant"
            onAdd={addProduct}
            items={products.map(({ id, name, kind, retired }) => ({
              id,
              name: name || 'New product',
              kind: retired ? 'no longer used' : PRODUCT_KIND_NAME[kind],
            }))}
            open={shown}
            onOpen={setOpen}
          />
          <Sheets
            title="For washing and polishing"
            add="Add a wash or polish"
            onAdd={addSupply}
            items={supplies.map((each) => ({
              id: each.id,
              name: supplyTitle(each),
              kind: each.retired
                ? 'no longer used'
                : each.name
                  ? sentence(spelt(region, SUPPLY_NAME[each.kind]))
                  : '',
            }))}
            open={shown}
            onOpen={setOpen}
          />
          <p className="text-sm text-ink-soft">
            What was applied by a sheet goes on by it. Changes apply to new plans.
          </p>
        </nav>
        <SheetColumn opened={shown}>
          {product && (
            <ProductForm
              key={product.id}
              product={product}
              fault={fault}
              onChange={(next) => changeProducts(products.map((each) => (each === product ? next : each)))}
              {...(product.version === 0
                ? { onRemove: () => changeProducts(products.filter((each) => each !== product)) }
                : {})}
            />
          )}
          {supply && (
            <SupplyForm
              key={supply.id}
              supply={supply}
              fault={fault}
              onChange={(next) => changeSupplies(supplies.map((each) => (each === supply ? next : each)))}
              {...(supply.version === 0
                ? { onRemove: () => changeSupplies(supplies.filter((each) => each !== supply)) }
                : {})}
            />
          )}
        </SheetColumn>
      </div>
      <SaveBar saving={saving} onSave={keep} saved="Saved. New plans use them." />
    </div>
  )
}

function Sheets({
  title,
  items,
  open,
  add,
  onOpen,
  onAdd,
}: {
  title: string
  items: readonly { id: string; name: string; kind: string }[]
  open: string | undefined
  add: string
  onOpen: (id: string) => void
  onAdd: () => void
}) {
  return (
    <section aria-label={title}>
      <h2 className="mb-2 text-lg">{title}</h2>
      <ul className="space-y-1.5">
        {items.map(({ id, name, kind }) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={id === open}
              className={clsx(
                'min-h-11 w-full rounded border px-3 py-1.5 text-left font-head font-semibold leading-tight',
                id === open
                  ? 'border-fern bg-fern text-on-fern'
                  : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
              )}
              onClick={() => onOpen(id)}
            >
              {name}
              {kind && <span className="block text-sm font-normal">{kind}</span>}
            </button>
          </li>
        ))}
      </ul>
      <Button look="outline" className="mt-2 w-full" onClick={onAdd}>
        {add}
      </Button>
    </section>
  )
}
