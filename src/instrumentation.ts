/** What a page or a route threw: its kind and where it arose, never what was asked for. */
export async function onRequestError(
  error: unknown,
  _request: unknown,
  { routePath }: { routePath: string },
): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { faultFacts, log } = await import('./server/log')
  log.error({ request: routePath, ...faultFacts(error) })
}

/** Runs once when the server starts: the outbox empties itself from then on, and the lists keep up with the calendar. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { startRounds } = await import('./server/rounds')
  startRounds()
}
