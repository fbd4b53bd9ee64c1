import { z } from 'zod'
import type { SpecField } from '#core/parts/substitute/compare'
import { type SubstituteInput, judgeSubstitute, partKindNames, partKinds } from '#core/parts/substitute/substitute'
import { verdicts } from '#core/parts/substitute/compare'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const shapeOf = (field: SpecField): z.ZodType => {
  switch (field.is) {
    case 'figure':
      return field.whole ? z.number().int().positive().max(field.most) : z.number().positive().max(field.most)
    case 'choice':
      return z.enum(keysOf(field.options))
    case 'flag':
      return z.boolean()
    default:
      return z.string().trim().min(1).max(80)
  }
}
const side = (fields: Readonly<Record<string, SpecField>>) =>
  z.object(Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, shapeOf(field).optional()])))
const [first, ...others] = partKindNames.map(kind =>
  z.object({ kind: z.literal(kind), wanted: side(partKinds[kind].fields), offered: side(partKinds[kind].fields) }),
)

export const partsSubstitute = defineTool({
  id: 'parts/substitute',
  title: 'Substitute part',
  summary: 'Whether one part may be put for another of its kind, field by field, by what is stated of both; what nobody stated is not known.',
  input: z.discriminatedUnion('kind', [first!, ...others]) as unknown as z.ZodType<SubstituteInput>,
  output: z.object({
    verdict: z.enum(verdicts),
    terms: z.array(z.object({ verdict: z.enum(verdicts), field: z.string(), says: z.string() })),
    findings: z.array(Finding),
  }),
  example: {
    kind: 'capacitor' as const,
    wanted: { capacitanceF: 0.00047, voltageV: 25, technology: 'electrolytic', safetyClass: 'none', leads: 'axial', diameterMm: 13, temperatureC: 85 },
    offered: { capacitanceF: 0.00047, voltageV: 35, technology: 'electrolytic', safetyClass: 'none', leads: 'radial', diameterMm: 10, temperatureC: 105 },
  },
  run: judgeSubstitute,
  findings: output => output.findings,
})
