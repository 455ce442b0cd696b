'use client'

import { zodResolver } from '@hookform/resolvers/zod'
import clsx from 'clsx'
import { useRouter } from 'next/navigation'
import { RadioGroup } from 'radix-ui'
import { useEffect, useRef, useState } from 'react'
import { Controller, type FieldErrors, useForm } from 'react-hook-form'
import type { Customer } from '@/core/customer'
import { emptyIntake, type Intake, intakeSchema } from '@/core/intake/intake'
import type { KnownVehicle, Past } from '@/core/job'
import { PURPOSES } from '@/core/vehicle'
import { takeVehicleIn } from '@/server/intake/intake-actions'
import { PURPOSE } from '@/text/en/vehicle'
import { currencySign } from '@/text/formats'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { clearDraft, readDraft, writeDraft } from './draft'
import { Amount, CARD, Day, type Form, useErrorOf } from './fields'
import { intakeOf, intakeOfOwner } from './known'
import { PastCard } from './past-card'
import { StepCustomer } from './step-customer'
import { StepLife } from './step-life'
import { StepPaint } from './step-paint'
import { StepVehicle } from './step-vehicle'
import { firstOpenStep, STEPS, stepOf } from './steps'

type Props = {
  today: string
  recent: readonly KnownVehicle[]
  /** The vehicle that was asked to be taken in again. */
  back: Past | undefined
  /** What was said before the car came; a draft that was begun here goes before it. */
  begun: Partial<Intake> | undefined
}

/** Taking a vehicle in: five short stretches of a walk, from the handshake to the date. */
export function IntakeForm({ today, recent, back, begun }: Props) {
  const router = useRouter()
  const form = useForm<Intake>({ resolver: zodResolver(intakeSchema), defaultValues: emptyIntake(today) })
  const [step, setStep] = useState(0)
  const [kept, setKept] = useState(false)
  const [ready, setReady] = useState(false)
  const [past, setPast] = useState<Past>()
  const heading = useRef<HTMLHeadingElement>(null)

  // The draft lives in the browser, so it can only be read once the page is there.
  useEffect(() => {
    const draft = readDraft(begun?.hold)
    const had = Object.keys(draft).length > 0
    form.reset({ ...emptyIntake(today), ...(had ? draft : begun) })
    if (had) setStep(firstOpenStep(form.getValues()))
    if (back) {
      form.reset({ ...emptyIntake(today), ...intakeOf(back.known) })
      setPast(back)
      setStep(stepOf('odometerKm'))
    }
    setKept(had && !back)
    setReady(true)
    const { unsubscribe } = form.watch((values) => writeDraft(values as Partial<Intake>))
    return () => unsubscribe()
  }, [form, today, back, begun])

  const go = (to: number) => {
    setStep(to)
    heading.current?.focus()
    window.scrollTo({ top: 0 })
  }
  const next = async () => {
    if (await form.trigger([...STEPS[step]!.fields])) go(step + 1)
  }
  const missing = (errors: FieldErrors<Intake>) => go(stepOf(Object.keys(errors)[0] as keyof Intake))
  const { run, pending, refusal } = useAction()
  const submit = form.handleSubmit(
    (intake) =>
      run(takeVehicleIn, intake, ({ jobId }) => {
        clearDraft(begun?.hold)
        router.push(`/jobs/${jobId}/walk`)
      }),
    missing,
  )
  useEffect(() => {
    const [field] = refusal?.field.split('.') ?? []
    if (!refusal || !field) return
    form.setError(field as keyof Intake, { message: refusal.message })
    setStep(stepOf(field as keyof Intake))
  }, [refusal, form])

  const startOver = () => {
    clearDraft(begun?.hold)
    form.reset({ ...emptyIntake(today), ...(begun?.hold ? begun : {}) })
    setPast(undefined)
    setKept(false)
    setStep(0)
  }
  const choose = (chosen: Past) => {
    form.reset({ ...form.getValues(), ...intakeOf(chosen.known) })
    setPast(chosen)
    // What is known needs no asking again: on to how it stands here today.
    go(stepOf('odometerKm'))
  }
  const chooseOwner = (owner: Customer) => {
    form.reset({ ...form.getValues(), ...intakeOfOwner(owner) })
    go(stepOf('plate'))
  }
  /** The owner stays, the vehicle is a new one. */
  const forget = () => {
    const { customerId, customerName, phone, email, mayRemind, language, writeBy, tax, arriveDay } =
      form.getValues()
    const owner = { customerId, customerName, phone, email, mayRemind, language, writeBy, tax }
    form.reset({ ...emptyIntake(today), ...owner, arriveDay })
    setPast(undefined)
    go(stepOf('plate'))
  }

  const last = step === STEPS.length - 1
  return (
    <form
      onSubmit={(event) => {
        if (last) return submit(event)
        event.preventDefault()
        void next()
      }}
      noValidate
      data-ready={ready}
      className="mx-auto max-w-4xl p-5 pb-28"
    >
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">Check a vehicle in</h1>
        {kept && (
          <p className="text-sm text-ink-soft">
            Your draft from before is back.{' '}
            <button type="button" className="min-h-11 underline underline-offset-4" onClick={startOver}>
              Start over
            </button>
          </p>
        )}
      </div>
      <Stem step={step} errors={form.formState.errors} onGo={go} />
      {past && <PastCard past={past} onForget={forget} />}
      <h2 ref={heading} tabIndex={-1} className="mt-5 mb-4 text-2xl outline-none">
        {STEPS[step]!.title}
      </h2>
      {step === 0 && (
        <StepCustomer
          form={form}
          known={past !== undefined}
          recent={recent}
          onChoose={choose}
          onOwner={chooseOwner}
        />
      )}
      {step === 1 && <StepVehicle form={form} />}
      {step === 2 && <StepPaint form={form} />}
      {step === 3 && <StepLife form={form} />}
      {step === 4 && <StepWish form={form} />}
      <div className="fixed inset-x-0 bottom-0 z-10 border-t border-line bg-paper/95 px-5 py-3">
        <div className="mx-auto flex max-w-4xl items-center gap-3">
          {step > 0 && (
            <Button look="outline" onClick={() => go(step - 1)}>
              Back
            </Button>
          )}
          {refusal?.field === '' && (
            <p role="alert" className="text-[15px] text-copper">
              {refusal.message}
            </p>
          )}
          {Object.keys(form.formState.errors).length > 0 && (
            <p role="status" className="text-[15px] text-copper">
              Check the fields marked below. Nothing you typed is lost.
            </p>
          )}
          <Button type="submit" className="ml-auto min-w-44" disabled={pending}>
            {last ? 'Check in' : `Next: ${STEPS[step + 1]!.short.toLowerCase()}`}
          </Button>
        </div>
      </div>
    </form>
  )
}

/** The way through the intake, drawn as a stem with a leaf for each stretch. */
function Stem({
  step,
  errors,
  onGo,
}: {
  step: number
  errors: FieldErrors<Intake>
  onGo: (step: number) => void
}) {
  return (
    <ol className="mt-3 mb-4 flex border-b-2 border-fern-soft" aria-label="Steps of the check-in">
      {STEPS.map(({ short, fields }, at) => {
        const wrong = fields.some((field) => errors[field])
        return (
          <li key={short} className="flex-1">
            <button
              type="button"
              aria-current={at === step ? 'step' : undefined}
              className={clsx(
                '-mb-0.5 min-h-11 w-full border-b-[5px] px-1 pb-1 text-left font-head text-[15px] font-semibold',
                at === step
                  ? 'border-fern'
                  : at < step
                    ? 'border-fern-soft'
                    : 'border-transparent text-ink-soft',
                wrong && 'text-copper',
              )}
              onClick={() => onGo(at)}
            >
              {at + 1} {short}
            </button>
          </li>
        )
      })}
    </ol>
  )
}

function StepWish({ form }: { form: Form }) {
  const errorOf = useErrorOf(form)
  const region = useRegion()
  return (
    <>
      <Controller
        control={form.control}
        name="purpose"
        render={({ field }) => (
          <fieldset>
            <legend className="mb-1 font-head text-sm font-semibold">What is the job for?</legend>
            <RadioGroup.Root
              className="grid gap-2 sm:grid-cols-3"
              value={field.value}
              onValueChange={field.onChange}
            >
              {PURPOSES.map((purpose) => (
                <RadioGroup.Item key={purpose} value={purpose} className={CARD}>
                  <span className="font-head font-semibold">{PURPOSE[purpose].name}</span>
                  <span className="block text-sm leading-snug text-ink-soft">{PURPOSE[purpose].means}</span>
                </RadioGroup.Item>
              ))}
            </RadioGroup.Root>
          </fieldset>
        )}
      />
      <div className="mt-5">
        <Field label="What the customer wants, in their words" error={errorOf('wishes')}>
          <textarea className="field min-h-24" {...form.register('wishes')} />
        </Field>
      </div>
      <div className="mt-4 grid gap-4 sm:grid-cols-3">
        <Amount
          form={form}
          name="budget"
          label={`Budget, ${currencySign(region)}`}
          hint="Leave empty if none was named."
        />
        <Day form={form} name="arriveDay" label="Comes in on" />
        <Day form={form} name="wantedBy" label="Wanted back by" />
      </div>
    </>
  )
}
