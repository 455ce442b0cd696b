import { later } from '@/ui/later'
import type { Card } from './use-card'

// Said only where something was not taken.
const NotTaken = later(() => import('./not-taken').then(({ NotTaken: told }) => told))

/** Whether the shop hears this tablet, what still waits here, and what the shop did not take. */
export function NetState({ card }: { card: Card }) {
  const { net, view } = card
  const waiting = net.waiting.length
  const refused = net.refused.filter((entry) => entry.kind === 'call' || entry.job === view.job.id)
  return (
    <>
      <p role="status" data-testid="net" className="pb-2 text-sm text-ink-soft">
        {net.signedOut ? (
          <>
            This screen is locked. Go on: whatever you tap is kept here.{' '}
            <a href={`/sign-in?to=/jobs/${view.job.id}/work`} className="font-semibold underline">
              Sign in to send it
            </a>
          </>
        ) : net.reached ? (
          waiting > 0 ? (
            'Sending…'
          ) : (
            'All saved'
          )
        ) : waiting === 0 ? (
          'No network. Go on: whatever you tap is kept here and sent later.'
        ) : (
          `No network. ${waiting === 1 ? 'One entry is' : `${waiting} entries are`} kept here and sent when it is back.`
        )}
        {net.forgetful && ' This tablet cannot store anything: do not close the page before all is sent.'}
      </p>
      {(card.against || refused.length > 0) && <NotTaken card={card} refused={refused} />}
    </>
  )
}
