import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { SupplyTyped } from './shapes'

const SupplyRow = { name: text('Name on its tag', 60), place: optionalText('Where it lies', 120), label: SupplyTyped }

export const onCollection = {
  'add-supply': command(atTheBench, z.object(SupplyRow)),
  'change-supply': command(atTheBench, z.object({ supplyId: id, version, ...SupplyRow, active: z.boolean() })),
} as const
