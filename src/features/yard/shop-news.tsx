'use client'

import { Link } from '@/ui/link'
import { useMayOpen } from '@/ui/me'

/** What whoever answers for the shop has to know before a car; who cannot see to it themselves is told who can. */
export function ShopNews({ news }: { news: readonly { words: string; href: string }[] }) {
  const mayOpen = useMayOpen()
  return news.map(({ words, href }) => (
    <p key={words} role="status" className="mb-3 border-l-4 border-copper bg-copper/10 px-4 py-3">
      {words} {mayOpen(href) ? <Link href={href}>See to it</Link> : 'Tell the owner'}.
    </p>
  ))
}
