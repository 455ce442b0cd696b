import { Link } from '@/ui/link'

/** What whoever looks after the shop’s machine has to know before a car. */
export function ShopNews({ news }: { news: readonly { words: string; href: string }[] }) {
  return news.map(({ words, href }) => (
    <p key={words} role="status" className="mb-3 border-l-4 border-copper bg-copper/10 px-4 py-3">
      {words} <Link href={href}>See to it</Link>.
    </p>
  ))
}
