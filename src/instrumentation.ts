/** Runs once when the server starts: the outbox empties itself from then on. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { startPostman } = await import('./server/postman')
  startPostman()
}
