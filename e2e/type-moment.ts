import { expect, type Page } from '@playwright/test'
import { localDayOrThrow } from '../src/core/time'
import { fieldDay } from '../src/text/formats'
import { DUBLIN } from '../src/text/region.fixture'

/** Types a day and a time into the two fields of a moment, from `2027-01-15T09:00`. */
export async function typeMoment(page: Page, label: string, moment: string): Promise<void> {
  const [day, time] = moment.split('T') as [string, string]
  await page.getByLabel(`${label}, day`).fill(day)
  await page.getByLabel(`${label}, time`).fill(time)
}

/** What a field of a day shows once it is left. */
export const shownDay = (day: string) => fieldDay(DUBLIN, localDayOrThrow(day))

export async function expectMoment(page: Page, label: string, moment: string): Promise<void> {
  const [day, time] = moment.split('T') as [string, string]
  await expect(page.getByLabel(`${label}, day`)).toHaveValue(shownDay(day))
  await expect(page.getByLabel(`${label}, time`)).toHaveValue(time)
}
