import { Link } from '@/ui/link'
import { ShopCrumb } from '../shop/shop-crumb'

export type HealthRow = { name: string; said: string; isBad?: boolean; href?: string }

type Props = {
  rows: readonly HealthRow[]
  devices: readonly { id: string; name: string; seen: string }[]
  faults: readonly { key: string; at: string; words: string }[]
}

/** How the shop’s machine stands, for whoever looks after it. */
export function HealthScreen({ rows, devices, faults }: Props) {
  return (
    <div className="mx-auto max-w-4xl space-y-8 p-5">
      <div>
        <ShopCrumb />
        <h1 className="mt-1 text-3xl">Health</h1>
      </div>
      <table className="w-full text-left">
        <tbody>
          {rows.map(({ name, said, isBad, href }) => (
            <tr key={name} className="border-b border-line align-top">
              <th scope="row" className="w-60 py-2 pr-4 font-head font-semibold">
                {name}
              </th>
              <td className={isBad ? 'py-2 font-semibold text-copper' : 'py-2'}>
                {said} {isBad && href && <Link href={href}>See to it</Link>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <section>
        <h2 className="text-xl">Tablets</h2>
        {devices.length === 0 ? (
          <p>None has been paired.</p>
        ) : (
          <ul>
            {devices.map(({ id, name, seen }) => (
              <li key={id} className="border-b border-line py-1">
                <strong className="font-semibold">{name}</strong>{' '}
                <span className="text-sm text-ink-soft">last used {seen}</span>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2 className="text-xl">Faults since it was started</h2>
        {faults.length === 0 ? (
          <p>None.</p>
        ) : (
          <ul>
            {faults.map(({ key, at, words }) => (
              <li key={key} className="border-b border-line py-1">
                <span className="text-sm text-ink-soft">{at}</span> {words}
              </li>
            ))}
          </ul>
        )}
        <p className="mt-2 text-sm text-ink-soft">The server’s log tells where each arose.</p>
      </section>
    </div>
  )
}
