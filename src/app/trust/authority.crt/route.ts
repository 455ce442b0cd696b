import { ownAuthority } from '@/server/gate/reach'

/** What a tablet has to trust before it comes in over https. It is no secret: its key stays on the machine. */
export function GET() {
  const authority = ownAuthority()
  if (!authority) return new Response(null, { status: 404 })
  return new Response(authority.pem, {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="fern-yard.crt"',
      'cache-control': 'no-store',
    },
  })
}
