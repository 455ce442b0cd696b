import { nextStep, SETUP_STEPS, type SettingUp } from '@/core/shop'
import { ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { Mark } from '../shop/setting-up'
import { STEP } from '../shop/setup-steps'

/** What a shop sees on its yard before its first car: how to set it up, then where to begin. */
export function Welcome({ settingUp }: { settingUp?: SettingUp | undefined }) {
  return (
    <section className="sheet mx-auto my-8 max-w-3xl p-8" aria-label="Welcome">
      {settingUp ? <ToSetUp settingUp={settingUp} /> : <Ready />}
    </section>
  )
}

function ToSetUp({ settingUp }: { settingUp: SettingUp }) {
  const next = nextStep(settingUp) ?? 'identity'
  const isNew = settingUp.done.length === 0
  return (
    <>
      <h1 className="text-3xl">
        {isNew ? 'Welcome. Let us set up your shop.' : 'Your shop is nearly set up.'}
      </h1>
      <p className="mt-2 max-w-prose">
        Four pages, about ten minutes. Each is saved by itself, so you can stop and go on later, and change
        all of it at any time under <Link href="/shop">Shop</Link>.
      </p>
      <ol className="mt-5 divide-y divide-line border-y border-line">
        {SETUP_STEPS.map((step, at) => {
          const isDone = settingUp.done.includes(step)
          return (
            <li key={step} className="flex items-center gap-4 py-3">
              <Mark step={at + 1} isDone={isDone} isHere={step === next} />
              <span className="grow">
                <Link href={STEP[step].href} className="font-head text-lg font-semibold">
                  {STEP[step].title}
                </Link>
                {isDone && <span className="sr-only">, saved</span>}
                <span className="block text-ink-soft">{STEP[step].words}</span>
              </span>
            </li>
          )
        })}
      </ol>
      <ButtonLink href={STEP[next].href} className="mt-5">
        {isNew ? 'Begin' : `Go on with ${STEP[next].title.toLowerCase()}`}
      </ButtonLink>
    </>
  )
}

/** Above the yard of a shop that has begun to work before it was set up. */
export function StillToSetUp({ settingUp }: { settingUp: SettingUp }) {
  const left = SETUP_STEPS.filter((step) => !settingUp.done.includes(step))
  return (
    <p className="mx-5 mt-5 rounded bg-lichen px-4 py-2">
      Your shop is not fully set up. Still to do:{' '}
      {left.map((step, at) => (
        <span key={step}>
          {at > 0 && ', '}
          <Link href={STEP[step].href}>{STEP[step].title}</Link>
        </span>
      ))}
      .
    </p>
  )
}

function Ready() {
  return (
    <>
      <h1 className="text-3xl">Your shop is ready.</h1>
      <p className="mt-2 max-w-prose">
        Check in the first vehicle: who brings it, what it is, what they want. From there the yard leads on to
        the walk-round, the paint survey and the quote.
      </p>
      <div className="mt-5 flex flex-wrap gap-3">
        <ButtonLink href="/intake">Check in the first vehicle</ButtonLink>
        <ButtonLink look="outline" href="/stock">
          Enter your stock
        </ButtonLink>
        <ButtonLink look="outline" href="/shop">
          Change the set-up
        </ButtonLink>
      </div>
    </>
  )
}
