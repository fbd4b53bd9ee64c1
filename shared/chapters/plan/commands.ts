import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, instant, optionalText, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const day = z.iso.date({ error: 'Day: a day as ISO writes it, such as 2026-03-03.' })

export const onMachine = {
  /** A next move by its code and words, or with the code `own` a job of one's own. */
  'start-job': command(atTheBench, z.object({ code: text('Code', 80), says: text('Job', 300), withId: id.nullable().default(null) })),
  'finish-job': command(atTheBench, z.object({ jobId: id, did: optionalText('What was done', 1000) })),
  /** It was marked as done too early. */
  'reopen-job': command(atTheBench, z.object({ jobId: id })),
  'hand-on-job': command(atTheBench, z.object({ jobId: id, note: text('For the next person', 1000) })),
} as const

export const onCollection = {
  'be-here': command(atTheBench, z.object({ personId: id, until: instant('Until') })),
  'go-home': command(atTheBench, z.object({ personId: id })),
  'deal-evening': command(atTheBench, z.object({})),
  'tell-evening': command(
    atTheBench,
    z.object({
      day,
      lines: z.array(text('Sentence', 2000)).min(1, 'The letter: write at least one sentence.').max(60, 'The letter: at most 60 lines.'),
      to: z.union([z.literal(''), z.email({ error: 'E-mail address: such as friends@museum.example, or leave it out.' })]).default(''),
    }),
  ),
} as const
