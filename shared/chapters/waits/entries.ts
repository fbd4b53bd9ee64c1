import { z } from 'zod'
import { besideCleaning, ending, entry } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'wait.started': entry(
    z.object({ what: s, until: s }),
    d => `Wait started: ${ending(d.what)}`,
    {
      // Whom or what it waits for is told in people's own words, and mostly names somebody.
      open: () => 'Wait started.',
    },
    d => besideCleaning(d.what),
  ),
  'wait.ended': entry(
    z.object({ what: s, early: b, found: s.optional(), wet: b.optional() }),
    d => `Wait ended${d.early ? ' early' : ''}: ${ending(d.what)}${d.found ? ` ${ending(d.found)}` : ''}`,
    { open: d => `Wait ended${d.early ? ' early' : ''}.` },
    // What was taken up wet is wet until somebody has looked.
    d => (d.wet ? [`Still wet when the wait was ended early: ${d.what}`] : []),
  ),
} as const
