'use client'

import NextLink from 'next/link'
import type { ComponentProps } from 'react'
import { useMayOpen } from './me'

type Props = Omit<ComponentProps<typeof NextLink>, 'href'> & { href: string }

/**
 * A link to another page of the shop; its words alone for whoever may not open that. Every page is read anew when it is opened: to fetch one ahead
 * for each link in sight, as the framework would, costs the server a page for each and shows nothing sooner.
 */
export function Link(props: Props) {
  const mayOpen = useMayOpen()
  return mayOpen(props.href) ? (
    <NextLink prefetch={false} {...props} />
  ) : (
    <span className={props.className}>{props.children}</span>
  )
}
