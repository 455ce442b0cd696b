import type { Metadata } from 'next'
import { cookies } from 'next/headers'
import type { ReactNode } from 'react'
import { Wordmark } from '@/ui/wordmark'
import '../globals.css'

export const metadata: Metadata = {
  title: { default: 'Fern Yard', template: '%s · Fern Yard' },
  icons: { icon: '/icon.svg', apple: '/icons/fern-maskable.png' },
  robots: { index: false, follow: false },
}
export const dynamic = 'force-dynamic'

/** The frame of the door: nothing of the shop is told to who has not said who they are. */
export default async function DoorLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('theme')?.value === 'booth' ? 'booth' : 'paper'
  return (
    <html lang="en" data-theme={theme}>
      <body className="min-h-dvh">
        <header className="border-b-2 border-ink px-5 py-2">
          <Wordmark />
        </header>
        <main id="main">{children}</main>
      </body>
    </html>
  )
}
