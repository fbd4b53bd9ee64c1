import { z } from 'zod'
import type { Inlet } from '#core/power/supply-match'
import { gateVerdicts } from '#core/safety/gate'
import { ExpectedRail } from '../../kernel/shapes'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const ModelView = z.object({
  id,
  version: z.number(),
  maker: s,
  name: s,
  about: s,
  variants: z.array(s),
  usualKit: z.array(s),
  assemblies: z.array(s),
  knownFaults: z.array(s),
  rails: z.array(ExpectedRail),
  inlet: z.custom<Inlet>().nullable(),
  weightKg: z.number().nullable(),
  madeFrom: z.number().nullable(),
  madeTo: z.number().nullable(),
  /** How many are here, and how many of them had a battery that leaked. */
  here: z.number(),
  leaked: z.number(),
})
/** One model, with the machines of it that are kept here; those that tell most, where there are many. */
export const ModelPage = ModelView.extend({
  machines: z.array(
    z.object({
      tag: s,
      nickname: s,
      variant: s,
      gate: z.enum(gateVerdicts),
      batteryLeaked: b,
      faults: z.array(z.object({ symptom: s, open: b })),
      openingSteps: z.number(),
    }),
  ),
})

export type ModelView = z.infer<typeof ModelView>
export type ModelPage = z.infer<typeof ModelPage>
/** A machine that goes by a name which is probably a known model's under another spelling. */
export interface SpelledOtherwise {
  tag: string
  name: string
  model: string
}
