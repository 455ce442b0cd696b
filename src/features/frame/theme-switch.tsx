'use client'

import { useRouter } from 'next/navigation'
import { chooseTheme } from '@/server/shop/theme-actions'

/** Paper for the desk, booth for the dark inspection bay. */
export function ThemeSwitch({ theme }: { theme: 'paper' | 'booth' }) {
  const router = useRouter()
  const other = theme === 'paper' ? 'booth' : 'paper'
  return (
    <button
      type="button"
      aria-label={other === 'booth' ? 'Dark screen' : 'Light screen'}
      className="min-h-11 min-w-11 rounded px-3 text-sm underline decoration-ink-soft/40 underline-offset-4 hover:bg-lichen"
      onClick={async () => {
        await chooseTheme(other)
        router.refresh()
      }}
    >
      {other === 'booth' ? 'Dark' : 'Light'}
      <span className="max-lg:hidden">&nbsp;screen</span>
    </button>
  )
}
