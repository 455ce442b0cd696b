import { awayNow, hasBegun, progressAt } from '@/core/job'
import { vendorSkill } from '@/core/offer'
import { EQUIPMENT_KINDS, type Floor, type Outage } from '@/core/planning'
import { awayThing, awayWith } from '@/text/en/away'
import { equipmentName } from '@/text/en/equipment'
import { stepTitle } from '@/text/en/step-names'
import { typedAt } from '../typed-moment'
import type { KnownCar, OpenStep, OutThing, Reportable } from './happenings'

/** Of what and whom on a floor something can be reported, in words. */
export function reportable(floor: Floor): Reportable {
  const { setup } = floor.shop
  const named = ({ id, name }: { id: string; name: string }) => ({ id, name })
  return {
    steps: openSteps(floor),
    away: outThings(floor),
    cars: knownCars(floor),
    people: setup.people.map(named),
    subcontractors: setup.vendors.map(({ id, name }) => ({ id: vendorSkill(id), name })),
    places: setup.places.map(named),
    equipment: EQUIPMENT_KINDS.filter((kind) => setup.equipment[kind] !== undefined).map((id) => ({
      id,
      name: capital(equipmentName(id)),
    })),
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What is out of the house as a whole. */
const WHOLE_HOUSE = { air: 'The air', power: 'The power' } as const

/** What is out, as it is spoken of at the beginning of a sentence. */
export function outName(what: Outage['what'], names: Record<string, string>): string {
  if (!('id' in what)) return WHOLE_HOUSE[what.kind]
  return what.kind === 'equipment' ? capital(equipmentName(what.id)) : (names[what.id] ?? what.id)
}

/** Cars that are agreed and in hand. */
function knownCars({ jobs, shop }: Floor): KnownCar[] {
  const { region } = shop.setup
  return jobs.flatMap(({ job, agreement, live, stage }) =>
    agreement && live && stage.kind !== 'ready' && stage.kind !== 'handed-over'
      ? [
          {
            job: job.id,
            name: `${job.vehicle.plate}, ${job.vehicle.make} ${job.vehicle.model}`,
            begun: hasBegun(live),
            comes: typedAt(region, job.arriveAt),
            promised: typedAt(region, agreement.promisedFor),
          },
        ]
      : [],
  )
}

/** Steps that are still to be done, or under way. Nobody makes a wait take longer: it is over when its time is. */
function openSteps(floor: Floor): OpenStep[] {
  const { region } = floor.shop.setup
  return floor.jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over'
      ? live.plan.operations
          .filter((operation) => operation.mode !== 'unattended')
          .filter((operation) => progressAt(live, operation, floor.now).kind !== 'done')
          .map((operation) => ({
            job: job.id,
            operation: operation.id,
            plate: job.vehicle.plate,
            title: stepTitle(region, operation.title),
            begun: progressAt(live, operation, floor.now).kind !== 'open',
          }))
      : [],
  )
}

/** What is away just now. */
function outThings({ jobs, now, shop }: Floor): OutThing[] {
  const { region } = shop.setup
  return jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over'
      ? awayNow(live, now).flatMap(({ operation, thing, out, planned }) =>
          out
            ? [
                {
                  job: job.id,
                  operation: operation.id,
                  name: `${job.vehicle.plate}, ${awayThing(operation.title, thing).toLowerCase()} with ${awayWith(operation.title)}`,
                  due: typedAt(region, out.dueBack ?? planned?.back ?? now),
                },
              ]
            : [],
        )
      : [],
  )
}
