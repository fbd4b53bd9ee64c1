import { z } from 'zod'
import { command } from '../../kernel/contract'
import { bounded, id, oneOf, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { partOutcomes } from './words'

export const onMachine = {
  'want-part': command(
    atTheBench,
    z.object({
      name: text('Part', 120),
      quantity: bounded('How many', { above: 0, upTo: 9999 }).pipe(z.number().int('How many: a whole number, please.')),
      stopsStart: z.boolean(),
    }),
  ),
  'settle-part': command(atTheBench, z.object({ partId: id, version, outcome: oneOf(partOutcomes, 'Outcome') })),
} as const
