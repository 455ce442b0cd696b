import type { ReactNode } from 'react'
import { AftercareRooms } from '@/features/aftercare/aftercare-rooms'

export default function AftercareLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <AftercareRooms />
      {children}
    </>
  )
}
