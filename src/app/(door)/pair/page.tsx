import type { Metadata } from 'next'
import { PairScreen } from '@/features/staff/pair-screen'

export const metadata: Metadata = { title: 'A device of the shop' }

export default function PairPage() {
  return <PairScreen />
}
