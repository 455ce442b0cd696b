/** Some of a few, as boxes a wet glove can hit. */
export function Checks<T extends string>({
  label,
  options,
  chosen,
  error,
  onChange,
}: {
  label: string
  options: readonly { value: T; name: string }[]
  chosen: readonly T[]
  error: string | undefined
  onChange: (chosen: T[]) => void
}) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: it stands inside a fieldset of its own.
    <div role="group" aria-label={label}>
      <p className="mb-1 font-head text-sm font-semibold">{label}</p>
      <div className="flex flex-wrap gap-1.5">
        {options.map(({ value, name }) => (
          <label
            key={value}
            className="flex min-h-11 items-center gap-2 rounded border border-ink-soft/45 bg-sheet px-3 has-checked:border-fern has-checked:bg-lichen"
          >
            <input
              type="checkbox"
              className="size-5 accent-fern"
              checked={chosen.includes(value)}
              onChange={({ target }) =>
                onChange(target.checked ? [...chosen, value] : chosen.filter((each) => each !== value))
              }
            />
            {name}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="mt-1 text-sm font-semibold text-copper">
          {error}
        </p>
      )}
    </div>
  )
}
