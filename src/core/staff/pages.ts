import { fits } from './closed'
import { type Duty, mayDo, type Role } from './roles'

/**
 * Every address of the app and who may ask for it; `:name` stands for one part, `*` for all that follow. What is not in this list is
 * answered to nobody but the team, which is told that there is nothing there.
 */
export const PAGES = {
  '/': 'desk',
  '/sign-in': 'anybody',
  '/sign-out': 'anybody',
  '/pair': 'anybody',
  '/trust': 'anybody',
  '/trust/authority.crt': 'anybody',
  '/not-yours': 'team',
  '/you': 'team',
  '/intake': 'desk',
  '/work': 'team',
  '/schedule': 'desk',
  '/schedule/promise': 'desk',
  '/practice': 'team',
  '/vehicles': 'desk',
  '/vehicles/:id': 'desk',
  '/vehicles/:id/owner': 'desk',
  '/vehicles/:id/paint': 'team',
  '/vehicles/:id/history': 'desk',
  '/vehicles/:id/history.json': 'desk',
  '/vehicles/:id/history.pdf': 'desk',
  '/vehicles/:id/care.ics': 'desk',
  '/jobs/:id': 'team',
  '/jobs/:id/survey': 'team',
  '/jobs/:id/spots': 'team',
  '/jobs/:id/walk': 'team',
  '/jobs/:id/wash': 'team',
  '/jobs/:id/work': 'team',
  '/jobs/:id/sign-off': 'team',
  '/jobs/:id/visit': 'team',
  '/jobs/:id/plan': 'desk',
  '/jobs/:id/quote': 'desk',
  '/jobs/:id/quote.pdf': 'desk',
  '/jobs/:id/schedule': 'desk',
  '/jobs/:id/care': 'desk',
  '/jobs/:id/care.ics': 'desk',
  '/jobs/:id/finish': 'team',
  '/jobs/:id/handover': 'desk',
  '/jobs/:id/handover.pdf': 'desk',
  '/aftercare': 'desk',
  '/aftercare/messages': 'desk',
  '/aftercare/texts': 'manage',
  '/stock': 'team',
  '/stock/labels': 'team',
  '/learning': 'manage',
  '/learning/csv/:table': 'manage',
  '/shop': 'manage',
  '/shop/crew': 'manage',
  '/shop/devices': 'manage',
  '/shop/methods': 'manage',
  '/shop/packages': 'manage',
  '/shop/prices': 'manage',
  '/shop/products': 'manage',
  '/shop/region': 'manage',
  '/shop/what-if': 'manage',
  '/shop/staff': 'house',
  '/shop/tablets': 'manage',
  '/shop/journal': 'manage',
  '/shop/journal/journal.csv': 'manage',
  '/shop/backups': 'manage',
  '/shop/health': 'house',
  '/shop/licences': 'manage',
  '/shop/personal': 'manage',
  '/customers/:id/personal-data.zip': 'manage',
  '/shop/data': 'manage',
  '/shop/data/everything.zip': 'house',
  '/shop/data/tables.zip': 'manage',
  '/api/revision': 'team',
  '/api/queue': 'team',
  '/api/queue/photo': 'team',
  '/api/photos/:hash': 'team',
  '/api/jobs/:id/card': 'team',
  '/api/jobs/:id/gauge': 'team',
  '/api/jobs/:id/way': 'team',
  '/api/bring/:id': 'desk',
  '/api/holidays': 'manage',
  '/calendars/:token': 'anybody',
  '/with/:token': 'anybody',
  '/o/:token': 'anybody',
  '/o/:token/ask': 'anybody',
  '/o/:token/care.ics': 'anybody',
  '/o/:token/photos/:hash': 'anybody',
  '/g/:token': 'anybody',
  '/health': 'anybody',
  '/icon.svg': 'anybody',
  '/manifest.webmanifest': 'anybody',
  '/icons/*': 'anybody',
  '/sw.js': 'anybody',
  '/_next/static/*': 'anybody',
} as const satisfies Readonly<Record<string, Duty>>
export type PagePattern = keyof typeof PAGES

/** What is in no list: there is nothing, and only the team is told so. */
const ELSEWHERE: Duty = 'team'

/** Addresses at which somebody only looks whether there is news: no sign that anybody is still there. */
const BY_ITSELF: readonly PagePattern[] = [
  '/api/revision',
  '/api/jobs/:id/way',
  '/api/queue',
  '/api/jobs/:id/gauge',
]

const PATTERNS = (Object.keys(PAGES) as PagePattern[]).map((pattern) => ({
  pattern,
  parts: pattern.split('/'),
}))

/** The address in the list that a path belongs to; one that is written out before one that stands for several. */
export function patternOf(path: string): PagePattern | undefined {
  const parts = path.split('/')
  const exact = PATTERNS.find(({ pattern }) => pattern === path)
  return (exact ?? PATTERNS.find((each) => fits(parts, each.parts)))?.pattern
}

/** Who may ask for a path, such as `/jobs/j-12/work`. */
export function dutyOf(path: string): Duty {
  const pattern = patternOf(path)
  return pattern ? PAGES[pattern] : ELSEWHERE
}

/** Whether a request for a path is a sign that somebody is there. */
export function isSignOfLife(path: string): boolean {
  const pattern = patternOf(path)
  return pattern === undefined || !BY_ITSELF.includes(pattern)
}

/** The kinds of addresses that are closed to a role. */
export const closedTo = (role: Role): PagePattern[] =>
  PATTERNS.map(({ pattern }) => pattern).filter((pattern) => !mayDo(role, PAGES[pattern]))
