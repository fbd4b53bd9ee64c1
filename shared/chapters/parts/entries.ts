import { z } from 'zod'
import { word } from '../../kernel/fields'
import { entry, shown } from '../../kernel/contract'
import { type PartOutcome, partOutcomeNames } from './words'

const s = z.string()
const n = z.number()
const b = z.boolean()

export const entries = {
  'part.wanted': entry(
    z.object({ name: s, quantity: n, stopsStart: b }),
    d => `Wanted: ${d.quantity} × ${d.name}; ${d.stopsStart ? 'it cannot be started without' : 'it can be started without'}.`,
    shown,
  ),
  'part.settled': entry(z.object({ name: s, outcome: word<PartOutcome>() }), d => `${d.name}: ${partOutcomeNames[d.outcome].toLowerCase()}.`, shown),
} as const
