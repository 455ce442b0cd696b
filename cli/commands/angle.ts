import { contactAngle } from '@/core/aftercare'
import { ANGLE_ERROR_WORDS } from '@/text/en/aftercare'
import type { Command } from '../command'
import { BadInput, numberOption, readArguments } from '../input'

const USAGE = 'angle --height H --base D'

/** Contact angle of a small drop from its height and the width it stands on, in any one unit. */
export const angle: Command = {
  usage: USAGE,
  run(args) {
    const options = { height: { type: 'string' }, base: { type: 'string' } } as const
    const { values } = readArguments(args, options, { count: 0, usage: USAGE })
    const measured = contactAngle(numberOption(values, 'height'), numberOption(values, 'base'))
    if (!measured.ok) throw new BadInput([ANGLE_ERROR_WORDS[measured.error.code]])
    return { json: measured.value, exitCode: 0 }
  },
}
