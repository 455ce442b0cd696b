import type { OtherSurface } from '@/core/coating'
import type { Care, Liquid, Machine, Method, MethodKey, Pad } from '@/core/correction'
import type { ExtraKey, OperationKind, Skill, Trade } from '@/core/offer'
import type { Language, Region } from '@/core/region'
import { workInGerman } from './de/work'
import { workInEnglish } from './en/work'
import { workInFrench } from './fr/work'
import { title } from './title'

/** What is done to a car and with what, as a customer reads it: begins small, stands in the middle of a sentence. */

export type WorkWords = {
  /** Of the methods that ship with the app. */
  process: Record<MethodKey, string>
  machine: Record<Machine, string>
  pad: Record<Pad, string>
  liquid: Record<Liquid, string>
  surface: Record<OtherSurface | 'paint', string>
  extra: Record<ExtraKey, { name: string; means: string }>
  trade: Record<Trade, string>
  skill: Record<Skill, string>
  /** What the hours of a price are made of. */
  activity: Record<OperationKind, string>
  /** The same of an all-in-one: nothing is cleaned for a coating. */
  buffing: string
  care: Record<Care, string>
}

const IN: Record<Language, WorkWords> = { en: workInEnglish, fr: workInFrench, de: workInGerman }

type Reader = Pick<Region, 'language'>

export const workWords = ({ language }: Reader): WorkWords => IN[language]

export const extraTitle = (region: Reader, key: ExtraKey) => title(region, workWords(region).extra[key].name)
export const tradeTitle = (region: Reader, trade: Trade) => title(region, workWords(region).trade[trade])
/** A surface as it stands inside a line. */
export const surfaceWord = (region: Reader, surface: OtherSurface | 'paint') =>
  workWords(region).surface[surface]
export const surfaceTitle = (region: Reader, surface: OtherSurface | 'paint') =>
  title(region, workWords(region).surface[surface])

/** A method in the middle of a sentence: one that ships with the app in the reader’s language, the shop’s own as it calls it. */
export const methodName = (
  region: Reader,
  key: MethodKey,
  methods: readonly Pick<Method, 'key' | 'name'>[] = [],
): string => methods.find((method) => method.key === key)?.name || (workWords(region).process[key] ?? key)
