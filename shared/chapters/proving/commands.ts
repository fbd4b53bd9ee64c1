import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, optionalQuantity, optionalText, quantity, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const whole = (what: string, upTo: number) => quantity('', what, { above: -1, upTo }).pipe(z.number().int(`${what}: a whole number, please.`))

export const onMachine = {
  'sign-off': command(atTheBench, z.object({ statement: text('What was tested', 1000) })),
  /** Passes wanted after how often it failed before; tallied as they run. */
  'begin-soak': command(
    atTheBench,
    z.object({
      what: text('What runs', 120),
      seenFailures: whole('Failures before', 1_000_000),
      seenPasses: whole('Passes before', 1_000_000),
      confidencePct: quantity('', 'How sure, in %', { above: 49.99, upTo: 99.99 }),
      secondsAPass: optionalQuantity('', 'Seconds a pass', { above: 0, upTo: 1e6 }),
    }),
  ),
  'tally-soak': command(
    atTheBench,
    z.object({ soakId: id, passes: whole('Passes', 100_000).pipe(z.number().min(1, 'Passes: one at least.')), failures: whole('Of them failed', 100_000) }),
  ),
  'end-soak': command(atTheBench, z.object({ soakId: id, note: optionalText('Why it ends', 200) })),
} as const

export const onCollection = {} as const
