import { z } from 'zod'
import { mostLetters } from '#core/identify/inventory/read-inventory'
import { command } from '../../kernel/contract'
import { id, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { InventoryRow } from './rows'

const one = { lineId: id, version }

export const onMachine = {
  'list-inventory': command(atTheBench, z.object({ assembly: text('On which assembly', 80), typed: text('The list', mostLetters) })),
  /** What a sister has is a list to look through: nothing of it counts before it was looked at here. */
  'take-over-inventory': command(atTheBench, z.object({ fromTag: text('From which machine', 40) })),
  'tick-inventory': command(atTheBench, z.object({ lineIds: z.array(id).min(1, 'Which lines: at least one.').max(600, 'Six hundred at most.') })),
  'change-inventory': command(atTheBench, z.object({ ...one, ...InventoryRow.typed })),
  'drop-inventory': command(atTheBench, z.object({ ...one, reason: text('Why', 200) })),
} as const
