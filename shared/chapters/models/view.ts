import { z } from 'zod'
import type { Inlet } from '#core/power/supply-match'
import { gateVerdicts } from '#core/safety/gate-words'
import { Model } from './rows'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const ModelView = z.object({
  id,
  version: z.number(),
  ...Model.seen,
  inlet: z.custom<Inlet>().nullable(),
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
      /** The hash of the picture it is known by. */
      portrait: s.nullable(),
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
