'use server'

import { cookies } from 'next/headers'
import { z } from 'zod'
import { done } from '@/core/answer'
import { defineReadAction } from '../action/define'

const YEAR_SECONDS = 365 * 24 * 3600

/** How this screen looks is kept with the screen, in a cookie; the shop has nothing to write. */
export const chooseTheme = defineReadAction({
  name: 'shop.choose-theme',
  who: 'team',
  input: z.enum(['paper', 'booth']),
  read: async (_, theme) => {
    const jar = await cookies()
    jar.set('theme', theme, { maxAge: YEAR_SECONDS, sameSite: 'lax' })
    return done()
  },
})
