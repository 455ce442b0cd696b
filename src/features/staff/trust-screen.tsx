import { TRUST_STEPS, type TrustSystem } from '@/text/en/trust'
import { ButtonLink } from '@/ui/button'

type Props = {
  system: TrustSystem
  host: string
  isSecure: boolean
  /** Whether the shop has an authority of its own. */
  hasAuthority: boolean
}

/** How a device comes to trust the shop, so that what it sends over the shop’s network is read by nobody else. */
export function TrustScreen({ system, host, isSecure, hasAuthority }: Props) {
  if (!hasAuthority)
    return (
      <div className="mx-auto max-w-2xl p-5">
        <h1 className="text-3xl">Nothing to trust here</h1>
        <p className="mt-3">
          This shop does not encrypt by itself: it was started without HTTPS=on, or a proxy does it instead.
        </p>
      </div>
    )
  const others = (Object.keys(TRUST_STEPS) as TrustSystem[]).filter((each) => each !== system)
  return (
    <div className="mx-auto max-w-2xl space-y-4 p-5">
      <h1 className="text-3xl">Trust the shop</h1>
      <p>
        The shop encrypts with certificates of its own. This device has to be told once that it may trust
        them; they are good for this shop’s machine and nothing else.
      </p>
      <p>
        <a
          className="inline-flex min-h-14 items-center rounded bg-fern px-6 font-head text-lg font-semibold text-sheet no-underline"
          href="/trust/authority.crt"
        >
          Take fern-yard.crt
        </a>
      </p>
      <Steps system={system} />
      <section className="border-l-4 border-copper bg-copper/10 p-4">
        <h2 className="text-lg">Before you trust it</h2>
        <p>
          The device shows the fingerprint of what it is about to trust. It must be the one that stands at the
          desk under <em>Shop, Tablets</em>. If it is another, stop: somebody is in between.
        </p>
      </section>
      <p>
        {isSecure ? 'Once it is trusted, go on here' : 'Then come back, encrypted'}, or scan the second code
        at the desk.
      </p>
      <p>
        <ButtonLink look="outline" href={`https://${host}/pair`}>
          Make this device the shop’s
        </ButtonLink>
      </p>
      {others.map((each) => (
        <details key={each} className="border-t border-line pt-1">
          <summary className="cursor-pointer py-2.5">{TRUST_STEPS[each].name}</summary>
          <Steps system={each} isUntitled />
        </details>
      ))}
    </div>
  )
}

function Steps({ system, isUntitled = false }: { system: TrustSystem; isUntitled?: boolean }) {
  const { name, steps } = TRUST_STEPS[system]
  return (
    <section>
      {!isUntitled && <h2 className="text-xl">{name}</h2>}
      <ol className="ml-5 list-decimal">
        {steps.map((step) => (
          <li key={step} className="py-0.5">
            {step}
          </li>
        ))}
      </ol>
    </section>
  )
}
