'use client'

import type { ProductId } from '@/core/ids'
import { setReorder } from '@/server/stock/stock-actions'
import { measured } from '@/text/formats'
import { useMayDo } from '@/ui/me'
import { useRegion } from '@/ui/region'
import { NumberEditor } from './number-editor'

/** What the shop wants to have left of a product. */
export function OrderPoint({ productId, name, ml }: { productId: ProductId; name: string; ml: number }) {
  const region = useRegion()
  if (!useMayDo('manage')) return null
  return (
    <NumberEditor
      words={ml > 0 ? `Order below ${measured(region, 'volume', ml)}` : 'No order point'}
      label={`${ml > 0 ? `Order below ${measured(region, 'volume', ml)}` : 'No order point'}, ${name}`}
      field="Order below"
      quantity="volume"
      initial={String(ml)}
      action={setReorder}
      input={(typed) => ({ productId, ml: typed })}
    />
  )
}
