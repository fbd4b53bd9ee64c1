import { z } from 'zod'
import { batteryStates, chargings, chemistryNames, judgeBattery, replacementNames } from '#core/power/battery'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const chemistry = z.enum(chemistryNames as ['unknown', ...typeof chemistryNames])
const how = z.enum(replacementNames as ['none', ...typeof replacementNames])

export const powerBattery = defineTool({
  id: 'power/battery',
  title: 'Battery',
  summary: 'What an old battery may have done, what goes in its place by each school, and whether that would be charged and must not be.',
  input: z.object({
    battery: z.object({
      where: z.string().max(120),
      chemistry,
      cells: z.number().int().min(1).max(24).optional(),
      year: z.number().int().nullable().optional(),
      state: z.enum(batteryStates),
      fitted: z.boolean(),
      charging: z.enum(chargings),
      replacement: z
        .object({
          how,
          chemistry,
          cells: z.number().int().min(1).max(24).optional(),
          voltageV: z.number().positive().max(50).nullable().optional(),
          diode: z.boolean(),
        })
        .nullable()
        .optional(),
    }),
    school: how,
    yearNow: z.number().int().min(1950).max(2200),
  }),
  output: z.object({
    fact: z.enum(['in', 'leaking', 'residue', 'unlooked', 'out', 'replaced', 'mischarged']),
    nominalV: z.number().nullable(),
    findings: z.array(Finding),
  }),
  example: {
    battery: {
      where: 'beside the clock chip',
      chemistry: 'nickel-cadmium' as const,
      cells: 3,
      year: 1986,
      state: 'sound' as const,
      fitted: false,
      charging: 'yes' as const,
      replacement: { how: 'diode-cell' as const, chemistry: 'lithium-coin' as const, diode: false },
    },
    school: 'remote-holder' as const,
    yearNow: 2026,
  },
  run: judgeBattery,
  findings: output => output.findings,
})
