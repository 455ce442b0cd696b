import { Field } from '@/ui/field'

/** As long as a reason on a card may be, characters. */
const REASON_MOST = 300
const REASON_MISSING = 'Say in a few words why.'

/** Why something is done otherwise than agreed, in a few words that stay on the card. */
export function ReasonField({
  label,
  reason,
  isMissing,
  onChange,
}: {
  label: string
  reason: string
  isMissing: boolean
  onChange: (reason: string) => void
}) {
  return (
    <Field label={label} {...(isMissing ? { error: REASON_MISSING } : {})}>
      <input
        className="field"
        maxLength={REASON_MOST}
        value={reason}
        onChange={({ target }) => onChange(target.value)}
      />
    </Field>
  )
}
