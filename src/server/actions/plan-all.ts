'use server'

import { revalidatePath } from 'next/cache'
import { now } from '../clock'
import { database } from '../db'
import { type Proposal, propose, takeProposal } from '../proposal'

/** Works out a plan in which everything not yet begun may move. It is shown, not published. */
export async function proposePlan(): Promise<Proposal> {
  return propose(await database(), now())
}

/** Takes a plan that was shown. Says in words where it can no longer be taken. */
export async function takePlan(id: string): Promise<{ taken: boolean; message: string }> {
  const { kind } = await takeProposal(await database(), id, now())
  revalidatePath('/', 'layout')
  switch (kind) {
    case 'taken':
      return { taken: true, message: 'Planned. Everybody’s times are the ones you saw.' }
    case 'stale':
      return { taken: false, message: 'Something has happened on the floor since. Plan anew and look again.' }
    case 'gone':
      return { taken: false, message: 'This plan is no longer kept. Plan anew.' }
  }
}
