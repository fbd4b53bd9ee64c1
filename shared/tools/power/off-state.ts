import { z } from 'zod'
import { judgeOffState, offVerdicts } from '#core/power/off-state'
import { quantity } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const ohm = quantity('Ω', 'Resistance', { above: -1e9, upTo: 1e9 }).nullable()

export const powerOffState = defineTool({
  id: 'power/off-state',
  title: 'Off-state resistance',
  summary: 'Judges the resistance of a rail to ground before anything is powered: short, suspect, charging, plausible.',
  input: z.object({
    railV: z.number(),
    loadAttached: z.boolean(),
    ohm,
    reversedOhm: ohm.optional(),
    rising: z.boolean(),
    leadsOhm: z.number().optional(),
    currentA: quantity('A', 'What the rail draws', { above: 0, upTo: 200 }).optional(),
  }),
  output: z.object({ verdict: z.enum(offVerdicts), shortBelowOhm: z.number(), suspectBelowOhm: z.number(), findings: z.array(Finding) }),
  example: { railV: 5, loadAttached: false, ohm: 0.6, reversedOhm: 0.6, rising: false, leadsOhm: 0.2 },
  run: judgeOffState,
  findings: output => output.findings,
})
