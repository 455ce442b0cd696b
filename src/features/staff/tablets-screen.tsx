import { Link } from '@/ui/link'
import { ShopCrumb } from '../shop/shop-crumb'
import { DeviceList, type DeviceRow } from './device-list'
import { PairAnother, type Reached } from './pair-another'

type Props = { isOpen: boolean; devices: readonly DeviceRow[]; isPaired: boolean; reached: Reached }

/** The shop’s own tablets and screens, and how another becomes one. */
export function TabletsScreen({ isOpen, devices, isPaired, reached }: Props) {
  return (
    <div className="mx-auto max-w-5xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Tablets and screens</h1>
      {isOpen ? (
        <p className="mt-3 max-w-2xl">
          Nobody signs in yet, so there is nothing to pair. <Link href="/shop/staff">Set up the owner</Link>{' '}
          first.
        </p>
      ) : (
        <>
          <section className="mt-3 space-y-3">
            <h2 className="sr-only">Those the shop has</h2>
            <DeviceList devices={devices} isPaired={isPaired} />
          </section>
          <section className="mt-8 space-y-4">
            <h2 className="text-xl">Pair another</h2>
            <PairAnother reached={reached} />
          </section>
        </>
      )}
    </div>
  )
}
