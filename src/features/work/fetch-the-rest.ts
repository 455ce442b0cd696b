/** Fetches the parts of the card that come when they are asked for, once it stands: a tablet that goes away has them. */
export function fetchTheRest(): void {
  const parts = [
    () => import('./sections'),
    () => import('./took-over'),
    () => import('./timer-strip'),
    () => import('./wash-lines'),
    () => import('./machine-recipes'),
    () => import('./at-hand'),
    () => import('./panel-at-hand'),
    () => import('./step-notes'),
    () => import('./wash-old'),
    () => import('./coat-panels'),
    () => import('./coat-log'),
    () => import('./high-spots'),
    () => import('./record-form'),
    () => import('./away-actions'),
    () => import('./torque'),
    () => import('./order-actions'),
    () => import('./parts'),
    () => import('./open-steps'),
    () => import('./just-done'),
    () => import('./air'),
    () => import('./hold-panel'),
    () => import('./not-taken'),
    () => import('./fault-photos'),
    () => import('./another-process'),
    () => import('./take-back-dialog'),
    () => import('../photos/photo-strip'),
    () => import('@/ui/month-calendar'),
  ]
  for (const part of parts) void part().catch(() => undefined)
}
