import { z } from 'zod'
import { entry, observed } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'cleaning.done': entry(z.object({ what: s, withWhat: s, byWhom: s }), d => `Cleaned ${d.what} with ${d.withWhat}.`, observed),
} as const
