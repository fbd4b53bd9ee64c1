import { z } from 'zod'
import { Finding } from '../../kernel/shapes'

const s = z.string()
const b = z.boolean()

export const view = z.object({ signOff: z.object({ allowed: b, findings: z.array(Finding), standing: z.object({ statement: s, by: s, at: s }).nullable() }) })
