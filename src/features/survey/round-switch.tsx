import type { Round } from './rounds'

/** What is shown over the plan: a round by its id, or what has gone between the first and the last. */
export type Shown = { kind: 'round'; id: string } | { kind: 'difference' }

type Props = {
  rounds: readonly Round[]
  /** Two of them were read, so that their difference means something. */
  comparable: boolean
  shown: Shown
  onShow: (shown: Shown) => void
}

/** Which round lies on the plan: before, after, earlier visits, or what has gone in between. */
export function RoundSwitch({ rounds, comparable, shown, onShow }: Props) {
  return (
    <fieldset className="mb-3 flex flex-wrap gap-1.5" aria-label="Round on the plan">
      {rounds.map(({ id, name }) => (
        <RoundButton
          key={id}
          name={name}
          pressed={shown.kind === 'round' && shown.id === id}
          onPress={() => onShow({ kind: 'round', id })}
        />
      ))}
      {comparable && (
        <RoundButton
          name="What was removed"
          pressed={shown.kind === 'difference'}
          onPress={() => onShow({ kind: 'difference' })}
        />
      )}
    </fieldset>
  )
}

function RoundButton({ name, pressed, onPress }: { name: string; pressed: boolean; onPress: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={pressed}
      className="min-h-11 rounded border border-ink-soft/45 bg-sheet px-3 text-[15px] hover:bg-lichen aria-pressed:border-fern aria-pressed:bg-fern aria-pressed:text-on-fern"
      onClick={onPress}
    >
      {name}
    </button>
  )
}
