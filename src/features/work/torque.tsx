import { useState } from 'react'
import { workOn } from '@/core/card'
import { TORQUE_NM } from '@/core/card/torque-range'
import { moment } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import type { StepProps } from './use-card'

/** Wheel nuts: to how many Nm they were tightened, and with which wrench. The figure is the manufacturer’s, never ours. */
export function Torque({ card, operation, me }: StepProps) {
  const { view, state, now } = card
  const { torque } = workOn(state, operation.id)
  const [nm, setNm] = useState('')
  const [wrench, setWrench] = useState('')
  const [faults, setFaults] = useState<{ nm?: string; wrench?: string }>({})
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  const save = () => {
    const value = numberOf(nm)
    const isTorque = value >= TORQUE_NM.least && value <= TORQUE_NM.most
    const found = {
      ...(isTorque ? {} : { nm: `Type the torque in Nm: ${TORQUE_NM.least} to ${TORQUE_NM.most}.` }),
      ...(wrench.trim() ? {} : { wrench: 'Type the number of the torque wrench.' }),
    }
    setFaults(found)
    if (isTorque && wrench.trim())
      card.add(me, { kind: 'torque', operation: operation.id, nm: value, wrench: wrench.trim() })
  }
  return (
    <section aria-label="Wheel nuts" className="mt-5 border-t border-line pt-4">
      <h2 className="text-xl">Wheel nuts</h2>
      {torque && (
        <p className="mt-1 text-lg font-semibold text-fern" data-testid="torque">
          Tightened to {torque.nm} Nm, wrench {torque.wrench}, {nameOf(torque.by)},{' '}
          {moment(view.region, torque.at, now)}
        </p>
      )}
      <div className="mt-2 grid items-start gap-3 sm:grid-cols-[9rem_12rem_auto]">
        <Field label="Torque, Nm" error={faults.nm}>
          <NumberInput value={nm} onChange={setNm} />
        </Field>
        <Field label="Number of the wrench" error={faults.wrench}>
          <input
            className="field"
            autoComplete="off"
            maxLength={40}
            value={wrench}
            onChange={({ target }) => setWrench(target.value)}
          />
        </Field>
        <Button className="sm:mt-6" look={torque ? 'outline' : 'solid'} onClick={save}>
          {torque ? 'Correct it' : 'Save'}
        </Button>
      </div>
      <p className="mt-2 text-ink-soft">
        By the manufacturer’s figure for this vehicle. The owner is asked to have it checked again after the
        first 50 to 100 km.
      </p>
    </section>
  )
}
