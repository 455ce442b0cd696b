import { EXTRA, EXTRA_KEYS, type ExtraKey, type ExtraProposal, extraApplies } from '@/core/offer'
import type { Shape } from '@/core/vehicle'
import { proposalText } from '@/text/en/offer'
import { extraName } from '@/text/en/step-names'
import { placeName } from '@/text/panels'
import { useRegion } from '@/ui/region'

type Props = {
  shape: Shape
  counts: Readonly<Record<ExtraKey, number>>
  piecesOf: (key: ExtraKey) => readonly string[]
  proposals: readonly ExtraProposal[]
  onPieces: (key: ExtraKey, pieces: readonly string[], count: number) => void
  onChange: (key: ExtraKey, count: number) => void
}

/** Extras by the panel or the piece; what the walk-round asks for stands first, with where it was seen. */
export function ExtraCounts({ shape, counts, piecesOf, proposals, onPieces, onChange }: Props) {
  const region = useRegion()
  const proposed = new Map(proposals.map((proposal) => [proposal.key, proposal]))
  const keys = EXTRA_KEYS.filter((key) => extraApplies(key, shape)).sort(
    (a, b) => Number(proposed.has(b)) - Number(proposed.has(a)),
  )
  return (
    <fieldset>
      <legend className="mb-1 font-head text-sm font-semibold">Extras</legend>
      <ul className="divide-y divide-line">
        {keys.map((key) => {
          const { unit } = EXTRA[key]
          const name = extraName(key)
          const asked = proposed.get(key)
          return (
            <li key={key} className="py-1">
              <div className="flex items-center justify-between gap-2">
                <span className="text-[15px] leading-tight">
                  {name}
                  {asked && (
                    <button
                      type="button"
                      className="block text-left text-sm text-ink-soft underline decoration-ink-soft/40 underline-offset-4"
                      onClick={() => onChange(key, asked.count)}
                    >
                      {proposalText(region, asked)}
                    </button>
                  )}
                </span>
                {unit === 'car' ? (
                  <input
                    type="checkbox"
                    aria-label={name}
                    className="m-2.5 size-6 accent-fern"
                    checked={counts[key] > 0}
                    onChange={(event) => onChange(key, event.target.checked ? 1 : 0)}
                  />
                ) : (
                  <span className="flex shrink-0 items-center">
                    <Step
                      label={`One ${unit} less: ${name}`}
                      onClick={() => onChange(key, Math.max(0, counts[key] - 1))}
                    >
                      −
                    </Step>
                    <output
                      aria-label={`${name}, ${unit}s`}
                      className="w-7 text-center font-head font-semibold"
                    >
                      {counts[key]}
                    </output>
                    <Step
                      label={`One ${unit} more: ${name}`}
                      onClick={() => onChange(key, Math.min(40, counts[key] + 1))}
                    >
                      +
                    </Step>
                  </span>
                )}
              </div>
              {asked && unit !== 'car' && counts[key] > 0 && (
                <Pieces
                  name={name}
                  where={asked.where}
                  chosen={piecesOf(key)}
                  onChange={(chosen) =>
                    onPieces(key, chosen, counts[key] - piecesOf(key).length + chosen.length)
                  }
                />
              )}
            </li>
          )
        })}
      </ul>
    </fieldset>
  )
}

/** Each piece it was seen on, to have it done there or not. */
function Pieces({
  name,
  where,
  chosen,
  onChange,
}: {
  name: string
  where: readonly string[]
  chosen: readonly string[]
  onChange: (chosen: string[]) => void
}) {
  const region = useRegion()
  return (
    <ul aria-label={`${name}, where`} className="mb-1 flex flex-wrap gap-1.5">
      {where.map((id) => {
        const isChosen = chosen.includes(id)
        return (
          <li key={id}>
            <button
              type="button"
              aria-pressed={isChosen}
              className={`min-h-11 rounded-full border px-3 text-sm ${isChosen ? 'border-fern bg-fern text-on-fern' : 'border-ink-soft/45 bg-sheet'}`}
              onClick={() => {
                const wanted = isChosen ? chosen.filter((each) => each !== id) : [...chosen, id]
                onChange(where.filter((each) => wanted.includes(each)))
              }}
            >
              {placeName(region, id)}
            </button>
          </li>
        )
      })}
    </ul>
  )
}

function Step({ label, children, onClick }: { label: string; children: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={label}
      className="size-11 rounded border border-ink-soft/45 bg-sheet text-xl hover:bg-lichen"
      onClick={onClick}
    >
      {children}
    </button>
  )
}
