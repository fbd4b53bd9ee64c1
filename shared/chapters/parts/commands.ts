import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, oneOf, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { PartNeed } from './rows'
import { partOutcomes } from './words'

/** Who looks for it; nobody yet, where it is nothing. */
const seekerId = id.nullable().default(null)

export const onMachine = {
  'want-part': command(atTheBench, z.object({ ...PartNeed.typed, seekerId })),
  'change-part': command(atTheBench, z.object({ partId: id, version, ...PartNeed.typed, seekerId })),
  'settle-part': command(atTheBench, z.object({ partId: id, version, outcome: oneOf(partOutcomes, 'Outcome') })),
} as const
