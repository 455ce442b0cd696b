import type { TradeProposal, Vendor } from '@/core/offer'
import { tradeProposalText } from '@/text/en/offer'
import { tradeName } from '@/text/en/step-names'
import { useRegion } from '@/ui/region'

type Props = {
  vendors: readonly Vendor[]
  /** Whom the package brings, and who comes beside them. */
  called: readonly string[]
  proposals: readonly TradeProposal[]
  onChange: (id: string, isCalled: boolean) => void
}

/** Whom the shop calls in for this car; those it asks for first, with the reason. */
export function CalledIn({ vendors, called, proposals, onChange }: Props) {
  const region = useRegion()
  const asked = new Map(proposals.map((proposal) => [proposal.trade, proposal]))
  const others = vendors.toSorted((a, b) => Number(asked.has(b.trade)) - Number(asked.has(a.trade)))
  if (others.length === 0) return null
  return (
    <fieldset>
      <legend className="mb-1 font-head text-sm font-semibold">Called in</legend>
      <ul className="divide-y divide-line">
        {others.map(({ id, name, trade }) => {
          const proposal = asked.get(trade)
          return (
            <li key={id}>
              <label className="flex min-h-11 items-center justify-between gap-2 py-1">
                <span className="text-[15px] leading-tight">
                  {tradeName(trade)}: {name}
                  {proposal && (
                    <span className="block text-sm text-ink-soft">{tradeProposalText(region, proposal)}</span>
                  )}
                </span>
                <input
                  type="checkbox"
                  className="m-2.5 size-6 shrink-0 accent-fern"
                  checked={called.includes(id)}
                  onChange={(event) => onChange(id, event.target.checked)}
                />
              </label>
            </li>
          )
        })}
      </ul>
    </fieldset>
  )
}
