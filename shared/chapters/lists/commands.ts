import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, text } from '../../kernel/fields'
import { MachineNarrowing } from '../../kernel/machine'
import { atTheBench } from '../../kernel/roles'

export const onCollection = {
  'keep-list': command(atTheBench, z.object({ name: text('Name of the list', 60), query: MachineNarrowing })),
  'drop-list': command(atTheBench, z.object({ listId: id })),
} as const
