import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

export const onMachine = {
  'pin-result': command(atTheBench, z.object({ tool: text('Instrument', 60), input: z.record(z.string(), z.unknown()) })),
  'strike-entry': command(atTheBench, z.object({ entryId: id, reason: text('Reason', 300) })),
} as const
