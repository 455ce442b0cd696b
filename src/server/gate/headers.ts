/** What every answer tells the browser to do for the shop's safety. */

/**
 * Only scripts that bear the nonce of this answer run, and those they load. Style attributes are allowed: charts, plans and leaves are
 * drawn by them, and they run nothing.
 */
export function contentPolicy(nonce: string, { isSecure }: { isSecure: boolean }): string {
  const own = "'self'"
  const none = "'none'"
  const given = `'nonce-${nonce}'`
  const rules: Record<string, string[]> = {
    'default-src': [own],
    'script-src': [own, given, "'strict-dynamic'"],
    'style-src': [own, given],
    'style-src-attr': ["'unsafe-inline'"],
    'img-src': [own, 'blob:', 'data:'],
    'worker-src': [own, 'blob:'],
    'object-src': [none],
    'base-uri': [none],
    'form-action': [own],
    'frame-ancestors': [none],
    ...(isSecure ? { 'upgrade-insecure-requests': [] } : {}),
  }
  return Object.entries(rules)
    .map(([what, from]) => [what, ...from].join(' '))
    .join('; ')
}

const TWO_YEARS_SECONDS = 63_072_000

export const safetyHeaders = ({ isSecure }: { isSecure: boolean }): Record<string, string> => ({
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
  ...(isSecure ? { 'strict-transport-security': `max-age=${TWO_YEARS_SECONDS}` } : {}),
})
