import { z } from 'zod'
import { type Fixing, fixings } from '#core/parts/recap/read-list'
import { keysOf, oneOf, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

export const fixing = oneOf(keysOf(fixings), 'How it is fixed')
export type { Fixing }

/** A capacitor of a list: where it is, what it is like, how it is fixed; as typed, or as it is kept. */
export const Capacitor = row({
  assembly: text('On which assembly', 80),
  place: text('Place', 12),
  spec: z.record(z.string().max(40), z.union([z.string().max(80), z.number(), z.boolean()])).default({}),
  fixing: fixing.default('none'),
  stressed: z.boolean().default(false),
  looksBad: z.boolean().default(false),
  note: optionalText('Note', 120),
})
