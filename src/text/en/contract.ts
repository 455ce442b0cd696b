import { type FaultFacts, type PlainFault, readFault } from '@/core/schedule'

/** What is wrong with a problem or a schedule file, for whoever writes such files. They are told in metric units and by id. */

const PLAIN: Record<PlainFault, string> = {
  'no-room': 'not all of it finds a place',
  instant: 'must be an ISO 8601 instant with an offset',
  'whole-minute':
    'must be an ISO 8601 instant on a whole minute with an offset, such as 2027-01-11T08:00:00+00:00',
  clock: 'must be a time of day HH:MM, 00:00 to 24:00',
  'opens-before-it-closes': 'must open before it closes, as in ["08:00","12:00"]',
  day: 'must be an existing day YYYY-MM-DD',
  calendar:
    'must be { "always": true } or { "weekly": …, "exceptions": […] }, with times HH:MM and open before close',
  'a-minute': 'must be at least 1 minute',
  'needs-people': 'an attended operation needs at least one person',
  'needs-nobody': 'an unattended operation has no people',
  'needs-skill': 'an attended operation names a skill',
  'split-of-one': 'must be at least 1',
  'split-below-people': 'only attended work is shared, and by no fewer than its “people”',
  spread: 'must be from 0 to 1',
  'ends-before-it-begins': 'must be later than “from”',
  'hold-without-end': 'a hold needs “to”: the operation with whose end it ends',
  'not-negative': 'must not be negative',
  'time-zone': 'must be an IANA time zone, such as Europe/Dublin',
  'no-reason': 'an infeasible schedule must name a reason',
  'no-such-operation': 'the problem has no such operation',
  'placed-twice': 'the operation is placed twice',
  'not-whole-minutes': 'start and end must be instants on whole minutes',
  'not-placed': 'the operation is not placed',
  'before-arrival': 'starts before the vehicle arrives',
  'after-horizon': 'ends after the horizon',
  'before-origin': 'starts before the origin',
  'air-damp-before': 'starts before the air is dry again',
  'air-damp-after': 'starts too late to be done in dry air',
  'unattended-with-people': 'is unattended but has people',
  'not-at-fixed-start': 'is not at its fixed start',
  'not-in-fixed-place': 'is not in its fixed place',
  'not-with-fixed-people': 'is not with its fixed people',
  'no-length': 'ends before it starts or lasts for ever',
  'starts-closed': 'starts while its people or its place are closed',
  'ends-late': 'ends after its work is done',
  interrupted: 'is interrupted by closed time',
  'other-segments': 'its segments are not its minutes of work',
  'bound-above': 'the lower bound is above the cost',
  'not-optimal': 'optimal is said, but the lower bound is below the cost',
}

const WITH_FACTS: { [Code in keyof FaultFacts]: (facts: FaultFacts[Code]) => string } = {
  twice: ({ id }) => `“${id}” appears twice`,
  'no-calendar': ({ id }) => `no calendar “${id}”`,
  'not-in-this-job': ({ id }) => `no operation “${id}” in this job`,
  'in-another-stay': ({ id, stay }) => `“${id}” is already in stay “${stay}”`,
  'in-no-stay': ({ id }) => `“${id}” is in no stay`,
  'no-job': ({ id }) => `no job “${id}”`,
  'no-operation': ({ id, job }) => `no operation “${id}” in job “${job}”`,
  'no-place': ({ id }) => `no place “${id}”`,
  'no-person': ({ id }) => `no person “${id}”`,
  'no-equipment': ({ id }) => `no equipment “${id}”`,
  'apart-from-itself': ({ id }) => `“${id}” cannot be apart from itself`,
  'split-above-staff': ({ split, staff }) =>
    `${split} are to share it, and there ${staff === 1 ? 'is only one person' : `are only ${staff} people`}`,
  'people-given': ({ id, needs, given }) => `“${id}” needs ${needs} people, ${given} are given`,
  'too-soon': ({ gap, after, least }) => `starts ${gap} min after “${after}”; at least ${least} are required`,
  'too-late': ({ gap, after, most }) => `starts ${gap} min after “${after}”; at most ${most} are allowed`,
  'several-places': ({ stay }) => `stay “${stay}” is in several places`,
  'other-kind': ({ id, kind }) => `“${id}” is not of the kind “${kind}”`,
  'does-not-fit': ({ id }) => `the vehicle does not fit into “${id}”`,
  'off-grid': ({ minutes }) => `starts off the grid of ${minutes} minutes`,
  lasts: ({ minutes, instead }) => `lasts ${minutes} min instead of ${instead}`,
  'other-team': ({ needs, has }) => `needs ${needs} different people, has ${has.join(', ') || 'none'}`,
  'lacks-skill': ({ id, skill }) => `${id} lacks “${skill}”`,
  'open-minutes': ({ minutes, instead }) => `has ${minutes} open minutes instead of ${instead}`,
  'double-booked': ({ id, job, operation }) => `${id} is still at “${job} / ${operation}”`,
  'split-team': ({ least, most, has }) =>
    `is shared by ${least} to ${most} different people, has ${has.join(', ') || 'none'}`,
  'not-apart': ({ from }) => `must be apart from “${from}”, and overlaps it`,
  'not-during': ({ from, to }) => `must not be done during ${from} to ${to}`,
  'dust-beside-open': ({ air, job, operation }) =>
    `lies open in the air of “${air}” while ${job} / ${operation} raises dust there`,
  'equipment-short': ({ id, used, there }) => `equipment ${id} is used ${used} times at once, ${there} there`,
  'too-full': ({ id, held, fit }) => `${id} is held ${held} times at once, ${fit} fit`,
  'other-term': ({ term, is, said }) => `${term} is ${is}, not ${said}`,
  'other-cost': ({ is, said }) => `the cost is ${is}, not ${said}`,
}

/** The sentence of a fault; any other text as it is. */
export function faultText(text: string): string {
  const read = readFault(text)
  if (!read) return text
  if (!read.facts) return PLAIN[read.code]
  return (WITH_FACTS[read.code] as (facts: object) => string)(read.facts)
}
