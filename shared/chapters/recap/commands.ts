import { z } from 'zod'
import { capacitorSchoolNames } from '#core/parts/recap/schools'
import { command } from '../../kernel/contract'
import { bounded, id, oneOf, optionalBounded, optionalQuantity, optionalText, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { Capacitor, fixing } from './rows'

const one = { capacitorId: id, version }

export const onMachine = {
  /** Which school holds for this machine; none, and the collection's does. */
  'choose-capacitor-school': command(coordinator, z.object({ school: oneOf(capacitorSchoolNames, 'Old capacitors').nullable() })),
  'list-capacitors': command(atTheBench, z.object({ assembly: text('On which assembly', 80), typed: text('The list', 20_000) })),
  'take-over-capacitors': command(atTheBench, z.object({ fromTag: text('From which machine', 40) })),
  /** Every machine of this model and issue has these. */
  'keep-capacitors': command(coordinator, z.object({})),
  /** Takes over what is known of an issue of its model, for those of its boards that have no list yet. */
  'take-known-capacitors': command(atTheBench, z.object({ variant: optionalText('Of which issue', 160) })),
  'change-capacitor': command(atTheBench, z.object({ ...one, ...Capacitor.typed })),
  'measure-capacitor': command(
    atTheBench,
    z.object({
      ...one,
      capacitanceF: optionalQuantity('F', 'Capacitance', { from: 0, upTo: 10 }),
      esrOhm: optionalQuantity('Ω', 'Series resistance', { from: 0, upTo: 1e6 }),
      leakageA: optionalQuantity('A', 'Leakage', { from: 0, upTo: 1 }),
      atV: optionalQuantity('V', 'Measured at', { above: 0, upTo: 1000 }),
      reformed: z.boolean().default(false),
      inCircuit: z.boolean().default(false),
    }),
  ),
  'take-out-capacitor': command(
    atTheBench,
    z.object({ ...one, plus: optionalText('Where its plus was', 80), fixing, photographId: id.nullable().default(null), bagged: z.boolean().default(false) }),
    { asks: 'repair' },
  ),
  /** The one that was there is in its place again: it tested good, or was never out. */
  'put-back-capacitor': command(atTheBench, z.object({ ...one, reason: text('Why', 200) })),
  'fit-capacitor': command(
    atTheBench,
    z.object({
      ...one,
      /** Whether plus and minus were held against the note again. */
      polarityAsked: z.boolean().default(false),
      joints: bounded('Joints made', { from: 0, upTo: 20 }).pipe(z.number().int('Joints made: a whole number, please.')),
      /** The line of the ledger that it was taken from. */
      heldId: id.nullable().default(null),
      note: optionalText('Note', 200),
    }),
    { asks: 'repair' },
  ),
  'drop-capacitor': command(atTheBench, z.object({ ...one, reason: text('Why', 200) })),
} as const

export const onCollection = {
  'set-prices': command(
    coordinator,
    z.object({
      supplier: text('Supplier', 80),
      postage: optionalBounded('Postage', { from: 0, upTo: 10_000 }),
      typed: optionalText('The price list', 200_000),
    }),
  ),
} as const
