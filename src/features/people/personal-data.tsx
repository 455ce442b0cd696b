import type { Customer } from '@/core/customer'
import { ButtonLink } from '@/ui/button'
import { EraseDialog } from './erase-dialog'
import type { NamedPlated } from './plates'

/** What a customer may ask for: all that is held of them, and to be forgotten. */
export function PersonalData({
  customer: { id, name },
  pictures,
}: {
  customer: Customer
  pictures: readonly NamedPlated[]
}) {
  return (
    <section className="space-y-2">
      <h2 className="text-xl">If they ask for their data</h2>
      <p className="text-sm text-ink-soft">
        One file with everything the shop holds of {name}, photographs with it.
      </p>
      <div className="flex flex-wrap gap-3">
        <ButtonLink look="outline" href={`/customers/${id}/personal-data.zip`} prefetch={false} download>
          Save it as a file
        </ButtonLink>
        <EraseDialog customerId={id} name={name} pictures={pictures} />
      </div>
    </section>
  )
}
