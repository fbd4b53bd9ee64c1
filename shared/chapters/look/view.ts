import { z } from 'zod'
import { damageKinds, severities } from '#core/condition/damage'
import { presences } from '#core/condition/grades'
import { type InterventionKind, interventionKinds, interventionStates } from '#core/condition/interventions'
import { CorrosionInputs, MarkShape, ScaleShape } from '../../kernel/shapes'
import { checkOutcomes } from './words'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const PhotographView = z.object({
  id,
  version: z.number(),
  uid: s,
  hash: s,
  name: s,
  caption: s,
  assembly: s,
  assemblyId: z.number().nullable(),
  widthPx: z.number(),
  heightPx: z.number(),
  takenAt: s,
  at: s,
  by: s,
  scale: ScaleShape.nullable(),
})

export const CorrosionView = z.object({
  id,
  photographId: z.number(),
  what: s,
  inputs: CorrosionInputs,
  steel: b,
  areaPct: z.number(),
  errorPct: z.number(),
  areaMm2: z.number().nullable(),
  outlineMm2: z.number().nullable(),
  rating: z.number().nullable(),
  rustDegree: z.number().nullable(),
  at: s,
  by: s,
})

export const view = z.object({
  assemblies: z.array(z.object({ id, version: z.number(), name: s, presence: z.enum(presences), grade: z.number().nullable(), note: s })),
  damages: z.array(
    z.object({
      id,
      version: z.number(),
      assemblyId: z.number().nullable(),
      photographId: z.number().nullable(),
      mark: MarkShape.nullable(),
      assembly: s,
      kind: z.enum(Object.keys(damageKinds) as [keyof typeof damageKinds]),
      /** Why it stays as patina; empty where it is not left. */
      patina: s,
      mayStay: b,
      where: s,
      extent: s,
      severity: z.enum(severities),
    }),
  ),
  photographs: z.array(PhotographView),
  corrosions: z.array(CorrosionView),
  checks: z.array(z.object({ code: s, says: s, why: s, source: s, done: z.object({ outcome: z.enum(checkOutcomes), note: s, by: s, at: s }).nullable() })),
  interventions: z.array(
    z.object({
      id,
      version: z.number(),
      kind: z.enum(Object.keys(interventionKinds) as [InterventionKind, ...InterventionKind[]]),
      assembly: s,
      where: s,
      note: s,
      state: z.enum(interventionStates),
      photographId: z.number().nullable(),
    }),
  ),
})

export type PhotographView = z.infer<typeof PhotographView>
export type CorrosionView = z.infer<typeof CorrosionView>
