import { z } from 'zod'
import { exposureOf, FEELS, hasGone, isBlind, outlookOf, type Unit, WATERS } from '../aftercare'
import { ask } from '../asks'
import { daysBetween, isLocalDay, type LocalDay, localDayOrThrow } from '../time'
import { STORAGES, WASHINGS } from '../vehicle'

/** The looks at a coated car as a file tells them: `fern-yard/outlook@1`. */
export const OUTLOOK_FORMAT = 'fern-yard/outlook@1'

/** Days of a month, over the years. */
const MONTH_DAYS = 365.25 / 12

const day = z
  .string()
  .refine(isLocalDay, ask('a-day'))
  .transform((text): LocalDay => localDayOrThrow(text))

export const outlookSchema = z
  .strictObject({
    format: z.literal(OUTLOOK_FORMAT).optional(),
    lifeMonths: z.number().positive().max(240),
    exposure: z
      .strictObject({
        storage: z.enum(STORAGES).default('unknown'),
        washing: z.enum(WASHINGS).default('unknown'),
        yearlyKm: z.number().min(0).optional(),
        salted: z.boolean().default(false),
        hardWater: z.boolean().default(false),
      })
      .optional(),
    appliedOn: day,
    /** Coated panels nobody has looked at yet; those with a look are coated anyway. */
    panels: z.array(z.string().min(1)).default([]),
    looks: z
      .array(
        z.strictObject({
          on: day,
          panel: z.string().min(1),
          water: z.enum(WATERS),
          feel: z.enum(FEELS).optional(),
          angleDegrees: z.number().min(0).max(180).optional(),
          cleaned: z.boolean().default(false),
          topperMonths: z.number().min(0).optional(),
        }),
      )
      .default([]),
    today: day,
  })
  .superRefine(({ looks, panels, appliedOn, today }, context) => {
    const wrong = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    if (today < appliedOn) wrong(['today'], ask('before-applied'))
    for (const [at, { on }] of looks.entries())
      if (on < appliedOn || on > today) wrong(['looks', at, 'on'], ask('look-outside'))
    if (looks.length === 0 && panels.length === 0) wrong(['looks'], ask('outlook-panels'))
  })
export type OutlookCase = z.infer<typeof outlookSchema>

const round = (value: number, digits: number) => Number(value.toFixed(digits))

/** What is left of a coating, panel by panel, in months since it was applied; a look that could not have found a failure says so. */
export function outlookCase(told: OutlookCase) {
  const { lifeMonths, exposure, appliedOn, today, looks } = told
  const months = (on: LocalDay) => daysBetween(appliedOn, on) / MONTH_DAYS
  const life = lifeMonths * (exposure ? exposureOf(use(exposure)).share : 1)
  const panels = [...new Set([...looks.map(({ panel }) => panel), ...told.panels])]
  const seenOn = (panel: string) =>
    looks.filter((look) => look.panel === panel).toSorted((a, b) => a.on.localeCompare(b.on))
  const units = panels.map(
    (id): Unit => ({
      id,
      lifeMonths: life,
      ageMonths: months(today),
      looks: seenOn(id).map(({ on, panel, feel, angleDegrees, topperMonths, ...seen }) => ({
        ...seen,
        unit: panel,
        ageMonths: months(on),
        ...(feel ? { feel } : {}),
        ...(angleDegrees === undefined ? {} : { angleDegrees }),
        ...(topperMonths === undefined ? {} : { topperMonths }),
      })),
    }),
  )
  const outlook = outlookOf(units)
  return {
    format: OUTLOOK_FORMAT,
    panels: outlook.units.map((unit, at) => ({
      panel: unit.id,
      chanceNow: round(unit.holds, 3),
      endsP10: round(unit.lifeMonths.low, 1),
      endsP50: round(unit.lifeMonths.mid, 1),
      endsP90: round(unit.lifeMonths.high, 1),
      fails: hasGone(unit),
      failsAlone: unit.failsAlone,
      blind: units[at]!.looks.length > 0 && units[at]!.looks.every(isBlind),
    })),
  }
}

const use = ({ yearlyKm, ...exposure }: NonNullable<OutlookCase['exposure']>) => ({
  ...exposure,
  ...(yearlyKm === undefined ? {} : { yearlyKm }),
})
