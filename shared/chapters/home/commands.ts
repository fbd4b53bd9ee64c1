import { z } from 'zod'
import { lives } from '#core/kernel/stages'
import { command } from '../../kernel/contract'
import { id, oneOf, optionalText, quantity, text } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'

export const onMachine = {
  'choose-life': command(coordinator, z.object({ life: oneOf(lives, 'Life') }), {
    asks: ({ life }: { life: string }) => (['gallery', 'demonstration', 'hands-on'].includes(life) ? 'show' : null),
  }),
  'ask-question': command(atTheBench, z.object({ question: text('Question', 500) })),
  'settle-question': command(atTheBench, z.object({ questionId: id, answer: text('Answer', 1000) })),
  /** Two photographs for the passport, before and after; neither takes them off it. */
  'show-before-after': command(coordinator, z.object({ beforeId: id.nullable(), afterId: id.nullable() }), { asks: 'show' }),
  /** A run before visitors. */
  'log-demonstration': command(
    atTheBench,
    z
      .object({
        minutes: quantity('min', 'Minutes', { above: 0, upTo: 1440 }).pipe(z.number().int('Minutes: a whole number, please.')),
        says: optionalText('What happened', 300),
        /** Something went wrong: what happened becomes a fault. */
        trouble: z.boolean().default(false),
      })
      .superRefine((shown, context) => {
        if (shown.trouble && !shown.says) context.addIssue({ code: 'custom', path: ['says'], message: 'What happened: say it in a few words.' })
      }),
    { asks: 'show' },
  ),
  /** An original part that is kept. */
  'bag-part': command(atTheBench, z.object({ part: text('Part', 120), bag: text('Bag or box', 60), why: optionalText('Why it was removed', 200) })),
  'end-bag': command(atTheBench, z.object({ bagId: id, became: text('What became of it', 200) })),
  /** `diary`: with losses and mishaps of the bench. */
  'switch-passport': command(coordinator, z.object({ on: z.boolean(), diary: z.boolean().default(false) }), {
    asks: ({ on }: { on: boolean }) => (on ? 'show' : null),
  }),
} as const
