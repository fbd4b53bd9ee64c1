import { z } from 'zod'
import { waitKinds } from '#core/cleaning/wait-kinds'
import { command } from '../../kernel/contract'
import { id, instant, keysOf, oneOf, optionalText, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const kind = oneOf(keysOf(waitKinds), 'What kind of wait')

export const onMachine = {
  'start-wait': command(atTheBench, z.object({ what: text('What it waits for', 160), until: instant('Until'), kind: kind.optional() })),
  'set-wait-kind': command(atTheBench, z.object({ waitId: id, kind, found: optionalText('What was found', 300) }), { opens: 'saying' }),
  'end-wait': command(atTheBench, z.object({ waitId: id, found: optionalText('Why it ends early', 300) })),
  /** It was ended by a press too many: it goes on as it was. */
  'resume-wait': command(atTheBench, z.object({ waitId: id })),
} as const
