import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { Wordmark } from '@/ui/wordmark'
import '../globals.css'

export const metadata: Metadata = {
  title: 'Your car',
  robots: { index: false, follow: false },
  referrer: 'same-origin',
}
export const dynamic = 'force-dynamic'

/** The frame of what owners see: no way from here into the shop. */
export default function OwnerLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" data-theme="paper">
      <body className="min-h-dvh">
        <header className="border-b-2 border-ink px-5 py-2">
          <Wordmark />
        </header>
        <main>{children}</main>
      </body>
    </html>
  )
}
