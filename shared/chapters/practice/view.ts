import { z } from 'zod'
import { boardSchools, plasticSchools } from '#core/cleaning/words'
import { replacementNames } from '#core/power/battery'
import { SchoolShape } from '../../kernel/shapes'
import { keysOf } from '../../kernel/fields'

const s = z.string()

export const Practice = z.object({
  version: z.number(),
  name: s,
  school: SchoolShape,
  numbering: s,
  zone: s,
  currency: s,
  batterySchool: z.enum(replacementNames as ['none', ...typeof replacementNames]),
  boardSchool: z.enum(keysOf(boardSchools)),
  plasticSchool: z.enum(keysOf(plasticSchools)),
  meterHost: s,
  meterPort: z.number().nullable(),
})

export type Practice = z.infer<typeof Practice>
