import { emptyMeasured, type Measured, PHASES, type SurveyRecord } from './record'

/**
 * Two tablets on one car. What stands on a screen is merged with what another has stored in the meantime, panel by
 * panel; only where both changed the same panel does somebody have to choose.
 */

/** A record taken apart: one leaf for each panel and kind of entry. */
type Leaves = Map<string, unknown>

const TABLES = ['readings', 'gloss', 'clarity'] as const satisfies (keyof Measured)[]

function takeApart(record: SurveyRecord): Leaves {
  const leaves: Leaves = new Map()
  const add = (table: string, rows: Record<string, unknown>) => {
    for (const [id, value] of Object.entries(rows))
      if (!(Array.isArray(value) && value.length === 0)) leaves.set(`${table}/${id}`, value)
  }
  for (const phase of PHASES) for (const table of TABLES) add(`${phase}/${table}`, record[phase][table])
  add('defects', record.defects)
  add('found', record.found ?? {})
  add('places', record.places)
  for (const panel of record.films) leaves.set(`film/${panel}`, true)
  for (const panel of record.inspected) leaves.set(`inspected/${panel}`, true)
  // A page of before says nothing of it.
  for (const panel of record.again ?? []) leaves.set(`again/${panel}`, true)
  for (const panel of record.marked ?? []) leaves.set(`marked/${panel}`, true)
  for (const item of record.looked) leaves.set(`looked/${item}`, true)
  return leaves
}

function putTogether(leaves: Leaves): SurveyRecord {
  const rows = (table: string) =>
    Object.fromEntries(
      [...leaves].flatMap(([key, value]) =>
        key.startsWith(`${table}/`) ? [[key.slice(table.length + 1), value]] : [],
      ),
    )
  const measured = (phase: string): Measured => ({
    ...emptyMeasured(),
    ...(Object.fromEntries(TABLES.map((table) => [table, rows(`${phase}/${table}`)])) as Measured),
  })
  return {
    before: measured('before'),
    after: measured('after'),
    defects: rows('defects') as SurveyRecord['defects'],
    places: rows('places') as SurveyRecord['places'],
    films: Object.keys(rows('film')),
    inspected: Object.keys(rows('inspected')),
    found: rows('found') as SurveyRecord['found'],
    again: Object.keys(rows('again')),
    marked: Object.keys(rows('marked')),
    looked: Object.keys(rows('looked')),
  }
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The entries in which two records differ, as `before/readings/bonnet` or `defects/roof`; their order does not matter. */
export function differingEntries(a: SurveyRecord, b: SurveyRecord): string[] {
  const [one, other] = [takeApart(a), takeApart(b)]
  return [...new Set([...one.keys(), ...other.keys()])].filter((key) => !same(one.get(key), other.get(key)))
}

/** The ids of what is in conflict: the panel or place, however many of its entries differ. */
export type Merge = { merged: SurveyRecord; conflicts: string[]; taken: string[] }

/**
 * Merges `mine` and `theirs`, both made from `base`. Where both changed the same entry differently, `prefer` says
 * whose stays; without it mine stays in `merged` and the panel is named in `conflicts`. `taken` names the panels
 * where something of theirs came in.
 */
export function mergeSurveys(
  base: SurveyRecord,
  mine: SurveyRecord,
  theirs: SurveyRecord,
  prefer: 'mine' | 'theirs' = 'mine',
): Merge {
  const [was, here, there] = [takeApart(base), takeApart(mine), takeApart(theirs)]
  const merged: Leaves = new Map()
  const conflicts = new Set<string>()
  const taken = new Set<string>()
  for (const key of new Set([...was.keys(), ...here.keys(), ...there.keys()])) {
    const [old, own, other] = [was.get(key), here.get(key), there.get(key)]
    const changedHere = !same(old, own)
    const changedThere = !same(old, other)
    const clash = changedHere && changedThere && !same(own, other)
    const id = key.slice(key.lastIndexOf('/') + 1)
    if (clash) conflicts.add(id)
    const takeTheirs = changedThere && (!changedHere || (clash && prefer === 'theirs'))
    if (takeTheirs) taken.add(id)
    const value = takeTheirs ? other : own
    if (value !== undefined) merged.set(key, value)
  }
  return { merged: putTogether(merged), conflicts: [...conflicts], taken: [...taken] }
}
