import { Button } from '@/ui/button'
import type { Survey } from './use-survey'

type Props = Pick<Survey, 'state' | 'settle'> & { nameOf: (id: string) => string }

/** Whether what stands here is kept, and what another tablet has brought. */
export function SaveNote({ state, settle, nameOf }: Props) {
  const names = (ids: readonly string[]) => ids.map(nameOf).join(', ')
  switch (state.kind) {
    case 'kept':
      return (
        <p className="text-sm text-ink-soft" role="status">
          Saved{state.merged.length > 0 && `, with what another tablet wrote: ${names(state.merged)}`}
        </p>
      )
    case 'keeping':
      return (
        <p className="text-sm text-ink-soft" role="status">
          Saving…
        </p>
      )
    case 'refused':
      return (
        <p className="max-w-72 text-sm text-copper" role="alert">
          {state.message}
        </p>
      )
    case 'elsewhere':
      return (
        <div role="alert" className="max-w-sm text-sm text-copper">
          Someone else also changed {names(state.conflicts)}.
          <span className="mt-1 flex gap-2">
            <Button look="outline" onClick={() => settle('theirs', state.theirs)}>
              Use theirs
            </Button>
            <Button look="outline" onClick={() => settle('mine', state.theirs)}>
              Use mine
            </Button>
          </span>
        </div>
      )
  }
}
