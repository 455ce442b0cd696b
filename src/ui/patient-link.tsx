'use client'

import { useRouter } from 'next/navigation'
import type { ComponentProps, MouseEvent } from 'react'
import { Link } from './link'

/** What is being sent just now; the next page is to be read only after it has arrived. */
let underWay: Promise<unknown> | undefined

/** Nobody waits longer than this for a server that does not answer, ms. */
const PATIENCE_MS = 4000

/** Makes links wait until what was typed is kept, so that the next page does not show the state before it. */
export function holdLinks(until: Promise<unknown>): void {
  underWay = until
  const done = () => {
    if (underWay === until) underWay = undefined
  }
  until.then(done, done)
}

type Props = ComponentProps<typeof Link>

/** A link that lets a save finish before it is followed. */
export function PatientLink({ href, ...rest }: Props) {
  const router = useRouter()
  const onClick = (event: MouseEvent<HTMLAnchorElement>) => {
    rest.onClick?.(event)
    const elsewhere = event.metaKey || event.ctrlKey || event.shiftKey || event.altKey
    if (!underWay || elsewhere || event.defaultPrevented) return
    event.preventDefault()
    const patience = new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))
    const go = () => router.push(href)
    Promise.race([underWay, patience]).then(go, go)
  }
  return <Link href={href} {...rest} onClick={onClick} />
}
