import { SETUP_STEPS, type SetupStep } from '@/core/shop'

/** The pages on which a new shop is set up, and what each is about. */
export const STEP: Record<SetupStep, { href: string; title: string; words: string }> = {
  identity: {
    href: '/shop/region',
    title: 'Name and region',
    words: 'Name, address and logo on your papers; language, currency and units.',
  },
  crew: {
    href: '/shop/crew',
    title: 'People, bays and hours',
    words: 'Who works when, where cars stand, and the days you are closed.',
  },
  packages: {
    href: '/shop/packages',
    title: 'Packages',
    words: 'Five to begin with: keep, change or remove them.',
  },
  prices: {
    href: '/shop/prices',
    title: 'Prices and tax',
    words: 'What an hour costs, the tax, and the subcontractors you call in.',
  },
}

export const stepAt = (path: string): SetupStep | undefined =>
  SETUP_STEPS.find((step) => STEP[step].href === path)
