import type loadHighs from 'highs'
import { toOperationId } from '../../ids'
import type { Problem } from '../contract/problem'
import { ORIGIN } from './small-problem.fixture'

/** A small problem as a mixed-integer programme, for a solver that shares no code with ours. */

type Choice = { name: string; start: number; end: number; person: string | undefined }

/** Hours from the origin at which a person works. The calendars above are the same every day and in whole hours. */
function worksAt(problem: Problem, person: string): (hour: number) => boolean {
  const calendar = problem.calendars[problem.people.find(({ id }) => id === person)!.calendar]!
  if ('always' in calendar) return () => true
  const open = calendar.weekly.mon!.map(([from, to]) => [Number.parseInt(from, 10), Number.parseInt(to, 10)])
  return (hour) => {
    const ofDay = (hour + 8) % 24
    return open.some(([from, to]) => ofDay >= from! && ofDay < to!)
  }
}

/** Every start an operation can have, with every person, and its end, hour by hour. */
function choicesOf(
  problem: Problem,
  prefix: string,
  operation: Problem['jobs'][number]['operations'][number],
  arrive: number,
): Choice[] {
  const horizon = problem.horizonDays * 24
  const hours = operation.minutes / 60
  const choices: Choice[] = []
  const doers =
    operation.mode === 'unattended'
      ? [undefined]
      : problem.people.filter(({ skills }) => skills.includes(operation.skill!)).map(({ id }) => id)
  for (const person of doers) {
    const works = person === undefined ? () => true : worksAt(problem, person)
    for (let start = arrive; start < horizon; start++) {
      if (!works(start)) continue
      let end = start
      for (let left = hours; left > 0 && end <= horizon; end++) {
        if (works(end)) left--
        else if (operation.mode !== 'pausable') end = horizon + 1
      }
      if (end <= horizon) choices.push({ name: `${prefix}_${person ?? 'x'}_${start}`, start, end, person })
    }
  }
  return choices
}

const sumOf = (terms: readonly (readonly [number, string])[]) =>
  terms.map(([factor, name]) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`).join(' ')

/**
 * The problem as a programme in the LP format: a binary for every start of every operation with every person. Costs are
 * in hours. Operations follow each other, so a stay is held from the start of its first to the end of its last.
 */
function asProgramme(problem: Problem): string {
  const horizon = problem.horizonDays * 24
  const hourOf = (text: string) => (Date.parse(text) - ORIGIN) / 3_600_000
  const { tardiness, hold, finish } = problem.objective
  const goal: [number, string][] = []
  const rows: string[] = []
  const binaries: string[] = []
  const busy = new Map<string, string[]>()
  const held = new Map<string, [number, string][]>()
  const note = <T>(map: Map<string, T[]>, key: string, value: T) =>
    map.set(key, [...(map.get(key) ?? []), value])
  for (const job of problem.jobs) {
    const choices = new Map(
      job.operations.map((operation) => [
        operation.id,
        choicesOf(problem, `${job.id}${operation.id}`, operation, hourOf(job.arrive)),
      ]),
    )
    const starts = (id: string, sign = 1) =>
      choices.get(toOperationId(id))!.map(({ name, start }) => [sign * start, name] as const)
    const ends = (id: string, sign = 1) =>
      choices.get(toOperationId(id))!.map(({ name, end }) => [sign * end, name] as const)
    for (const list of choices.values()) {
      rows.push(`${sumOf(list.map(({ name }) => [1, name]))} = 1`)
      for (const { name, start, end, person } of list) {
        binaries.push(name)
        if (person !== undefined)
          for (let hour = start; hour < end; hour++) note(busy, `${person} ${hour}`, name)
      }
    }
    // What has ended in time allows what has begun, hour by hour: tighter than one row of sums.
    const begun = (id: string, by: number, sign: 1 | -1) =>
      choices
        .get(toOperationId(id))!
        .flatMap(({ name, start }) => (start <= by ? [[sign, name] as const] : []))
    const ended = (id: string, by: number, sign: 1 | -1) =>
      choices.get(toOperationId(id))!.flatMap(({ name, end }) => (end <= by ? [[sign, name] as const] : []))
    const atMostNothing = (terms: (readonly [number, string])[]) => {
      if (terms.some(([factor]) => factor > 0)) rows.push(`${sumOf(terms)} <= 0`)
    }
    for (const { from, to, min, max } of job.links)
      for (let hour = 0; hour < horizon; hour++) {
        atMostNothing([...begun(to, hour, 1), ...ended(from, hour - min / 60, -1)])
        if (max !== undefined) atMostNothing([...ended(from, hour, 1), ...begun(to, hour + max / 60, -1)])
      }
    for (const { kind, operations } of job.stays) {
      const [first, last] = [operations[0]!, operations.at(-1)!]
      for (const [factor, name] of [...ends(last), ...starts(first, -1)]) goal.push([hold * factor, name])
      for (let hour = 0; hour < horizon; hour++) {
        for (const { name, start } of choices.get(first)!)
          if (start <= hour) note(held, `${kind} ${hour}`, [1, name])
        for (const { name, end } of choices.get(last)!)
          if (end <= hour) note(held, `${kind} ${hour}`, [-1, name])
      }
    }
    const due = job.due === undefined ? Number.POSITIVE_INFINITY : hourOf(job.due)
    for (const { name, end } of choices.get(job.operations.at(-1)!.id)!)
      goal.push([finish * end + tardiness * job.weight * Math.max(0, end - due), name])
  }
  for (const names of busy.values())
    if (names.length > 1) rows.push(`${sumOf(names.map((name) => [1, name]))} <= 1`)
  for (const [key, terms] of held) {
    const kind = key.split(' ')[0]!
    // Stays are intervals, so as many lofts as are held at once are enough for all of them.
    rows.push(`${sumOf(terms)} <= ${problem.places.filter(({ kinds }) => kinds.includes(kind)).length}`)
  }
  const merged = new Map<string, number>()
  for (const [factor, name] of goal) merged.set(name, (merged.get(name) ?? 0) + factor)
  return [
    'Minimize',
    ` cost: ${sumOf([...merged].map(([name, factor]) => [factor, name]))}`,
    'Subject To',
    ...rows.map((row, index) => ` r${index}: ${mergedRow(row)}`),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n')
}

/** The format wants each variable once in a row. */
function mergedRow(row: string): string {
  const [left, relation, right] = row.split(/ (>=|<=|=) /) as [string, string, string]
  const factors = new Map<string, number>()
  for (const [, sign, factor, name] of left.matchAll(/([+-]) ([\d.]+) (\S+)/g))
    factors.set(name!, (factors.get(name!) ?? 0) + (sign === '-' ? -1 : 1) * Number(factor))
  const kept = [...factors].filter(([, factor]) => factor !== 0)
  return `${sumOf(kept.length > 0 ? kept.map(([name, factor]) => [factor, name]) : [[0, [...factors.keys()][0]!]])} ${relation} ${right}`
}

/** The finish term counts from arrival; the programme counts from the origin. */
function arrivalCost(problem: Problem): number {
  return problem.jobs.reduce(
    (sum, job) => sum + problem.objective.finish * ((Date.parse(job.arrive) - ORIGIN) / 3_600_000),
    0,
  )
}

/**
 * Costs are whole numbers of hours, so half an hour between the best and the bound is a proof. Few problems take longer
 * than some seconds; those are given up.
 */
const EXACT = { mip_rel_gap: 1e-6, mip_abs_gap: 0.4, time_limit: 60 }

/** What an exact solver says of a small problem: the least cost in minutes, that there is no schedule, or nothing in time. */
export type ExactAnswer = { kind: 'least'; cost: number } | { kind: 'none' } | { kind: 'unknown' }

export function exactAnswer(highs: Awaited<ReturnType<typeof loadHighs>>, problem: Problem): ExactAnswer {
  const answer = highs.solve(asProgramme(problem), EXACT)
  if (answer.Status === 'Infeasible') return { kind: 'none' }
  if (answer.Status !== 'Optimal') return { kind: 'unknown' }
  return { kind: 'least', cost: Math.round(answer.ObjectiveValue - arrivalCost(problem)) * 60 }
}
