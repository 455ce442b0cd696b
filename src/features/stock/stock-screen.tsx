import clsx from 'clsx'
import type { Region } from '@/core/region'
import type { BottleState, Shelf } from '@/core/stock'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { figure, measured, moment, paperDay, shortDay } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { ScrollStrip } from '@/ui/scroll-strip'
import { BottleActions } from './bottle-actions'
import { Order } from './order'
import { OrderPoint } from './order-point'
import { ReceiveBottles } from './receive-bottles'
import { Stores } from './stores'
import { Supplies } from './supplies'

const STATE_WORDS: Record<BottleState, string> = {
  closed: 'closed',
  open: 'open',
  past: 'expired: do not use on paint; follow the data sheet or dispose of it',
  empty: 'empty',
  gone: 'gone',
}

/** The shelf: what stands there, what the week needs of it, what has to be ordered. */
export function StockScreen({ shelf, region, now }: { shelf: Shelf; region: Region; now: Instant }) {
  const { needs, supplies, until } = shelf
  const kept = needs.filter(({ bottles, coats, reorderMl }) => bottles.length + coats.length + reorderMl > 0)
  const others = needs.filter((need) => !kept.includes(need))
  const short = kept.filter(({ runsOutAt }) => runsOutAt)
  return (
    <div className="mx-auto max-w-5xl p-5">
      <div className="mb-4 flex flex-wrap items-center gap-4">
        <h1 className="text-2xl">Stock</h1>
        <p className="text-ink-soft">Compared with what will be applied until {paperDay(region, until)}</p>
        <ButtonLink look="outline" href="/stock/labels" className="ml-auto">
          Labels to print
        </ButtonLink>
      </div>
      {short.length > 0 && (
        <div role="alert" className="mb-4 border-l-4 border-copper pl-4 text-copper">
          <ul className="space-y-1">
            {short.map(({ product, runsOutAt, neededMl, onShelfMl }) => (
              <li key={product.id}>
                <strong>{product.name}</strong> will run out at “{stepTitle(region, runsOutAt!.title)}” on{' '}
                {runsOutAt!.plate}, {moment(region, runsOutAt!.at, now)}:{' '}
                {measured(region, 'volume', Math.ceil(neededMl - onShelfMl))} short.
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="space-y-4">
        {kept.map((need) => (
          <section key={need.product.id} className="sheet p-4" aria-label={need.product.name}>
            <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
              <h2 className="text-xl">{need.product.name}</h2>
              <Gauge
                region={region}
                onShelf={need.onShelfMl}
                needed={need.neededMl}
                reorder={need.reorderMl}
              />
              <Order
                of={`product:${need.product.id}`}
                name={need.product.name}
                order={need.ordered}
                wanted={need.reorder}
                words="Order more"
              />
              <div className="ml-auto">
                <OrderPoint productId={need.product.id} name={need.product.name} ml={need.reorderMl} />
              </div>
            </div>
            {need.coats.length > 0 && (
              <p className="mt-1 text-sm text-ink-soft">
                To be applied:{' '}
                {need.coats
                  .map(
                    ({ plate, ml, at }) =>
                      `${plate} ${measured(region, 'volume', ml)}, ${moment(region, at, now)}`,
                  )
                  .join(' · ')}
              </p>
            )}
            {need.bottles.length > 0 && (
              <ScrollStrip label={`Bottles of ${need.product.name}`}>
                <table className="mt-2 w-full text-[15px]">
                  <thead className="text-left text-sm text-ink-soft">
                    <tr>
                      <th className="py-1 pr-4 font-normal">Bottle</th>
                      <th className="py-1 pr-4 font-normal">Lot</th>
                      <th className="py-1 text-right font-normal">Left</th>
                      <th className="py-1 pl-6 font-normal">Good until</th>
                      <th className="py-1 font-normal">State</th>
                      <th />
                    </tr>
                  </thead>
                  <tbody>
                    {need.bottles.map((bottle) => (
                      <tr key={bottle.id} className="border-t border-line" data-bottle={bottle.code}>
                        <td className="py-1 pr-4 font-head font-semibold">{bottle.code}</td>
                        <td className="py-1 pr-4 whitespace-nowrap">{bottle.lot}</td>
                        <td className="py-1 text-right whitespace-nowrap">
                          {figure(region, 'volume', bottle.leftMl)} of{' '}
                          {measured(region, 'volume', bottle.fullMl)}
                        </td>
                        <td
                          className={clsx(
                            'py-1 pr-4 pl-6 whitespace-nowrap',
                            bottle.state === 'past' && 'text-copper',
                          )}
                        >
                          {shortDay(region, bottle.goodUntil)}
                        </td>
                        <td className={clsx('py-1', bottle.state === 'past' && 'text-copper')}>
                          {STATE_WORDS[bottle.state]}
                          {bottle.openedOn &&
                            bottle.state === 'open' &&
                            ` since ${shortDay(region, bottle.openedOn)}`}
                        </td>
                        <td className="py-1 text-right">
                          <BottleActions id={bottle.id} code={bottle.code} />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </ScrollStrip>
            )}
          </section>
        ))}
      </div>
      <ReceiveBottles products={[...kept, ...others].map(({ product }) => product)} />
      <Stores stores={shelf.stores} now={now} />
      <Supplies supplies={supplies} pads={shelf.pads} towels={shelf.towels} now={now} />
    </div>
  )
}

/** What stands on the shelf as a bar, with what the week takes of it and the point at which one orders. */
function Gauge({
  region,
  onShelf,
  needed,
  reorder,
}: {
  region: Region
  onShelf: number
  needed: number
  reorder: number
}) {
  const most = Math.max(onShelf, needed, reorder, 1)
  const share = (ml: number) => (180 * ml) / most
  return (
    <p className="flex items-center gap-3">
      <svg viewBox="0 0 184 16" className="w-44" aria-hidden="true">
        <rect x="2" y="5" width={share(onShelf)} height="7" rx="3" className="fill-fern-soft" />
        <rect
          x="2"
          y="5"
          width={share(Math.min(needed, onShelf))}
          height="7"
          rx="3"
          className={needed > onShelf ? 'fill-copper' : 'fill-fern'}
        />
        {reorder > 0 && <path d={`M${2 + share(reorder)},1 V15`} className="stroke-ink" strokeWidth="1.6" />}
      </svg>
      <span>
        {measured(region, 'volume', onShelf)} good, {measured(region, 'volume', needed)} needed
        {needed > 0 && onShelf >= needed && `, ${measured(region, 'volume', onShelf - needed)} left after`}
      </span>
    </p>
  )
}
