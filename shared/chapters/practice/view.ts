import { z } from 'zod'
import { replacementNames } from '#core/power/battery'
import { SchoolShape } from '../../kernel/shapes'

const s = z.string()

export const view = z.object({})

export const Practice = z.object({
  version: z.number(),
  name: s,
  school: SchoolShape,
  numbering: s,
  zone: s,
  currency: s,
  batterySchool: z.enum(replacementNames as ['none', ...typeof replacementNames]),
  meterHost: s,
  meterPort: z.number().nullable(),
})

export type Practice = z.infer<typeof Practice>
