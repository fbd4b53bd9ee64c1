import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, optionalText, text } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'

export const onMachine = {
  /** Somebody has looked for it on this machine. */
  'read-bulletin': command(atTheBench, z.object({ uid: z.string().max(60), found: text('What was found', 200) })),
} as const

export const onCollection = {
  'accept-bulletin': command(
    coordinator,
    z.object({
      modelId: id,
      cause: text('What it was', 200),
      happens: text('What happens', 200),
      seeBy: optionalText('How to see it', 300),
      doThis: optionalText('What to do', 300),
      evidence: optionalText('Evidence', 400),
    }),
  ),
  'withdraw-bulletin': command(coordinator, z.object({ modelId: id, uid: z.string().max(60), why: text('Why', 200) })),
} as const
