import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { SupplyRow } from './shapes'

export const onCollection = {
  'add-supply': command(atTheBench, z.object(SupplyRow.typed)),
  'change-supply': command(atTheBench, z.object({ supplyId: id, version, ...SupplyRow.typed, active: z.boolean() })),
} as const
