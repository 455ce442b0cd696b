import type { CustomerId, VehicleId } from '../ids'
import { normaliseVin } from '../vehicle'
import type { BringEntry } from './entry'

/** Who and what is known already: by VIN, plate, telephone and mail; within one list by the name, too. */

export type KnownCustomer = { id: CustomerId; name: string; phone: string; email: string }
export type KnownCar = { id: VehicleId; customerId: CustomerId; plate: string; vin: string }
export type Known = {
  customers: readonly KnownCustomer[]
  vehicles: readonly KnownCar[]
  /** Work that was brought before. */
  past: readonly { vehicleId: VehicleId; day: string; work: string }[]
}

/** One that is known, or one of the new ones by its place among them. */
export type Ref<Id> = { known: Id } | { fresh: number }

type FreshCustomer = Pick<BringEntry, 'line' | 'name' | 'phone' | 'email'>
type FreshVehicle = NonNullable<BringEntry['vehicle']> & { line: number; customer: Ref<CustomerId> }
type FreshPast = NonNullable<BringEntry['past']> & { vehicle: Ref<VehicleId> }

/** A row that told of somebody or something the shop knows, and what it was known by. What is known stays as it is. */
export type Recognised = {
  line: number
  by: 'vin' | 'plate' | 'phone' | 'email'
  name: string
  plate: string
}

export type BringPlan = {
  customers: FreshCustomer[]
  vehicles: FreshVehicle[]
  past: FreshPast[]
  recognised: Recognised[]
  /** Work that stands in the history already. */
  pastKnown: number
}

const letters = (text: string) => text.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '')

/** A plate without spaces and signs; none where somebody wrote that there is none. */
export function plateKey(plate: string): string | undefined {
  const key = letters(plate)
  return key === '' || /^(NONE|NA|NOPLATE|OHNE|AUCUNE?)$/.test(key) ? undefined : key
}

/** A VIN too short to be one names nothing. */
export function vinKey(vin: string): string | undefined {
  const key = normaliseVin(vin)
  return key.length < 6 ? undefined : key
}

const PHONE_DIGITS = 8
/** The last digits of a number: the same with and without the code of its country. */
export function phoneKey(phone: string): string | undefined {
  const digits = phone.replace(/\D/g, '')
  return digits.length < PHONE_DIGITS - 1 ? undefined : digits.slice(-PHONE_DIGITS)
}

export const mailKey = (email: string): string | undefined => email.trim().toLowerCase() || undefined

class Register {
  private readonly vehicles = {
    vin: new Map<string, Ref<VehicleId>>(),
    plate: new Map<string, Ref<VehicleId>>(),
  }
  private readonly customers = {
    email: new Map<string, Ref<CustomerId>>(),
    phone: new Map<string, Ref<CustomerId>>(),
    name: new Map<string, Ref<CustomerId>>(),
  }

  addCustomer(
    ref: Ref<CustomerId>,
    { phone, email, name }: { phone: string; email: string; name?: string },
  ): void {
    enter(this.customers.email, mailKey(email), ref)
    enter(this.customers.phone, phoneKey(phone), ref)
    if (name !== undefined) enter(this.customers.name, letters(name), ref)
  }

  addVehicle(ref: Ref<VehicleId>, { plate, vin }: { plate: string; vin: string }): void {
    enter(this.vehicles.vin, vinKey(vin), ref)
    enter(this.vehicles.plate, plateKey(plate), ref)
  }

  vehicle({ plate, vin }: { plate: string; vin: string }) {
    const byVin = this.vehicles.vin.get(vinKey(vin) ?? '')
    if (byVin) return { ref: byVin, by: 'vin' as const }
    const byPlate = this.vehicles.plate.get(plateKey(plate) ?? '')
    return byPlate && { ref: byPlate, by: 'plate' as const }
  }

  /** The same without a VIN or a plate by which another car is known. */
  unclaimed<Car extends { plate: string; vin: string }>(car: Car): Car {
    const { vin, plate } = this.vehicles
    return {
      ...car,
      vin: vin.has(vinKey(car.vin) ?? '') ? '' : car.vin,
      plate: plate.has(plateKey(car.plate) ?? '') ? '' : car.plate,
    }
  }

  customer({ phone, email, name }: BringEntry) {
    const byMail = this.customers.email.get(mailKey(email) ?? '')
    if (byMail) return { ref: byMail, by: 'email' as const }
    const byPhone = this.customers.phone.get(phoneKey(phone) ?? '')
    if (byPhone) return { ref: byPhone, by: 'phone' as const }
    const byName = this.customers.name.get(letters(name))
    return byName && { ref: byName, by: 'name' as const }
  }
}

function enter<Id>(map: Map<string, Ref<Id>>, key: string | undefined, ref: Ref<Id>): void {
  if (key !== undefined && !map.has(key)) map.set(key, ref)
}

const nameOf = <Id>(ref: Ref<Id>) => ('known' in ref ? `known ${ref.known}` : `fresh ${ref.fresh}`)

/** A vehicle with what a later row tells and an earlier one left out. */
function filled(before: FreshVehicle, later: NonNullable<BringEntry['vehicle']>): FreshVehicle {
  const plate = plateKey(before.plate) ? before.plate : later.plate || before.plate
  const text = (field: 'vin' | 'make' | 'model' | 'colour' | 'colourCode') => before[field] || later[field]
  const year = before.year ?? later.year
  return {
    ...before,
    plate,
    vin: text('vin'),
    make: text('make'),
    model: text('model'),
    colour: text('colour'),
    colourCode: text('colourCode'),
    ...(year === undefined ? {} : { year }),
  }
}

/** Works a list out, row by row: what a row tells is known to those that follow. */
class Planner {
  readonly plan: BringPlan = { customers: [], vehicles: [], past: [], recognised: [], pastKnown: 0 }
  private readonly register = new Register()
  private readonly ownerOf = new Map<string, Ref<CustomerId>>()
  private readonly customerById: ReadonlyMap<CustomerId, KnownCustomer>
  private readonly pastKeys: Set<string>

  constructor({ customers, vehicles, past }: Known) {
    this.customerById = new Map(customers.map((customer) => [customer.id, customer]))
    for (const { id, phone, email } of customers) this.register.addCustomer({ known: id }, { phone, email })
    for (const vehicle of vehicles) {
      const ref = { known: vehicle.id }
      this.register.addVehicle(ref, vehicle)
      this.ownerOf.set(nameOf(ref), { known: vehicle.customerId })
    }
    this.pastKeys = new Set(past.map(({ vehicleId, ...each }) => pastKey({ known: vehicleId }, each)))
  }

  take(entry: BringEntry): void {
    const car = entry.vehicle && this.register.vehicle(entry.vehicle)
    const customer = this.customer(entry, car)
    if (!entry.vehicle) return
    const vehicle = this.vehicle(entry.vehicle, entry.line, customer, car?.ref)
    if (entry.past) this.past(entry.past, vehicle)
  }

  private customerAt(ref: Ref<CustomerId>): Pick<KnownCustomer, 'name' | 'phone' | 'email'> {
    return 'known' in ref ? this.customerById.get(ref.known)! : this.plan.customers[ref.fresh]!
  }

  /** Who in this list is probably meant: by mail or telephone; by the name where nothing speaks against it. */
  private sameCustomer(entry: BringEntry) {
    const found = this.register.customer(entry)
    if (found?.by !== 'name') return found
    const { phone, email } = this.customerAt(found.ref)
    const differ = <Key>(one: Key | undefined, other: Key | undefined) =>
      one !== undefined && other !== undefined && one !== other
    const isOther =
      differ(phoneKey(phone), phoneKey(entry.phone)) || differ(mailKey(email), mailKey(entry.email))
    return isOther ? undefined : found
  }

  private customer(
    entry: BringEntry,
    car: { ref: Ref<VehicleId>; by: 'vin' | 'plate' } | undefined,
  ): Ref<CustomerId> {
    const same = car ? undefined : this.sameCustomer(entry)
    const { line, name, phone, email } = entry
    const ref = car ? this.ownerOf.get(nameOf(car.ref))! : same?.ref
    if (!ref) {
      const fresh = { fresh: this.plan.customers.length }
      this.plan.customers.push({ line, name, phone, email })
      this.register.addCustomer(fresh, entry)
      return fresh
    }
    const before = this.customerAt(ref)
    const by = car?.by ?? same?.by
    if ('known' in ref && by && by !== 'name')
      this.plan.recognised.push({ line, by, name: before.name, plate: entry.vehicle?.plate ?? '' })
    // A car that was sold meanwhile stands there with two owners: what the second can be reached by is not the first's.
    if (car && letters(before.name) !== letters(name)) return ref
    this.register.addCustomer(ref, entry)
    if ('fresh' in ref) {
      const told = this.plan.customers[ref.fresh]!
      this.plan.customers[ref.fresh] = { ...told, phone: told.phone || phone, email: told.email || email }
    }
    return ref
  }

  private vehicle(
    told: NonNullable<BringEntry['vehicle']>,
    line: number,
    customer: Ref<CustomerId>,
    same: Ref<VehicleId> | undefined,
  ): Ref<VehicleId> {
    const ref = same ?? { fresh: this.plan.vehicles.length }
    if (!same) {
      this.plan.vehicles.push({ ...told, line, customer })
      this.ownerOf.set(nameOf(ref), customer)
    } else if ('fresh' in ref)
      this.plan.vehicles[ref.fresh] = filled(this.plan.vehicles[ref.fresh]!, this.register.unclaimed(told))
    this.register.addVehicle(ref, told)
    return ref
  }

  private past(past: NonNullable<BringEntry['past']>, vehicle: Ref<VehicleId>): void {
    const key = pastKey(vehicle, past)
    if (this.pastKeys.has(key)) this.plan.pastKnown += 1
    else this.plan.past.push({ ...past, vehicle })
    this.pastKeys.add(key)
  }
}

const pastKey = (vehicle: Ref<VehicleId>, { day, work }: { day: string; work: string }) =>
  `${nameOf(vehicle)} ${day} ${work}`

/**
 * What a list comes to beside what the shop knows: each customer and vehicle once, work under its vehicle, and nothing that stands
 * there already. Brought a second time, a list brings nothing.
 */
export function planBring(entries: readonly BringEntry[], known: Known): BringPlan {
  const planner = new Planner(known)
  for (const entry of entries) planner.take(entry)
  return planner.plan
}
