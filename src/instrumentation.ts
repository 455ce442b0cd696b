/** Runs once when the server starts: the outbox empties itself from then on, and the lists keep up with the calendar. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { startRounds } = await import('./server/rounds')
  startRounds()
}
