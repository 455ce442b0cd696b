'use client'

import type { ComponentProps } from 'react'
import { Button } from './button'

export function PrintButton({ look = 'solid' }: Pick<ComponentProps<typeof Button>, 'look'>) {
  return (
    <Button look={look} onClick={() => window.print()}>
      Print
    </Button>
  )
}
