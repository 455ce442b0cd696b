'use server'

import { defineAction } from '../action/define'
import { keepInBrowser } from './browser'
import { pairingByCode, settingUp, signingIn } from './sign-in'

/** Signs somebody in. What the browser is known by is kept with it and told to no page. */
export const signIn = defineAction(signingIn, async ({ token }) => {
  await keepInBrowser('session', token)
  return null
})

export const setUpOwner = defineAction(settingUp, async ({ token }) => {
  await keepInBrowser('session', token)
  return null
})

/** Makes the browser that shows a code of the shop’s one of its devices. */
export const pairByCode = defineAction(pairingByCode, async ({ name, token }) => {
  await keepInBrowser('device', token)
  return { name }
})
