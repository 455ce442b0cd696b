'use server'

import { cookies } from 'next/headers'

const YEAR_SECONDS = 365 * 24 * 3600

export async function chooseTheme(theme: 'paper' | 'booth'): Promise<void> {
  const jar = await cookies()
  jar.set('theme', theme === 'booth' ? 'booth' : 'paper', { maxAge: YEAR_SECONDS, sameSite: 'lax' })
}
