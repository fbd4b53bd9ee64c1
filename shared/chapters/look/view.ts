import { z } from 'zod'
import { type InterventionKind, interventionKinds } from '#core/condition/interventions'
import { CorrosionInputs, MarkShape, ScaleShape } from '../../kernel/shapes'
import { Assembly, Damage, Intervention, Photograph } from './rows'
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
  ...Photograph.seen,
  assembly: s,
  widthPx: z.number(),
  heightPx: z.number(),
  takenAt: s,
  at: s,
  by: s,
  scale: ScaleShape.nullable(),
  /** Whether the machine is known by it. */
  portrait: b,
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
  assemblies: z.array(z.object({ id, version: z.number(), name: s, ...Assembly.seen })),
  damages: z.array(
    z.object({
      id,
      version: z.number(),
      assemblyId: z.number().nullable(),
      photographId: z.number().nullable(),
      mark: MarkShape.nullable(),
      assembly: s,
      ...Damage.seen,
      /** Why it stays as patina; empty where it is not left. */
      patina: s,
      mayStay: b,
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
      ...Intervention.seen,
      photographId: z.number().nullable(),
    }),
  ),
})

export type PhotographView = z.infer<typeof PhotographView>
export type CorrosionView = z.infer<typeof CorrosionView>
