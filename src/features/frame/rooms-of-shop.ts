/** The rooms of the app, in the order of the menu. */
export const ROOMS = [
  { href: '/', label: 'Yard' },
  { href: '/intake', label: 'Check in' },
  { href: '/work', label: 'Today' },
  { href: '/schedule', label: 'Schedule' },
  { href: '/vehicles', label: 'Vehicles' },
  { href: '/aftercare', label: 'Aftercare' },
  { href: '/stock', label: 'Stock' },
  { href: '/learning', label: 'Learning' },
  { href: '/shop', label: 'Shop' },
] as const
export type Room = (typeof ROOMS)[number]
