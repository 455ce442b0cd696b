'use client'

import type { ComponentProps } from 'react'
import { Button } from './button'

export function PrintButton({
  look = 'solid',
  words = 'Print',
}: Pick<ComponentProps<typeof Button>, 'look'> & { words?: string }) {
  return (
    <Button look={look} onClick={() => window.print()}>
      {words}
    </Button>
  )
}
