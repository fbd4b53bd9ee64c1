import { z } from 'zod'
import { type InterventionKind, interventionKinds } from '#core/condition/interventions'
import { command } from '../../kernel/contract'
import { found, id, oneOf, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { CorrosionInputs, MarkShape, ScaleShape } from '../../kernel/shapes'
import { Assembly, Damage, Intervention, Photograph } from './rows'
import { checkOutcomes } from './words'

const photographId = id.nullable().default(null)

const DamageAsSeen = { assemblyId: id.nullable().default(null), ...Damage.typed }

export const onMachine = {
  'add-assembly': command(atTheBench, z.object({ name: text('Assembly', 60) })),
  'grade-assembly': command(
    atTheBench,
    z.object({ assemblyId: id, version, ...Assembly.typed }).superRefine((a, context) => {
      if (a.presence !== 'present' && a.grade !== null)
        context.addIssue({ code: 'custom', path: ['grade'], message: 'Grade: only what is present can be graded.' })
    }),
  ),
  'record-damage': command(atTheBench, z.object({ ...DamageAsSeen, photographId, mark: MarkShape.nullable().default(null) })),
  'change-damage': command(atTheBench, z.object({ damageId: id, version, ...DamageAsSeen, found }), { opens: 'saying' }),
  /** A stain or wear that stays, so that nobody tries again; no reason takes it back. */
  'leave-as-patina': command(atTheBench, z.object({ damageId: id, version, reason: optionalText('Why it is left', 200) })),
  'settle-check': command(
    atTheBench,
    z.object({ code: text('Check', 120), outcome: oneOf(checkOutcomes, 'Outcome'), note: optionalText('What was found', 300) }).superRefine((c, context) => {
      if (c.outcome === 'found' && !c.note) context.addIssue({ code: 'custom', path: ['note'], message: 'What was found: say it in a few words.' })
    }),
  ),
  'add-photograph': command(
    atTheBench,
    z.object({
      hash: z.string().regex(/^[0-9a-f]{64}$/, 'Photograph: its file is not known here. Send it again.'),
      name: text('Name of the file', 200),
      assemblyId: id.nullable().default(null),
      caption: optionalText('Caption', 200),
    }),
  ),
  'describe-photograph': command(atTheBench, z.object({ photographId: id, version, ...Photograph.typed })),
  /** The picture a machine is known by: one at a time; not chosen takes it off. */
  'choose-portrait': command(atTheBench, z.object({ photographId: id, chosen: z.boolean() })),
  'set-scale': command(atTheBench, z.object({ photographId: id, version, scale: ScaleShape.nullable() })),
  'keep-corrosion': command(
    atTheBench,
    z.object({
      photographId: id,
      what: text('What was measured', 120),
      inputs: CorrosionInputs,
      steel: z.boolean(),
      areaPct: z.number().min(0).max(100),
      errorPct: z.number().min(0).max(100),
    }),
  ),
  'log-intervention': command(
    atTheBench,
    z.object({
      kind: oneOf(Object.keys(interventionKinds) as [InterventionKind, ...InterventionKind[]], 'Kind'),
      assemblyId: id.nullable().default(null),
      where: text('Where', 160),
      note: optionalText('Note', 500),
      understood: z.boolean().default(false),
      photographId,
    }),
  ),
  'settle-intervention': command(atTheBench, z.object({ interventionId: id, version, ...Intervention.typed })),
} as const
