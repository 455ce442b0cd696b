import { CHANNELS, type Customer, LANGUAGE_NAME, LANGUAGES } from '@/core/customer'
import type { KnownVehicle, Past } from '@/core/job'
import { CUSTOMER_TAX } from '@/core/offer/tax'
import { CHANNEL_NAME } from '@/text/en/messages'
import { CUSTOMER_TAX_NAME } from '@/text/en/offer'
import { type Form, Pick, Text, Tick } from './fields'
import { KnownSearch } from './known-search'

/** Whose vehicle it is, and how they are written to and charged. */
export function StepCustomer({
  form,
  known,
  recent,
  onChoose,
  onOwner,
}: {
  form: Form
  known: boolean
  recent: readonly KnownVehicle[]
  onChoose: (past: Past) => void
  onOwner: (customer: Customer) => void
}) {
  return (
    <>
      {!known && <KnownSearch recent={recent} onChoose={onChoose} onOwner={onOwner} />}
      <div className="mt-5 grid gap-4 sm:grid-cols-3">
        <Text form={form} name="customerName" label="Name" />
        <Text form={form} name="phone" label="Telephone" type="tel" />
        <Text form={form} name="email" label="E-mail" type="email" />
      </div>
      <div className="mt-3">
        <Tick form={form} name="mayRemind">
          Agrees to reminders: washing, visits, seasons, guarantee, recoating
        </Tick>
      </div>
      <div className="mt-3 flex flex-wrap gap-x-8 gap-y-3">
        <Pick
          form={form}
          name="language"
          label="Language"
          options={LANGUAGES.map((value) => ({ value, name: LANGUAGE_NAME[value] }))}
        />
        <Pick
          form={form}
          name="writeBy"
          label="Contact by"
          options={CHANNELS.map((value) => ({ value, name: CHANNEL_NAME[value] }))}
        />
        <Pick
          form={form}
          name="tax"
          label="Tax on their quotes"
          options={CUSTOMER_TAX.map((value) => ({ value, name: CUSTOMER_TAX_NAME[value] }))}
        />
      </div>
    </>
  )
}
