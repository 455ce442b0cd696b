import type { Metadata } from 'next'
import { ShopCrumb } from '@/features/shop/shop-crumb'
import { ownLicences } from '@/server/health/licences'

export const metadata: Metadata = { title: 'Licences' }

/** What the shop is made with, and under which licence each may be used. */
export default function LicencesPage() {
  return (
    <div className="mx-auto max-w-4xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Licences</h1>
      <p className="mt-2 mb-4 max-w-2xl text-ink-soft">
        Fern Yard itself is under the MIT licence. It is made with these packages; the words of each licence
        lie in the package’s own folder.
      </p>
      <table className="w-full text-left text-[15px]">
        <thead>
          <tr className="border-b-2 border-ink">
            <th scope="col" className="py-1 font-head">
              Package
            </th>
            <th scope="col" className="py-1 font-head">
              Version
            </th>
            <th scope="col" className="py-1 font-head">
              Licence
            </th>
          </tr>
        </thead>
        <tbody>
          {ownLicences().map(({ name, version, licence }) => (
            <tr key={`${name} ${version}`} className="border-b border-line">
              <td className="py-1 pr-4">{name}</td>
              <td className="py-1 pr-4">{version}</td>
              <td className="py-1">{licence ?? 'see its own folder'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
