import { z } from 'zod'
import { closed, ending, entry, shown } from '../../kernel/contract'

const s = z.string()
const n = z.number()

export const entries = {
  'result.pinned': entry(z.object({ tool: s, title: s, says: s }), d => `${d.title}: ${ending(d.says)}`, shown),
  'entry.struck': entry(z.object({ entryId: n, reason: s }), d => `Entry ${d.entryId} struck: ${ending(d.reason)}`, closed),
} as const
