import NextLink from 'next/link'
import type { ComponentProps } from 'react'

/**
 * A link to another page of the shop. Every page is read anew when it is opened: to fetch one ahead for each link in sight, as the
 * framework would, costs the server a page for each and shows nothing sooner.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />
