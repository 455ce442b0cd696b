import clsx from 'clsx'
import type { Metadata } from 'next'
import { cookies } from 'next/headers'
import type { ReactNode } from 'react'
import { readIn } from '@/core/region'
import { closedTo, dutyOf, mayDo } from '@/core/staff'
import { dayIn } from '@/core/time'
import { MainMenu } from '@/features/frame/main-menu'
import { ROOMS } from '@/features/frame/rooms-of-shop'
import { SendOn } from '@/features/frame/send-on'
import { Shortcuts } from '@/features/frame/shortcuts'
import { StyleNonce } from '@/features/frame/style-nonce'
import { ThemeSwitch } from '@/features/frame/theme-switch'
import { WhoHere } from '@/features/frame/who-here'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { clock, screenDay } from '@/text/formats'
import { staffLanguage } from '@/text/staff-language'
import { Link } from '@/ui/link'
import { MeProvider } from '@/ui/me'
import { MethodsProvider } from '@/ui/methods'
import { RegionProvider } from '@/ui/region'
import { Wordmark } from '@/ui/wordmark'
import '../globals.css'

export const metadata: Metadata = {
  title: { default: 'Fern Yard', template: '%s · Fern Yard' },
  icons: { icon: '/icon.svg', apple: '/icons/fern-maskable.png' },
}
export const dynamic = 'force-dynamic'

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('theme')?.value === 'booth' ? 'booth' : 'paper'
  const { setup } = await loadShop(await database())
  const at = now()
  const here = await whoIsHere()
  const today = dayIn(setup.region.timezone, at)
  return (
    <html lang={staffLanguage(setup.region)} data-theme={theme}>
      <body className="min-h-dvh">
        <a
          href="#main"
          className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3"
        >
          Skip to content
        </a>
        <header className="no-print flex flex-wrap items-center gap-x-2 border-b-2 xl:gap-x-5 border-ink px-4 lg:px-5 py-1.5">
          <Link href="/" className="no-underline">
            <Wordmark />
          </Link>
          <MainMenu rooms={ROOMS.filter(({ href }) => mayDo(here.role, dutyOf(href)))} />
          <p
            className={clsx(
              'ml-auto text-sm text-ink-soft',
              here.name
                ? 'max-2xl:invisible max-2xl:w-0 max-2xl:overflow-hidden max-2xl:whitespace-nowrap'
                : 'max-xl:hidden',
            )}
          >
            {screenDay(setup.region, today, today)}, {clock(setup.region, at)}
          </p>
          <SendOn {...(here.person ? { person: here.person } : {})} />
          <StyleNonce />
          {here.name && <WhoHere name={here.name} />}
          <Shortcuts />
          <div className="md:max-lg:ml-auto">
            <ThemeSwitch theme={theme} />
          </div>
        </header>
        <main id="main">
          <RegionProvider region={readIn(setup.region, 'en')} today={today}>
            <MethodsProvider methods={setup.methods.map(({ key, name }) => ({ key, name }))}>
              <MeProvider
                role={here.role}
                closed={closedTo(here.role)}
                {...(here.person ? { person: here.person } : {})}
              >
                {children}
              </MeProvider>
            </MethodsProvider>
          </RegionProvider>
        </main>
      </body>
    </html>
  )
}
