import { z } from 'zod'
import { closed, ending, entry } from '../../kernel/contract'

const s = z.string()
const on = { assembly: s, holder: s }

export const entries = {
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
