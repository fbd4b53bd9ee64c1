import { z } from 'zod'
import { heldPlaceNames, partConditionNames } from '#core/parts/ledger'
import { command } from '../../kernel/contract'
import { howMany, id, oneOf, optionalBounded, optionalDay, optionalText, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { HeldPart, OrderLine, PartNeed } from './rows'
import { heldAtFirst, partOutcomes } from './words'

/** Who looks for it; nobody yet, where it is nothing. */
const seekerId = id.nullable().default(null)
const heldId = id

/** How a part is on its way, and what was looked at. */
const looked = { condition: oneOf(partConditionNames, 'How it is').nullable().default(null), tested: optionalText('What was looked at or tested', 200) }

export const onMachine = {
  'want-part': command(atTheBench, z.object({ ...PartNeed.typed, seekerId })),
  'change-part': command(atTheBench, z.object({ partId: id, version, ...PartNeed.typed, seekerId })),
  /** Something on record asks for it, and it is not wanted all the same. */
  'decline-part': command(atTheBench, z.object({ name: text('Part', 120), place: optionalText('For which place', 80) })),
  'settle-part': command(atTheBench, z.object({ partId: id, version, outcome: oneOf(partOutcomes, 'Outcome') })),
  'meet-need': command(
    atTheBench,
    z.object({ partId: id, heldId, version, count: howMany, to: oneOf(['promised', 'fitted'], 'Set aside or fitted'), ...looked }),
    { asks: 'repair' },
  ),
  'take-out-part': command(atTheBench, z.object({ heldId, version })),
} as const

export const onCollection = {
  'hold-part': command(
    atTheBench,
    z.object({
      ...HeldPart.typed,
      count: howMany,
      at: oneOf(heldAtFirst, 'Where it is'),
      tag: optionalText('The donor’s tag', 20),
      dueBy: optionalDay('Expected by'),
    }),
  ),
  'change-held': command(atTheBench, z.object({ heldId, version, ...HeldPart.typed, dueBy: optionalDay('Expected, or back, by') })),
  'move-held': command(
    atTheBench,
    z.object({
      heldId,
      version,
      count: howMany,
      to: oneOf(heldPlaceNames, 'Where to'),
      tag: optionalText('Which machine', 20),
      holder: optionalText('To whom', 120),
      dueBy: optionalDay('Back by'),
      lies: optionalText('Where it lies', 120),
      ...looked,
    }),
  ),
  'accept-allocation': command(
    coordinator,
    z.object({
      lines: z
        .array(z.object({ partId: id, heldId, version, count: howMany }))
        .min(1, 'Lines: choose at least one.')
        .max(500, 'Lines: five hundred at most.'),
    }),
  ),
  'give-away': command(
    coordinator,
    z.object({
      heldId,
      version,
      count: howMany,
      holder: text('To whom', 120),
      tested: text('What was looked at or tested', 200),
      inReturn: optionalText('What comes for it', 120),
      dueBy: optionalDay('Expected by'),
    }),
  ),
  /** Says where parts lie, by their codes. */
  'put-here': command(
    atTheBench,
    z.object({
      uids: z.array(z.uuid('Part: its code cannot be read.')).min(1, 'Parts: at least one.').max(100, 'A hundred at once at most.'),
      lies: text('Where it lies', 120),
    }),
  ),
  'place-order': command(
    coordinator,
    z.object({
      supplier: text('Supplier', 120),
      dueBy: optionalDay('Expected by'),
      postage: optionalBounded('Postage', { from: 0, upTo: 10_000 }),
      lines: z.array(z.object(OrderLine)).min(1, 'Lines: choose at least one.').max(200, 'Lines: two hundred at most.'),
    }),
  ),
  'spare-part': command(coordinator, z.object({ heldId, version, spared: z.boolean() })),
  'write-off-loan': command(coordinator, z.object({ heldId, version, reason: text('Why', 200) })),
} as const
