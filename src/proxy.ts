import { randomBytes } from 'node:crypto'
import { type NextRequest, NextResponse } from 'next/server'
import { isSignOfLife } from './core/staff'
import { now } from './server/clock'
import { database, writer } from './server/db/connection'
import { addressesOf } from './server/gate/address'
import { atTheDoor, type Knock, onceKnown, type Verdict } from './server/gate/gate'
import { contentPolicy, safetyHeaders } from './server/gate/headers'
import { Rates } from './server/gate/rates'
import { cookieNames, whoShows } from './server/staff/caller-now'
import { noteSignOfLife } from './server/staff/sessions'
import { GATE_WORDS, NOT_FOR_YOU, SIGN_IN_FIRST, TOO_OFTEN } from './text/en/gate'

/** Every request comes by here first: whether it is let in, and what its answer tells the browser. */

const addresses = addressesOf(process.env)
const rates = new Rates()

async function verdictOn(request: NextRequest, knock: Knock, isSecure: boolean): Promise<Verdict> {
  const early = atTheDoor(knock, addresses)
  if (early && early.kind !== 'in') return early
  if (early) {
    const seconds = tooOften(request)
    return seconds ? { kind: 'too-often', seconds } : early
  }
  const names = cookieNames(isSecure)
  const shown = {
    session: request.cookies.get(names.session)?.value,
    device: request.cookies.get(names.device)?.value,
  }
  const { caller, isOpen = false } = await whoShows(await database(), shown, now())
  const { session, paired } = caller
  const seconds = tooOften(request, caller)
  if (seconds) return { kind: 'too-often', seconds }
  if (session && isSignOfLife(knock.path)) noteSignOfLife(await writer(), { session, paired }, now())
  return onceKnown(knock, caller, isOpen)
}

/** After how many seconds somebody may ask again who asked too often: counted by who they are, else by where they ask from. */
function tooOften(request: NextRequest, { session }: { session?: string } = {}): number | undefined {
  const who = session ?? request.headers.get('x-fern-peer') ?? ''
  const { pathname: path } = request.nextUrl
  return rates.take({ path, method: request.method, who }, performance.now())
}

/** Whether a person looks at the answer, who can be led elsewhere; else it is a program, which is told. */
const isPage = (request: NextRequest) =>
  request.headers.has('rsc') || (request.headers.get('accept') ?? '').includes('text/html')

function told(request: NextRequest, verdict: Exclude<Verdict, { kind: 'in' }>): Response {
  const { pathname, search } = request.nextUrl
  if (verdict.kind === 'refused') return new Response(GATE_WORDS[verdict.why], { status: verdict.status })
  if (verdict.kind === 'too-often')
    return new Response(TOO_OFTEN, { status: 429, headers: { 'retry-after': String(verdict.seconds) } })
  if (verdict.kind === 'sign-in') {
    if (request.method === 'GET' && isPage(request)) {
      const to = new URL('/sign-in', request.url)
      to.searchParams.set('to', `${pathname}${search}`)
      return NextResponse.redirect(to, 303)
    }
    return Response.json({ message: SIGN_IN_FIRST }, { status: 401 })
  }
  if (request.method === 'GET' && isPage(request))
    return pathname === '/' ? NextResponse.redirect(new URL('/work', request.url), 303) : notYours(request)
  return Response.json({ message: NOT_FOR_YOU }, { status: 403 })
}

/** The page that says so, marked so that no browser keeps it for the page that was asked for. */
function notYours(request: NextRequest): Response {
  const answer = NextResponse.rewrite(new URL('/not-yours', request.url))
  answer.headers.set('x-fern-not-yours', '1')
  return answer
}

export async function proxy(request: NextRequest): Promise<Response> {
  const head = request.headers
  const isSecure = head.get('x-forwarded-proto') === 'https'
  const verdict = await verdictOn(
    request,
    {
      method: request.method,
      path: request.nextUrl.pathname,
      host: head.get('host'),
      origin: head.get('origin'),
      site: head.get('sec-fetch-site'),
      isAction: head.has('next-action'),
      isPassedOn: head.has('x-fern-passed-on'),
    },
    isSecure,
  )
  const nonce = randomBytes(16).toString('base64')
  const policy = contentPolicy(nonce, { isSecure })
  const passed = new Headers(head)
  passed.set('content-security-policy', policy)
  const answer =
    verdict.kind === 'in' ? NextResponse.next({ request: { headers: passed } }) : told(request, verdict)
  for (const [name, value] of Object.entries({
    ...safetyHeaders({ isSecure }),
    'content-security-policy': policy,
  }))
    answer.headers.set(name, value)
  return answer
}
