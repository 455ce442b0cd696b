'use client'

import {
  MATERIALS,
  methodMinutes,
  methodSchema,
  PAIR_HAZE,
  pairUm,
  removalUm,
  roleAt,
  seededMethod,
  worked,
} from '@/core/correction'
import { clearedShare } from '@/core/survey'
import { panelsOf } from '@/core/vehicle'
import { MATERIAL_NAME, methodTitle } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { duration, measured, percent, unitSign } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { ToolFields, type Tools } from '@/ui/tool-fields'
import { readMethod, type TypedMethod, type TypedStep, typedStep } from './typed-method'

type Props = {
  method: TypedMethod
  fault: { message: string; field?: string } | undefined
  onChange: (method: TypedMethod) => void
  onRemove?: () => void
}

const MOST_STEPS = 5
const ROLE_TITLE = { single: 'The step', cut: 'Cutting step', refine: 'Finishing step' } as const

/** One method, step by step; what it comes to on a bonnet is worked out while it is typed. */
export function MethodForm({ method, fault, onChange, onRemove }: Props) {
  const set = (change: Partial<TypedMethod>) => onChange({ ...method, ...change })
  const error = (field: string) => (fault?.field === field ? fault.message : undefined)
  const { steps } = method
  const shipped = methodTitle({ key: method.key, name: '' })
  return (
    <section className="sheet space-y-5 p-5" aria-label={methodTitle(method)}>
      <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_12rem]">
        <Field label="Name" error={error('name')}>
          <input
            className="field"
            value={method.name || (shipped === method.key ? '' : shipped)}
            onChange={(event) => set({ name: event.target.value === shipped ? '' : event.target.value })}
          />
        </Field>
        <Field label="Until this much is gone, %" hint="With 0, the fewest passes." error={error('clears')}>
          <NumberInput value={method.clearsPercent} onChange={(clearsPercent) => set({ clearsPercent })} />
        </Field>
      </div>
      {steps.map((step, at) => (
        <StepFields
          key={at}
          step={step}
          title={
            steps.length > 2 && roleAt(at, steps.length) === 'cut'
              ? `Step ${at + 1}, cutting`
              : ROLE_TITLE[roleAt(at, steps.length)]
          }
          error={(field) => error(`steps.${at}.${field}`)}
          onChange={(next) => set({ steps: steps.with(at, next) })}
          {...(steps.length > 1 ? { onRemove: () => set({ steps: steps.toSpliced(at, 1) }) } : {})}
        />
      ))}
      {steps.length < MOST_STEPS && (
        <Button
          look="outline"
          onClick={() => set({ steps: [...steps, typedStep(seededMethod('two-step').steps[1]!)] })}
        >
          Add a finishing step
        </Button>
      )}
      <fieldset className="border-t border-line pt-4">
        <legend className="float-left mb-2 w-full text-lg font-bold font-head">What it may be used on</legend>
        <div className="clear-both grid gap-x-6 sm:grid-cols-3">
          {MATERIALS.map((material) => (
            <label key={material} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0 accent-fern"
                checked={method.fit.includes(material)}
                onChange={(event) => {
                  const others = method.fit.filter((each) => each !== material)
                  set({ fit: event.target.checked ? [...others, material] : others })
                }}
              />
              {MATERIAL_NAME[material]}
            </label>
          ))}
        </div>
        {error('fit') && (
          <p role="alert" className="text-sm font-semibold text-copper">
            {error('fit')}
          </p>
        )}
        <p className="text-sm text-ink-soft">
          Hard limits hold whatever is ticked: nothing coarse on plastic, no wool on metallic single stage.
        </p>
      </fieldset>
      <label className="flex min-h-11 items-start gap-3">
        <input
          type="checkbox"
          className="mt-0.5 size-6 shrink-0 accent-fern"
          checked={method.leavesProtection}
          onChange={(event) => set({ leavesProtection: event.target.checked })}
        />
        <span>
          Leaves protection behind
          <span className="block text-sm text-ink-soft">Then no coating goes over it.</span>
        </span>
      </label>
      <OnABonnet method={method} />
      <div className="flex flex-wrap items-center gap-4 border-t border-line pt-4">
        {onRemove ? (
          <Button look="quiet" onClick={onRemove}>
            Remove this method
          </Button>
        ) : (
          <Button look="quiet" onClick={() => set({ retired: !method.retired })}>
            {method.retired ? 'Offer it again' : 'No longer offer it'}
          </Button>
        )}
        {error('retired') && (
          <p role="alert" className="text-sm font-semibold text-copper">
            {error('retired')}
          </p>
        )}
        {method.version > 1 && <p className="text-sm text-ink-soft">Version {method.version}</p>}
      </div>
    </section>
  )
}

type NumberField =
  | 'dial'
  | 'least'
  | 'most'
  | 'removalPerPassUm'
  | 'hazePoints'
  | 'sectionM'
  | 'padMm'
  | 'armMmPerSecond'

/** A mark everybody knows. */
const SWIRLS = { kind: 'swirls', severity: 2, extentPercent: 100, catchesNail: false } as const
const BONNET = panelsOf('saloon').find(({ id }) => id === 'bonnet')!

/** What the method comes to on the bonnet of a saloon, with its usual passes on paint of medium hardness. */
function OnABonnet({ method }: { method: TypedMethod }) {
  const region = useRegion()
  const checked = methodSchema.safeParse(readMethod(method))
  if (!checked.success || checked.data.steps.length === 0) return null
  const done = worked(checked.data)
  const um = removalUm(done, 1)
  return (
    <p className="rounded bg-lichen/70 px-3 py-2" aria-live="polite">
      On a {staffPanelName(region, 'bonnet')} of medium-hard paint, with{' '}
      {done.steps.map(({ passes }) => passes).join(' and ')} passes:{' '}
      <strong>{measured(region, 'depth', um, 2)}</strong>,{' '}
      <strong>{duration(region, methodMinutes(done, BONNET, 'usual'))}</strong>, and about{' '}
      <strong>{percent(region, Math.round(100 * clearedShare(SWIRLS, um)))}</strong> of moderate swirls gone.
    </p>
  )
}

function StepFields({
  step,
  title,
  error,
  onChange,
  onRemove,
}: {
  step: TypedStep
  title: string
  error: (field: string) => string | undefined
  onChange: (step: TypedStep) => void
  onRemove?: () => void
}) {
  const region = useRegion()
  // Another pair takes something else: what is usual for it stands there to be corrected.
  const withTools = (changed: Partial<Tools>) => {
    const next = { ...step, ...changed }
    onChange(
      changed.machine
        ? next
        : {
            ...next,
            removalPerPassUm: String(pairUm(next.pad, next.liquid) || 0.01),
            hazePoints: String(PAIR_HAZE[next.pad]),
          },
    )
  }
  const field = (
    name: NumberField,
    label: string,
    more: { hint?: string; path?: string; quantity?: 'length' } = {},
  ) => (
    <Field label={label} {...(more.hint ? { hint: more.hint } : {})} error={error(more.path ?? name)}>
      <NumberInput
        value={step[name]}
        onChange={(value) => onChange({ ...step, [name]: value })}
        {...(more.quantity ? { quantity: more.quantity } : {})}
      />
    </Field>
  )
  const minutes = (name: keyof TypedStep['handling'], label: string) => (
    <Field label={label} error={error(`handling.${name}`)}>
      <NumberInput
        value={step.handling[name]}
        onChange={(value) => onChange({ ...step, handling: { ...step.handling, [name]: value } })}
      />
    </Field>
  )
  return (
    <fieldset className="border-t border-line pt-4">
      <legend className="float-left mb-2 w-full font-head text-lg font-bold">{title}</legend>
      <div className="clear-both grid gap-3 sm:grid-cols-3">
        <ToolFields tools={step} error={error} onChange={withTools} />
        {field('dial', 'Speed on the dial')}
        {field('least', 'Passes, at least', { path: 'passes.least' })}
        {field('most', 'Passes, at most', { path: 'passes.most' })}
        {field('removalPerPassUm', 'Removed by a pass, µm', { hint: 'From paint of medium hardness.' })}
        {field('hazePoints', 'Haze it leaves, points')}
        {field('sectionM', `Side of a section, ${unitSign(region, 'length')}`, { quantity: 'length' })}
      </div>
      <details className="mt-2">
        <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
          Its minutes: pad, arm and handling
        </summary>
        <div className="grid gap-3 sm:grid-cols-3">
          {field('padMm', 'Width of the pad, mm')}
          {field('armMmPerSecond', 'Speed of the arm, mm/s')}
          {minutes('changeOver', 'Setting up a panel, min')}
          {minutes('spread', 'Spreading a section, min')}
          {minutes('wipeAndLook', 'Wiping and checking it, min')}
          {minutes('padCleaning', 'Cleaning the pad, min')}
        </div>
      </details>
      {onRemove && (
        <Button look="quiet" className="mt-1" onClick={onRemove}>
          Remove this step
        </Button>
      )}
    </fieldset>
  )
}
