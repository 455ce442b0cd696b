import { dutyOf, mayDo, type Role } from '@/core/staff'
import { Link } from '@/ui/link'

/** What is set and looked after under *Shop*, by what one comes for. */
const GROUPS = [
  {
    title: 'What it sells',
    rooms: [
      ['/shop/packages', 'The packages it sells'],
      ['/shop/prices', 'Prices and subcontractors'],
      ['/shop/products', 'Products'],
      ['/shop/methods', 'Methods'],
    ],
  },
  {
    title: 'Who and where',
    rooms: [
      ['/shop/crew', 'People, bays and hours'],
      ['/shop/region', 'Name and region'],
      ['/shop/staff', 'Who signs in'],
      ['/shop/tablets', 'Tablets and screens'],
      ['/shop/devices', 'Sensors and gauges'],
    ],
  },
  {
    title: 'Looking back and ahead',
    rooms: [
      ['/shop/what-if', 'What would it buy?'],
      ['/shop/journal', 'Journal'],
      ['/shop/backups', 'Backups'],
      ['/shop/health', 'Health'],
      ['/shop/personal', 'Customers’ data'],
      ['/shop/data', 'Your data'],
      ['/shop/licences', 'Licences'],
    ],
  },
] as const

/** The rooms of *Shop* that somebody may enter. */
export function ShopRooms({ role }: { role: Role }) {
  return (
    <nav aria-label="Shop" className="mt-3 grid gap-x-8 gap-y-4 sm:grid-cols-3">
      {GROUPS.map(({ title, rooms }) => (
        <section key={title} className="border-t-2 border-ink pt-2">
          <h2 className="text-lg">{title}</h2>
          <ul>
            {rooms
              .filter(([href]) => mayDo(role, dutyOf(href)))
              .map(([href, name]) => (
                <li key={href}>
                  <Link
                    className="inline-flex min-h-11 items-center underline underline-offset-4"
                    href={href}
                  >
                    {name}
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </nav>
  )
}
