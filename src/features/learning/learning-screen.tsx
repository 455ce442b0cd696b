import clsx from 'clsx'
import type { ReactNode } from 'react'
import type { PaceChange } from '@/core/learning'
import { type Learned, PERIODS, type Period } from '@/core/learning'
import type { Region } from '@/core/region'
import type { Costs } from '@/core/shop'
import { ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { BayChart } from './bay-chart'
import { ClearingChart } from './clearing-chart'
import { CostsForm } from './costs-form'
import { DepthTable } from './depth-table'
import { EarningsSheet } from './earnings-sheet'
import { HoursChart } from './hours-chart'
import { OnTimeChart } from './on-time-chart'
import { PaceTable } from './pace-table'
import { PanelChart } from './panel-chart'
import { ProductChart } from './product-chart'
import { SpreadTable } from './spread-table'

type Props = {
  /** How long coatings really hold, from all inspections ever. */
  held: ReactNode
  learned: Learned
  period: Period
  changes: readonly PaceChange[]
  costs: Costs
  region: Region
  version: number
}

/** What finished jobs teach: what each package earns, where the hours go, how the table of minutes should change. */
export function LearningScreen({ held, learned, period, changes, costs, region, version }: Props) {
  return (
    <div className="mx-auto max-w-6xl p-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-3xl">What the shop has learned</h1>
          <p className="mt-1 text-ink-soft">
            {learned.jobs === 0
              ? 'From no job yet.'
              : `From the ${learned.jobs} cars handed over in the last ${period} months.`}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-1.5">
          <nav aria-label="How far back" className="flex gap-1.5">
            {PERIODS.map((each) => (
              <Link
                key={each}
                href={`/learning?months=${each}`}
                aria-current={each === period ? 'page' : undefined}
                className={clsx(
                  'flex min-h-11 items-center rounded border px-3 no-underline',
                  each === period
                    ? 'border-fern bg-fern text-on-fern'
                    : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
                )}
              >
                {each} months
              </Link>
            ))}
          </nav>
          <ButtonLink look="quiet" href="/shop/what-if">
            What would it buy?
          </ButtonLink>
          <ButtonLink look="quiet" href="/practice">
            Practice panel
          </ButtonLink>
        </div>
      </div>
      {learned.jobs === 0 ? (
        <p className="mt-8 max-w-prose text-lg">
          Every job teaches something as it is handed over: hours against the plan, defects removed against
          the promise, product used, punctuality, and what was earned. The first one appears here.
        </p>
      ) : (
        <>
          <Part title="What an hour in the bay earns" table="packages" period={period}>
            <EarningsSheet packages={learned.packages} costs={costs} region={region} />
            <CostsForm costs={costs} region={region} version={version} />
          </Part>
          <Part title="Hours, planned and real" table="hours" period={period}>
            <HoursChart work={learned.work} />
          </Part>
          <Part title="Our pace against standard times" table="pace" period={period}>
            <PaceTable pace={learned.pace} changes={changes} months={period} region={region} />
          </Part>
          <Part title="How much it varies" table="spreads" period={period}>
            <SpreadTable spreads={learned.spreads} months={period} region={region} />
          </Part>
          <Part title="Panel by panel" table="panels" period={period}>
            <PanelChart panels={learned.panels} />
          </Part>
          <Part title="How deep marks lie" table="depths" period={period}>
            <DepthTable depths={learned.depths} changes={changes} months={period} region={region} />
          </Part>
          <div className="grid gap-x-10 lg:grid-cols-2">
            <Part title="Correction achieved against estimate" table="clearing" period={period}>
              <ClearingChart clearing={learned.clearing} />
            </Part>
            <Part title="Product a car" table="products" period={period}>
              <ProductChart products={learned.products} />
            </Part>
            <Part title="Finished by the promise" table="on-time" period={period}>
              <OnTimeChart months={learned.onTime} />
            </Part>
            <Part title="How full the bays are" table="bays" period={period}>
              <BayChart bays={learned.bays} region={region} />
            </Part>
          </div>
        </>
      )}
      <section className="mt-10">
        <h2 className="mb-3 border-b border-line pb-1 text-2xl">How long coatings really hold</h2>
        {held}
      </section>
    </div>
  )
}

type PartProps = { title: string; table: string; period: Period; children: ReactNode }

function Part({ title, table, period, children }: PartProps) {
  return (
    <section className="mt-10">
      <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3 border-b border-line pb-1">
        <h2 className="text-2xl">{title}</h2>
        <a href={`/learning/csv/${table}.csv?months=${period}`} download className="text-sm">
          Table (.csv)
        </a>
      </div>
      {children}
    </section>
  )
}
