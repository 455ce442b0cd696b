'use client'

import { useState } from 'react'
import { LANGUAGE_NAME, LANGUAGES, type Language } from '@/core/customer'
import { FACT_NAMES, OCCASION, OCCASIONS, type Occasion, type Template } from '@/core/messages'
import type { Setup } from '@/core/shop'
import { dropWords, saveWords } from '@/server/messages/message-actions'
import { OCCASION_NAME } from '@/text/en/messages'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useAction } from '@/ui/use-action'
import { TimesForm } from './times-form'

export type TextView = Template & { occasion: Occasion; language: Language; own: boolean }

type Props = { texts: readonly TextView[] } & Pick<Setup, 'quiet' | 'climate'> & {
    version: number
  }

/** The shop's words for each occasion, in each language its customers are written to in; and when they go. */
export function TextsScreen({ texts, quiet, climate, version }: Props) {
  const [occasion, setOccasion] = useState<Occasion>('visit-due')
  const [language, setLanguage] = useState<Language>('en')
  const text = texts.find((each) => each.occasion === occasion && each.language === language)!
  return (
    <div className="mx-auto max-w-4xl p-5">
      <h1 className="text-3xl">Texts</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        What a message says. Words in braces are filled in automatically:{' '}
        {FACT_NAMES.map((name) => `{${name}}`).join(', ')}.
      </p>
      <div className="mt-4 space-y-3">
        <Choice
          label="Occasion"
          options={OCCASIONS.map((value) => ({ value, name: OCCASION_NAME[value].name }))}
          value={occasion}
          onChange={setOccasion}
        />
        <Choice
          label="Language"
          options={LANGUAGES.map((value) => ({ value, name: LANGUAGE_NAME[value] }))}
          value={language}
          onChange={setLanguage}
        />
      </div>
      <p className="mt-3 text-[15px] text-ink-soft">
        {OCCASION_NAME[occasion].when}.{' '}
        {OCCASION[occasion].needsConsent
          ? 'Only to those who agreed to reminders.'
          : 'Needs no consent: it is about work on their own car.'}
      </p>
      <TextForm key={`${occasion} ${language} ${text.own}`} text={text} />
      <TimesForm quiet={quiet} climate={climate} version={version} />
    </div>
  )
}

function TextForm({ text }: { text: TextView }) {
  const [subject, setSubject] = useState(text.subject)
  const [words, setWords] = useState(text.text)
  const { run, pending, refusal, isDone, errorAt: error } = useAction()
  const { occasion, language } = text
  return (
    <div className="mt-4 space-y-4">
      <Field label="Subject" {...error('subject')}>
        <input className="field" value={subject} onChange={(event) => setSubject(event.target.value)} />
      </Field>
      <Field label="Text" {...error('text')}>
        <textarea
          className="field min-h-56"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      </Field>
      <div className="flex flex-wrap items-center gap-3">
        <Button
          disabled={pending}
          onClick={() => run(saveWords, { occasion, language, subject, text: words })}
        >
          Save text
        </Button>
        {text.own && (
          <Button look="quiet" disabled={pending} onClick={() => run(dropWords, { occasion, language })}>
            Restore the standard text
          </Button>
        )}
        {isDone && <p role="status">Saved.</p>}
        {refusal?.field === '' && (
          <p role="alert" className="text-copper">
            {refusal.message}
          </p>
        )}
      </div>
    </div>
  )
}
