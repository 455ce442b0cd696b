import type { PersonId } from '@/core/ids'
import { type Eyes, eyesOf, type StaffRole } from '@/core/staff'
import { now } from '../clock'
import { database } from '../db/connection'
import { listAccounts } from './accounts'
import { shownNow, whoShows } from './caller-now'
import { deviceOfToken } from './paired-devices'
import { staffRules } from './sessions'

/** What the door and the frame of every page know of whoever looks at them. */

export type Here = {
  role: StaffRole | 'stranger'
  /** Who is signed in; nobody while nobody has to. */
  name?: string
  /** Who of the crew that is. */
  person?: PersonId
  /** Nobody has to sign in yet. */
  isOpen: boolean
}

/** Who is signed in on this screen. */
export async function whoIsHere(): Promise<Here> {
  const { caller, isOpen = false } = await whoShows(await database(), await shownNow(), now())
  const role = caller.role === 'customer' ? 'stranger' : caller.role
  return {
    role,
    isOpen,
    ...(caller.name ? { name: caller.name } : {}),
    ...(caller.person ? { person: caller.person } : {}),
  }
}

/** What whoever is signed in on this screen may see. */
export async function eyesNow(): Promise<Eyes> {
  return eyesOf((await whoIsHere()).role, await staffRules(await database()))
}

export type Door = {
  isOpen: boolean
  isSignedIn: boolean
  device?: string
  people: { name: string; role: StaffRole }[]
  locked?: string
}

/** What the door shows. Names are told only on the shop’s own devices. */
export async function whoIsAtTheDoor(): Promise<Door> {
  const db = await database()
  const its = await shownNow()
  const { caller, session, isOpen = false } = await whoShows(db, its, now())
  const device = its.device ? await deviceOfToken(db, its.device) : undefined
  const people = device ? (await listAccounts(db)).filter(({ hasPin }) => hasPin) : []
  return {
    isOpen,
    isSignedIn: caller.role !== 'stranger',
    ...(device ? { device: device.name } : {}),
    people: people.map(({ name, role }) => ({ name, role })),
    ...(session?.state === 'locked' ? { locked: session.name } : {}),
  }
}
