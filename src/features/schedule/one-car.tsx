'use client'

import { useRouter } from 'next/navigation'

type Props = {
  /** Job ids with how each is told apart, as it is said in the list. */
  cars: readonly { id: string; name: string }[]
  chosen: string
  /** Where each choice leads; '' is all cars. */
  href: Readonly<Record<string, string>>
}

/** Which car stands out on the board. A list: a full shop has thirty. */
export function OneCar({ cars, chosen, href }: Props) {
  const router = useRouter()
  return (
    <label className="inline-flex min-h-11 items-center gap-2 font-head text-[15px]">
      Highlight
      <select
        className="field w-auto py-1.5"
        value={chosen}
        onChange={(event) => router.push(href[event.target.value]!)}
      >
        <option value="">All cars</option>
        {cars.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}
