import { z } from 'zod'
import { ending, entry } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'wait.started': entry(z.object({ what: s, until: s }), d => `Wait started: ${ending(d.what)}`),
  'wait.ended': entry(z.object({ what: s, early: b }), d => `Wait ended${d.early ? ' early' : ''}: ${ending(d.what)}`),
} as const
