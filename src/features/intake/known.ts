import type { Customer } from '@/core/customer'
import type { Intake } from '@/core/intake/intake'
import type { KnownVehicle } from '@/core/job'

/** What an intake need not ask again of an owner the shop knows. */
export const intakeOfOwner = ({ id, name, ...reached }: Customer): Partial<Intake> => ({
  customerId: id,
  customerName: name,
  ...reached,
})

/** What an intake need not ask again of a vehicle the shop knows. */
export function intakeOf({ customer, vehicle }: KnownVehicle): Partial<Intake> {
  return {
    ...intakeOfOwner(customer),
    vehicleId: vehicle.id,
    plate: vehicle.plate,
    vin: vehicle.vin,
    make: vehicle.make,
    model: vehicle.model,
    year: vehicle.year === undefined ? '' : String(vehicle.year),
    shape: vehicle.shape,
    length: vehicle.lengthM === undefined ? '' : String(vehicle.lengthM),
    height: vehicle.heightM === undefined ? '' : String(vehicle.heightM),
    colour: vehicle.colour,
    colourCode: vehicle.colourCode,
    paintSystem: vehicle.paintSystem,
    finish: vehicle.finish ?? '',
    hardness: vehicle.hardness,
    storage: vehicle.storage,
    washing: vehicle.washing,
    yearlyKm: vehicle.yearlyKm === undefined ? '' : String(vehicle.yearlyKm),
    salted: vehicle.salted,
    hardWater: vehicle.hardWater,
    treatments: vehicle.treatments,
  }
}
