import {
  FORBID_RULES,
  LIQUIDS,
  MACHINES,
  MATERIALS,
  PADS,
  PANEL_GROUPS,
  SEEDED_METHODS,
  strengthOf,
} from '@/core/correction'
import { DEFECT_KINDS, DEFECT_MODEL, REMARKS, SCHOOLS } from '@/core/survey'
import { VERDICTS } from '@/core/test-spot'
import { COVERINGS, FINISHES, HARDNESSES, panelsOf, SHAPES } from '@/core/vehicle'
import { GROUP, MATERIAL_NAME, methodTitle, toolsText } from '@/text/en/correction'
import { FORBIDDEN } from '@/text/en/forbidden'
import { FINDING_NAME, REMARK } from '@/text/en/survey'
import { markTitle } from '@/text/marks'
import type { Command } from '../command'
import { readArguments } from '../input'
import { PLAIN } from '../region'

const USAGE = 'vocabulary'

/** Every id a case may use or an answer names, with its name and its unit. */
export const vocabulary: Command = {
  usage: USAGE,
  run(args) {
    readArguments(args, {}, { count: 0, usage: USAGE })
    return {
      exitCode: 0,
      json: {
        units: {
          um: 'µm of paint',
          minutes: 'minutes of one person',
          percent: '0 to 100',
          index: '0 to 100',
        },
        shapes: SHAPES.map((shape) => ({
          id: shape,
          panels: panelsOf(shape).map(({ id, name, areaM2, substrate }) => ({ id, name, areaM2, substrate })),
        })),
        paints: [...COVERINGS],
        finishes: [...FINISHES],
        hardnesses: [...HARDNESSES],
        schools: [...SCHOOLS],
        verdicts: [...VERDICTS],
        defects: DEFECT_KINDS.map((id) => ({
          id,
          name: markTitle(PLAIN, id),
          mend: DEFECT_MODEL[id].mend,
          deductPoints: DEFECT_MODEL[id].deduct,
          ...(DEFECT_MODEL[id].mend === 'polish'
            ? { depthScaleUm: (DEFECT_MODEL[id] as { depthScaleUm: readonly number[] }).depthScaleUm }
            : {}),
        })),
        methods: SEEDED_METHODS.map((method) => ({
          id: method.key,
          name: methodTitle(method),
          strengthUm: strengthOf(method),
          clearsPercent: 100 * method.clears,
          leavesProtection: method.leavesProtection,
          fit: method.fit,
          steps: method.steps.map((step) => ({ ...step, name: toolsText(step) })),
        })),
        machines: [...MACHINES],
        pads: [...PADS],
        liquids: [...LIQUIDS],
        materials: MATERIALS.map((id) => ({ id, name: MATERIAL_NAME[id] })),
        groups: PANEL_GROUPS.map((id) => ({ id, name: GROUP[id].name })),
        findings: Object.entries(FINDING_NAME).map(([id, name]) => ({ id, name })),
        remarks: REMARKS.map((id) => ({ id, name: REMARK[id] })),
        rules: FORBID_RULES.map(({ id, level }) => ({ id, level, reason: FORBIDDEN[id] })),
      },
    }
  },
}
