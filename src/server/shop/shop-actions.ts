'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { washSetupSchema } from '@/core/shop'
import { SCHOOLS } from '@/core/survey'
import { database } from '../db/connection'
import { saveSchoolsAndWash } from './shop-store'

export type ShopAnswer = { kind: 'kept' } | { kind: 'refused'; message: string }

const schema = z.object({ school: z.enum(SCHOOLS), wash: washSetupSchema })

/** Keeps how the shop judges and washes. */
export async function keepShop(input: unknown): Promise<ShopAnswer> {
  const checked = schema.safeParse(input)
  if (!checked.success) return { kind: 'refused', message: checked.error.issues[0]!.message }
  await saveSchoolsAndWash(await database(), checked.data)
  revalidatePath('/', 'layout')
  return { kind: 'kept' }
}
