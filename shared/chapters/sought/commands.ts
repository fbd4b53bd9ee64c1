import { z } from 'zod'
import { offerKindNames, offerTermNames } from '#core/sharing/sought'
import { command } from '../../kernel/contract'
import { howMany, id, oneOf, optionalBounded, optionalDay, optionalText, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { boardFields } from './rows'

const offer = { offerId: id, version }

export const onMachine = {
  /** Whether what this machine wants stands on the list that anybody may read. */
  'show-wants': command(
    coordinator,
    z.object({ shows: z.boolean(), says: optionalText('What to say of it', 300), photographId: id.nullable().default(null) }),
    { asks: (input: { shows: boolean }) => (input.shows ? 'show' : null) },
  ),
} as const

export const onCollection = {
  'set-board': command(coordinator, z.object({ version, ...boardFields })),
  /** Somebody of the house has one, or knows of one. */
  'offer-part': command(
    atTheBench,
    z.object({
      partId: id,
      kind: oneOf(offerKindNames.filter(kind => kind !== 'want') as ['have', 'know'], 'What you can do'),
      says: text('What you have, or know', 600),
    }),
  ),
  'take-up-offer': command(
    coordinator,
    z.object({
      ...offer,
      terms: oneOf(offerTermNames, 'How it comes'),
      count: howMany,
      unitPrice: optionalBounded('Price of one', { from: 0, upTo: 1_000_000 }),
      dueBy: optionalDay('Expected by'),
      backBy: optionalDay('Back to them by'),
    }),
  ),
  /** Done with, or turned down: what was said and how they are reached is forgotten. */
  'clear-offer': command(coordinator, z.object(offer)),
} as const
