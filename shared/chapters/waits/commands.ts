import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, instant, optionalText, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

export const onMachine = {
  'start-wait': command(atTheBench, z.object({ what: text('What it waits for', 160), until: instant('Until') })),
  'end-wait': command(atTheBench, z.object({ waitId: id, found: optionalText('Why it ends early', 300) })),
} as const
