import { z } from 'zod'
import { closed, ending, entry } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'supply.added': entry(z.object({ name: s, says: s }), d => `Supply ${d.name}: ${ending(d.says)}`, closed),
  'supply.changed': entry(z.object({ name: s, says: s, active: b }), d => `Supply ${d.name} ${d.active ? `now reads: ${ending(d.says)}` : 'is gone.'}`, closed),
} as const
