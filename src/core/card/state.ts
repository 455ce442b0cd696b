import type { OperationId } from '../ids'
import type { LiveJob, Progress } from '../job'
import { type Instant, laterOf, minutesBetween } from '../time'
import type { Entry } from './act'
import { coatKey } from './coat-sections'
import type { Part } from './parts'

import { type Pause, type ProcessChange, type StepWork, UNTOUCHED } from './step-work'

export type { HighSpot, Pause, ProcessChange, Short, StepWork, Timer } from './step-work'

/** What the acts at a car add up to. */

export type CardState = {
  progress: Readonly<Record<string, Progress>>
  work: Readonly<Record<string, StepWork>>
  processes: readonly ProcessChange[]
  parts: readonly Part[]
}

export function workOn(card: Pick<CardState, 'work'>, operation: OperationId): StepWork {
  return card.work[operation] ?? UNTOUCHED
}

export function pausedNow(work: StepWork): Pause | undefined {
  return work.pauses.find(({ to }) => to === undefined)
}

/** Minutes rested between two moments. */
export function pausedMinutes(work: StepWork, from: Instant, until: Instant): number {
  return work.pauses.reduce((sum, pause) => {
    const end = pause.to && pause.to < until ? pause.to : until
    return sum + Math.max(0, minutesBetween(laterOf(pause.from, from), end))
  }, 0)
}

/** The card as it is after an entry that was found right; see `conflictOf`. */
export function withEntry(card: CardState, entry: Entry): CardState {
  const before = workOn(card, entry.operation)
  const next = (work: Partial<StepWork>): CardState => ({
    ...card,
    work: { ...card.work, [entry.operation]: { ...before, ...work } },
  })
  const moved = (progress: Progress, work: Partial<StepWork> = {}): CardState => ({
    ...next(work),
    progress: { ...card.progress, [entry.operation]: progress },
  })
  switch (entry.kind) {
    case 'begin':
      return begun(entry, before, moved)
    case 'due-back': {
      const { dueBack, note, by, at } = entry
      const was = card.progress[entry.operation]
      const work = { said: [...before.said, { back: dueBack, note, by, at }] }
      return was?.kind === 'started' ? moved({ ...was, dueBack }, work) : next(work)
    }
    case 'part-off': {
      const { id, what, name, shelf, operation, by, at } = entry
      const now = { place: 'shelf' as const, note: '', by, at }
      return { ...card, parts: [...card.parts, { id, what, name, shelf, operation, by, at, now }] }
    }
    case 'part-to': {
      const { place, note, by, at } = entry
      const now = { place, note, by, at }
      return { ...card, parts: card.parts.map((part) => (part.id === entry.part ? { ...part, now } : part)) }
    }
    case 'done': {
      const was = card.progress[entry.operation]
      const from = was?.kind === 'started' ? was.at : entry.at
      return moved(
        { kind: 'done', from, to: laterOf(entry.at, from), by: entry.by },
        endPause(before, entry.at),
      )
    }
    case 'record':
      return moved(
        { kind: 'done', from: entry.from, to: entry.to, by: entry.by },
        { ...endPause(before, entry.to), recorded: true },
      )
    case 'undo':
      return takenBack(card, entry.operation)
    case 'pause':
      return next({ pauses: [...before.pauses, { from: entry.at, reason: entry.reason, by: entry.by }] })
    case 'resume':
      return next(endPause(before, entry.at))
    case 'process': {
      const { panel, process, reason, at, by } = entry
      return { ...card, processes: [...card.processes, { panel, process, reason, at, by }] }
    }
    default:
      return next(detailOf(before, entry))
  }
}

/** A step is under way; of what left for it, until when. */
function begun(
  { at, by, dueBack }: Extract<Entry, { kind: 'begin' }>,
  { said }: StepWork,
  moved: (progress: Progress, work: Partial<StepWork>) => CardState,
): CardState {
  return moved(
    { kind: 'started', at, by, ...(dueBack ? { dueBack } : {}) },
    { began: { at, by }, ...(dueBack ? { said: [...said, { back: dueBack, note: '', by, at }] } : {}) },
  )
}

/** The card as it stood before the step was last said to be done or begun. What was ticked goes with a beginning taken back. */
function takenBack(card: CardState, operation: OperationId): CardState {
  const [was, before] = [card.progress[operation], workOn(card, operation)]
  const { recorded, ...begun } = before
  // Where nobody's beginning is on the card, as in a past that was brought along, it began when it is said to have.
  const began =
    begun.began ??
    (was?.kind === 'done' && !recorded ? { at: was.from, ...(was.by ? { by: was.by } : {}) } : undefined)
  if (was?.kind === 'done' && began)
    return {
      ...card,
      progress: { ...card.progress, [operation]: { kind: 'started', ...began } },
      work: { ...card.work, [operation]: begun },
    }
  const { [operation]: _, ...progress } = card.progress
  const { [operation]: __, ...work } = card.work
  return { ...card, progress, work }
}

const endPause = (work: StepWork, at: Instant): Partial<StepWork> => ({
  pauses: work.pauses.map((pause) => (pause.to ? pause : { ...pause, to: laterOf(at, pause.from) })),
})

type Detail = Exclude<
  Entry,
  {
    kind:
      | 'begin'
      | 'done'
      | 'record'
      | 'undo'
      | 'pause'
      | 'resume'
      | 'process'
      | 'due-back'
      | 'part-off'
      | 'part-to'
  }
>

function detailOf(work: StepWork, entry: Detail): Partial<StepWork> {
  const { at } = entry
  switch (entry.kind) {
    case 'section': {
      const before = work.sections[entry.panel]?.done ?? 0
      return worked(work, entry.panel, Math.max(0, Math.min(entry.of, before + entry.count)), at)
    }
    case 'sections':
      return worked(work, entry.panel, entry.done, at)
    case 'coat':
      return withCoat(work, entry)
    case 'timer':
      return {
        timers: [...work.timers, { id: entry.id, label: entry.label, began: at, seconds: entry.seconds }],
      }
    case 'timer-off':
      return {
        timers: work.timers.map((timer) =>
          timer.id === entry.timer && !timer.off ? { ...timer, off: at } : timer,
        ),
      }
    case 'pad':
      return {
        pad:
          entry.what === 'fresh'
            ? { sinceCleaned: 0, sinceFresh: 0, fresh: work.pad.fresh + 1 }
            : { ...work.pad, sinceCleaned: 0 },
      }
    case 'towel':
      return { towels: work.towels + 1 }
    case 'check':
      return { checks: { ...work.checks, [entry.item]: entry.checked } }
    case 'gloss':
      return { gloss: { ...work.gloss, [entry.panel]: entry.gu } }
    case 'short':
      return { short: [...work.short, { panel: entry.panel, note: entry.note, at }] }
    case 'short-off':
      return { short: work.short.filter(({ panel }) => panel !== entry.panel) }
    case 'note': {
      const { id, to, text, by } = entry
      return { notes: [...work.notes, { id, to, text, by, at }] }
    }
    case 'note-answer': {
      const answer = { text: entry.text, by: entry.by, at }
      return { notes: work.notes.map((note) => (note.id === entry.note ? { ...note, answer } : note)) }
    }
    case 'note-read':
      return { notes: work.notes.map((note) => (note.id === entry.note ? { ...note, read: at } : note)) }
    case 'order': {
      const { what, supplier, due, by } = entry
      return { order: { what, supplier, due, by, at } }
    }
    case 'order-here':
      return work.order ? { order: { ...work.order, here: at } } : {}
    case 'torque': {
      const { nm, wrench, by } = entry
      return { torque: { nm, wrench, by, at } }
    }
    case 'high-spot':
      return { highSpots: [...work.highSpots, { id: entry.id, panel: entry.panel, found: at }] }
    case 'high-spot-off':
      return { highSpots: work.highSpots.filter(({ id }) => id !== entry.spot) }
    case 'high-spot-gone':
      return {
        highSpots: work.highSpots.map((spot) =>
          spot.id === entry.spot && !spot.gone ? { ...spot, gone: { at, how: entry.how } } : spot,
        ),
      }
    default:
      return unhandled(entry)
  }
}

/** A section has come to a stage; what is said of a whole panel holds for all its sections. */
function withCoat(
  { coats }: StepWork,
  { panel, section, stage, at, by }: Extract<Entry, { kind: 'coat' }>,
): Partial<StepWork> {
  const others =
    section === undefined
      ? Object.fromEntries(Object.entries(coats).filter(([key]) => !key.startsWith(`${panel}/`)))
      : coats
  return { coats: { ...others, [coatKey(panel, section)]: { stage, at, by } } }
}

/** A panel now has so many sections worked; the pad has seen what was added. */
function worked(work: StepWork, panel: string, done: number, at: Instant): Partial<StepWork> {
  const more = Math.max(0, done - (work.sections[panel]?.done ?? 0))
  const { sinceCleaned, sinceFresh, fresh } = work.pad
  return {
    sections: { ...work.sections, [panel]: { done, at } },
    pad: { sinceCleaned: sinceCleaned + more, sinceFresh: sinceFresh + more, fresh },
  }
}

function unhandled(entry: never): never {
  throw new Error(`unhandled act: ${JSON.stringify(entry)}`)
}

/**
 * The card of a job from what is recorded of it: when its steps began and ended, and every other act in the order in
 * which they were taken.
 */
export function cardOf(live: Pick<LiveJob, 'progress'>, entries: readonly Entry[]): CardState {
  const empty: CardState = { progress: {}, work: {}, processes: [], parts: [] }
  return { ...entries.reduce(withEntry, empty), progress: live.progress }
}
