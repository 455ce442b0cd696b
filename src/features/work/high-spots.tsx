'use client'

import { useState } from 'react'
import { highSpotAdvice, workOn } from '@/core/card'
import type { PersonId } from '@/core/ids'
import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { panelsOfVehicle } from '@/core/vehicle'
import { highSpotText } from '@/text/en/card'
import { staffPanel } from '@/text/en/staff-panels'
import { stepTitle } from '@/text/en/step-names'
import { duration, measured, moment, unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import type { Card } from './use-card'

/** Smears that hardened: found in a layer, what to do by its age, and dealt with. */
export function HighSpots({
  card,
  me,
  layers,
}: {
  card: Card
  me: PersonId
  layers: readonly PlannedOperation[]
}) {
  const { view, state, now } = card
  const [panel, setPanel] = useState('')
  const [wrong, setWrong] = useState('')
  const panels = panelsOfVehicle(view.job)
  const nameOf = (id: string) => staffPanel(view.region, id)
  const top = layers.at(-1)!
  const spots = layers.flatMap((layer) => workOn(state, layer.id).highSpots.map((spot) => ({ layer, spot })))
  return (
    <section className="sheet p-5" aria-label="High spots">
      <h2 className="text-xl">High spots</h2>
      <p className="mt-1 text-ink-soft">
        Look at eye level along every panel: a smear that was missed shows as a dark or rainbow patch.
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <Field
          label={`Found in “${stepTitle(view.region, top.title)}” on`}
          {...(wrong ? { error: wrong } : {})}
        >
          <select className="field min-w-52" value={panel} onChange={({ target }) => setPanel(target.value)}>
            <option value="">Choose the panel</option>
            {panels.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <Button
          look="outline"
          onClick={() => {
            setWrong(panel === '' ? 'Choose the panel it is on.' : '')
            if (panel === '') return
            card.add(me, { kind: 'high-spot', operation: top.id, panel })
            setPanel('')
          }}
        >
          Log high spot
        </Button>
      </div>
      {spots.length > 0 && (
        <ul className="mt-3">
          {spots.map(({ layer, spot }) => {
            const progress = progressAt({ ...view.live, progress: state.progress }, layer, now)
            const advice = highSpotAdvice(progress.kind === 'done' ? progress.to : now, now)
            return (
              <li key={spot.id} className="border-t border-line py-3" data-testid="high-spot">
                <p className="font-head text-lg font-semibold">
                  {nameOf(spot.panel)}, in “{stepTitle(view.region, layer.title)}”
                </p>
                {spot.gone ? (
                  <p className="text-ink-soft">
                    {spot.gone.how === 're-wet' ? 'Re-wet and levelled' : 'Polished off and recoated'},{' '}
                    {moment(view.region, spot.gone.at, now)}.
                  </p>
                ) : (
                  <>
                    <p className="mt-1 text-lg">{highSpotText(advice)}</p>
                    {advice.minutesLeft !== undefined && (
                      <p className="mt-1 text-copper">
                        It softens for another {duration(view.region, advice.minutesLeft)}; after that it has
                        to be polished off.
                      </p>
                    )}
                    <Mended card={card} me={me} layer={layer} spot={spot.id} remedy={advice.remedy} />
                    <Button
                      look="quiet"
                      onClick={() =>
                        card.add(me, { kind: 'high-spot-off', operation: layer.id, spot: spot.id })
                      }
                    >
                      Not a high spot after all
                    </Button>
                  </>
                )}
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}

function Mended({
  card,
  me,
  layer,
  spot,
  remedy,
}: {
  card: Card
  me: PersonId
  layer: PlannedOperation
  spot: string
  remedy: 're-wet' | 'recoat'
}) {
  const region = useRegion()
  const [ml, setMl] = useState('')
  const [wrong, setWrong] = useState('')
  // From one that still holds something: a drop cannot come from an empty bottle.
  const bottle = card.view.sheets[layer.id]?.coat?.bottles.find(
    ({ state, leftMl }) => state !== 'empty' && state !== 'past' && leftMl > 0,
  )
  const mend = () => {
    const used = ml.trim() === '' ? 0 : numberOf(ml)
    if (!(used >= 0 && used <= 100)) {
      setWrong('Type how much was used, such as 2, or leave it empty.')
      return
    }
    if (bottle && used > bottle.leftMl) {
      setWrong(`Bottle ${bottle.code} holds ${measured(region, 'volume', bottle.leftMl)}.`)
      return
    }
    card.add(me, {
      kind: 'high-spot-gone',
      operation: layer.id,
      spot,
      how: remedy,
      poured: bottle && used > 0 ? [{ bottle: bottle.id, ml: used }] : [],
    })
  }
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      {bottle && (
        <Field
          label={`${unitSign(region, 'volume')} used from bottle ${bottle.code}`}
          {...(wrong ? { error: wrong } : {})}
        >
          <NumberInput quantity="volume" className="w-32" value={ml} onChange={(text) => setMl(text)} />
        </Field>
      )}
      <Button onClick={mend}>
        {remedy === 're-wet' ? 'Re-wet and levelled' : 'Polished off and recoated'}
      </Button>
    </div>
  )
}
