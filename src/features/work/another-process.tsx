'use client'

import { Dialog } from 'radix-ui'
import { useRef, useState } from 'react'
import type { MethodKey, PanelWay } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { MethodPreview as MethodPreviewed } from '@/core/planning'
import type { Instant } from '@/core/time'
import type { Panel } from '@/core/vehicle'
import { previewMethod, waysOfPanel } from '@/server/survey/way-actions'
import { methodTitle } from '@/text/en/correction'
import { FORBIDDEN } from '@/text/en/forbidden'
import { staffPanel, staffPanelName } from '@/text/en/staff-panels'
import { list, measured } from '@/text/formats'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { useRegion } from '@/ui/region'
import { reach } from '@/ui/use-action'
import { useMethodNames } from '../method-names'
import { MethodPreview } from './method-preview'
import { ReasonField } from './reason-field'

type Props = {
  job: JobId
  panel: Panel
  current: MethodKey
  now: Instant
  onChange: (panels: readonly string[], process: MethodKey, reason: string) => void
}

type Preview = MethodPreviewed & { panels: string[] }

/** Another method for one panel or all that are like it, within what their paint can spare: what it comes to, and why it is changed. */
export function AnotherProcess({ job, panel, current, now, onChange }: Props) {
  const region = useRegion()
  const names = useMethodNames()
  const [open, setOpen] = useState(false)
  const [ways, setWays] = useState<PanelWay[]>()
  const [group, setGroup] = useState<string[]>([])
  const [scope, setScope] = useState<'panel' | 'group'>('panel')
  const [preview, setPreview] = useState<Preview>()
  const [process, setProcess] = useState<MethodKey>()
  const [reason, setReason] = useState('')
  const [wrong, setWrong] = useState<{ process?: string; reason?: true }>({})
  const look = async () => {
    setWays(undefined)
    const answer = await reach(waysOfPanel({ jobId: job, panel: panel.id }))
    setWays(answer.ok ? answer.value.ways : [])
    setGroup(answer.ok ? answer.value.group : [])
  }
  /** What is chosen, with what it comes to; the newest choice alone is shown. */
  const asked = useRef(0)
  const choose = async (chosen: MethodKey | undefined, wanted: typeof scope) => {
    setProcess(chosen)
    setScope(wanted)
    setPreview(undefined)
    if (!chosen) return
    const mine = ++asked.current
    const panels = wanted === 'group' ? group : [panel.id]
    const answer = await reach(previewMethod({ jobId: job, panels, process: chosen }))
    if (mine === asked.current && answer.ok) setPreview(answer.value)
  }
  const take = () => {
    const faults = {
      ...(!process ? { process: 'Choose a method.' } : {}),
      ...(reason.trim() === '' ? { reason: true as const } : {}),
    }
    setWrong(faults)
    if (!process || Object.keys(faults).length > 0) return
    onChange(preview?.panels ?? [panel.id], process, reason.trim())
    setOpen(false)
  }
  return (
    <Dialog.Root
      open={open}
      onOpenChange={(next) => {
        setOpen(next)
        if (next) void look()
      }}
    >
      <Dialog.Trigger asChild>
        <Button look="outline">Another method</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(36rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto p-6"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-2xl">{staffPanel(region, panel.id)}: another method</Dialog.Title>
          <p className="mt-1 text-ink-soft">
            As agreed: {names.word(current)}. Only what its paint can spare is offered.
          </p>
          {!ways && <p className="mt-4">Checking what its paint can spare…</p>}
          {ways?.length === 0 && (
            <p className="mt-4 text-copper">
              No reply from the server. Only the server knows what this paint can spare: try again with a
              network.
            </p>
          )}
          {ways && ways.length > 0 && (
            <ul className="mt-4">
              {ways.map((way) => (
                <li key={way.key} className="border-t border-line">
                  <label className="flex min-h-12 items-center gap-3 py-1.5">
                    <input
                      type="radio"
                      name="process"
                      className="size-6 shrink-0 accent-fern"
                      disabled={way.forbidden !== undefined}
                      checked={process === way.key}
                      onChange={() => void choose(way.key, scope)}
                    />
                    <span className={way.forbidden ? 'text-ink-soft' : ''}>
                      <strong className="font-semibold">{methodTitle(way)}</strong>,{' '}
                      {measured(region, 'depth', way.takesUm, 1)}
                      {way.forbidden && <span className="block text-sm">{FORBIDDEN[way.forbidden]}</span>}
                    </span>
                  </label>
                </li>
              ))}
            </ul>
          )}
          {/* What it comes to stays in sight, however long the list is. */}
          <div className="sticky -bottom-6 -mx-6 mt-4 -mb-6 border-t border-line bg-sheet px-6 pt-1 pb-5">
            {group.length > 1 && (
              <div className="mt-3">
                <Choice
                  label="For which panels?"
                  options={[
                    { value: 'panel' as const, name: 'This one' },
                    { value: 'group' as const, name: `All ${group.length} with paint like it` },
                  ]}
                  value={scope}
                  onChange={(wanted) => void choose(process, wanted)}
                />
              </div>
            )}
            {preview && <MethodPreview preview={preview} now={now} />}
            {preview && scope === 'group' && preview.panels.length < group.length && (
              <p className="mt-2 text-copper">
                Not on the{' '}
                {list(
                  region,
                  group.filter((id) => !preview.panels.includes(id)).map((id) => staffPanelName(region, id)),
                )}
                : their paint cannot spare it.
              </p>
            )}
            {process && !preview && <p className="mt-3 text-ink-soft">Working out what that comes to…</p>}
            {wrong.process && (
              <p role="alert" className="mt-2 font-semibold text-copper">
                {wrong.process}
              </p>
            )}
            <div className="mt-3">
              <ReasonField
                label="Why"
                reason={reason}
                isMissing={wrong.reason ?? false}
                onChange={setReason}
              />
            </div>
            <div className="mt-4 flex gap-3">
              <Button onClick={take}>Use this method</Button>
              <Dialog.Close asChild>
                <Button look="outline">As agreed</Button>
              </Dialog.Close>
            </div>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
