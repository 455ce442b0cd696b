'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { packageFaults, packageTemplateSchema } from '@/core/offer'
import { database } from '../db/connection'
import { loadShop, savePackages } from './shop-store'

export type PackagesAnswer =
  | { kind: 'kept'; version: number }
  | { kind: 'refused'; message: string; package?: string; field?: string }

const listSchema = z.array(packageTemplateSchema).min(1, 'A shop sells one package at least.')

/** Keeps the packages as they stand on the screen, all or none. */
export async function keepPackages(readAt: number, input: unknown): Promise<PackagesAnswer> {
  const checked = listSchema.safeParse(input)
  if (!checked.success) {
    const [issue] = checked.error.issues
    const [at, field] = issue!.path
    const key = Array.isArray(input) && typeof at === 'number' ? String(input[at]?.key ?? '') : ''
    return { kind: 'refused', message: issue!.message, package: key, field: String(field ?? '') }
  }
  const db = await database()
  const { setup, catalogue } = await loadShop(db)
  const packages = checked.data
  const twice = packages.find(
    ({ key, name }, at) =>
      packages.findIndex((other) => other.key === key || other.name.trim() === name.trim()) !== at,
  )
  if (twice)
    return {
      kind: 'refused',
      message: `Two packages are called “${twice.name}”. Give one another name.`,
      package: twice.key,
      field: 'name',
    }
  for (const template of packages) {
    const [fault] = packageFaults(template, { catalogue, vendors: setup.vendors })
    if (fault) return { kind: 'refused', message: fault.message, package: template.key, field: fault.path }
  }
  if (!(await savePackages(db, readAt, packages)))
    return {
      kind: 'refused',
      message:
        'Somebody has changed the set-up of the shop meanwhile. Open this page in a second window to compare; what you typed stays here.',
    }
  revalidatePath('/', 'layout')
  return { kind: 'kept', version: readAt + 1 }
}
