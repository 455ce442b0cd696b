import { Field } from '@/ui/field'

type Props = { label: string; error?: string; value: string; onChange: (name: string) => void }

/** What a tablet or screen of the shop is called. */
export function DeviceNameField({ label, error, value, onChange }: Props) {
  return (
    <div className="min-w-72">
      <Field label={label} {...(error ? { error } : {})}>
        <input
          className="field"
          maxLength={60}
          placeholder="Tablet by the wash bay"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      </Field>
    </div>
  )
}
