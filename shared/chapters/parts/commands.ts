import { z } from 'zod'
import { heldPlaceNames, partConditionNames } from '#core/parts/ledger'
import { command } from '../../kernel/contract'
import { id, oneOf, optionalText, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { HeldPart, PartNeed, day, howMany } from './rows'
import { heldAtFirst, partOutcomes } from './words'

/** Who looks for it; nobody yet, where it is nothing. */
const seekerId = id.nullable().default(null)
const heldId = id

/** How a part is on its way, and what was looked at. */
const looked = { condition: oneOf(partConditionNames, 'How it is').nullable().default(null), tested: optionalText('What was looked at or tested', 200) }

export const onMachine = {
  'want-part': command(atTheBench, z.object({ ...PartNeed.typed, seekerId })),
  'change-part': command(atTheBench, z.object({ partId: id, version, ...PartNeed.typed, seekerId })),
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
    z.object({ ...HeldPart.typed, count: howMany, at: oneOf(heldAtFirst, 'Where it is'), tag: optionalText('The donor’s tag', 20), dueBy: day('Expected by') }),
  ),
  'change-held': command(atTheBench, z.object({ heldId, version, ...HeldPart.typed, dueBy: day('Expected, or back, by') })),
  'move-held': command(
    atTheBench,
    z.object({
      heldId,
      version,
      count: howMany,
      to: oneOf(heldPlaceNames, 'Where to'),
      tag: optionalText('Which machine', 20),
      holder: optionalText('To whom', 120),
      dueBy: day('Back by'),
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
  'write-off-loan': command(coordinator, z.object({ heldId, version, reason: text('Why', 200) })),
} as const
