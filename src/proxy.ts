import { NextResponse } from 'next/server'

/**
 * Pages that are given away by a link may stand on a public address while the shop does not. From them no action of the shop
 * can be called, whatever a request carries: the only thing they take is a wish, by a route of its own.
 */
export function proxy(request: Request): Response {
  return request.headers.has('next-action')
    ? new Response('Nothing of the shop can be done from here.', { status: 403 })
    : NextResponse.next()
}

export const config = { matcher: ['/o/:path*', '/g/:path*'] }
