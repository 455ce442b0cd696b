'use server'

import { defineAction } from '../action/define'
import { keepInBrowser } from './browser'
import { settingUp, signingIn } from './sign-in'

/** Signs somebody in. What the browser is known by is kept with it and told to no page. */
export const signIn = defineAction(signingIn, async ({ token }) => {
  await keepInBrowser('session', token)
  return null
})

export const setUpOwner = defineAction(settingUp, async ({ token }) => {
  await keepInBrowser('session', token)
  return null
})
