import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const one = { custodyId: id, version }
const backBy = z.iso.date('Back by: choose a day; it can be put off.')

export const onMachine = {
  /** Somebody takes an assembly along: home, or to a bench elsewhere. */
  'take-home': command(atTheBench, z.object({ assemblyId: id, holder: text('Who takes it', 80), what: text('For what', 200), backBy }), { asks: 'repair' }),
  /** An assembly goes into another machine, with all that was found on it. */
  'move-assembly': command(atTheBench, z.object({ assemblyId: id, version, toTag: text('Into which machine', 40), why: text('Why', 200) }), { asks: 'repair' }),
  /** What came from another machine was looked over here: what is found of it is noted where it belongs. */
  'look-over-arrival': command(atTheBench, z.object({ exchangeId: id, found: text('What was found', 300) })),
  'put-off-return': command(atTheBench, z.object({ ...one, backBy })),
  'bring-back': command(atTheBench, z.object({ ...one, note: text('What was done to it, or found', 300) })),
} as const
