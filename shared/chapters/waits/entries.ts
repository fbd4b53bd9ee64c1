import { z } from 'zod'
import { type WaitKind, waitKinds } from '#core/cleaning/wait-kinds'
import { word } from '../../kernel/fields'
import { besideCleaning, ending, entry } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'wait.started': entry(
    z.object({ what: s, until: s, kind: word<WaitKind>().optional() }),
    d => `Wait started: ${ending(d.what)}`,
    {
      // Whom or what it waits for is told in people's own words, and mostly names somebody.
      open: () => 'Wait started.',
    },
    d => besideCleaning(d.what),
  ),
  'wait.kind-said': entry(
    z.object({ what: s, kind: word<WaitKind>(), found: s.optional() }),
    d => `Wait is ${waitKinds[d.kind].title.toLowerCase()}: ${ending(d.what)}${d.found ? ` ${ending(d.found)}` : ''}`,
    { open: d => `What kind of wait it is was said: ${waitKinds[d.kind].title.toLowerCase()}.` },
    d => besideCleaning(d.found ?? ''),
  ),
  'wait.ended': entry(
    z.object({ what: s, early: b, found: s.optional(), wet: b.optional() }),
    d => `Wait ended${d.early ? ' early' : ''}: ${ending(d.what)}${d.found ? ` ${ending(d.found)}` : ''}`,
    { open: d => `Wait ended${d.early ? ' early' : ''}.` },
    // What was taken up wet is wet until somebody has looked.
    d => (d.wet ? [`Still wet when the wait was ended early: ${d.what}`] : []),
  ),
  'wait.resumed': entry(z.object({ what: s }), d => `Not over after all: ${ending(d.what)}`, { open: () => 'A wait was not over after all.' }),
} as const
