import { z } from 'zod'
import { PracticeRow } from './rows'

export const Practice = z.object({ version: z.number(), ...PracticeRow.seen, meterHost: z.string(), meterPort: z.number().nullable() })

export type Practice = z.infer<typeof Practice>
