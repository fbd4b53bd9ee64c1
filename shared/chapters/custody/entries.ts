import { z } from 'zod'
import { counted } from '#core/kernel/figure'
import { closed, ending, entry, shown } from '../../kernel/contract'

const s = z.string()
const on = { assembly: s, holder: s }

export const entries = {
  'assembly.left': entry(
    z.object({ assembly: s, to: s, why: s }),
    d => `${d.assembly} goes into ${d.to}: ${ending(d.why)}`,
    shown,
    d => [d.why],
  ),
  'assembly.came': entry(
    z.object({ assembly: s, from: s, why: s, found: z.number() }),
    d => `${d.assembly} comes from ${d.from}${d.found ? `, with ${counted(d.found, 'thing')} on record of it` : ''}: ${ending(d.why)}`,
    shown,
    d => [d.why],
  ),
  'assembly.looked-over': entry(
    z.object({ assembly: s, from: s, found: s }),
    d => `${d.assembly} from ${d.from} looked over: ${ending(d.found)}`,
    closed,
    d => [d.found],
  ),
  'custody.taken': entry(
    z.object({ ...on, what: s, backBy: s }),
    d => `${d.holder} takes ${d.assembly} along until ${d.backBy}: ${ending(d.what)}`,
    closed,
    d => [d.what],
  ),
  'custody.put-off': entry(z.object({ ...on, backBy: s }), d => `${d.assembly} comes back later: by ${d.backBy}.`, closed),
  'custody.back': entry(
    z.object({ ...on, note: s }),
    d => `${d.holder} brings ${d.assembly} back: ${ending(d.note)}`,
    closed,
    d => [d.note],
  ),
} as const
