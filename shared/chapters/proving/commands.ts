import { z } from 'zod'
import { command } from '../../kernel/contract'
import { buildUpOutcomes } from '#core/retest/build-up'
import { lineOutcomes } from '#core/retest/test-sheet'
import { bounded, id, oneOf, optionalBounded, optionalQuantity, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { BuildUpStepTyped, LimitsTyped, LogWordsTyped, RailsRead, TestLineTyped } from './shapes'

const whole = (what: string, upTo: number) => bounded(what, { from: 0, upTo }).pipe(z.number().int(`${what}: a whole number, please.`))

export const onMachine = {
  /** With limits it is for demonstration alone. */
  'sign-off': command(atTheBench, z.object({ statement: text('What was tested', 1000), limits: LimitsTyped.nullable().default(null) })),
  /** Steps for what is present, least first; what is connected follows them from then on. */
  'plan-build-up': command(atTheBench, z.object({})),
  'change-build-up': command(
    atTheBench,
    z.object({ buildUpId: id, version, steps: z.array(BuildUpStepTyped).max(40, 'Steps: forty at most.'), withModel: z.boolean().default(false) }),
  ),
  /** How the step that is set up came out, with what was read; the next one, or the one before, is set up with it. */
  'step-build-up': command(
    atTheBench,
    z
      .object({
        buildUpId: id,
        version,
        step: z.number().int().min(0).max(40),
        outcome: oneOf(buildUpOutcomes, 'Result'),
        seen: optionalText('What was seen', 300),
        readings: RailsRead,
        sure: z.boolean().default(false),
      })
      .superRefine((look, context) => {
        if (look.outcome === 'failed' && !look.seen) context.addIssue({ code: 'custom', path: ['seen'], message: 'What was seen: say it in a few words.' })
      }),
  ),
  'end-build-up': command(atTheBench, z.object({ buildUpId: id, version, note: optionalText('Why it ends', 200) })),
  'begin-test-sheet': command(atTheBench, z.object({})),
  'look-test-line': command(
    atTheBench,
    z.object({
      sheetId: id,
      line: z.number().int().min(0).max(60),
      outcome: oneOf(lineOutcomes, 'Result'),
      value: optionalBounded('Figure', { above: -1e9, upTo: 1e9 }),
      note: optionalText('What was seen', 200),
    }),
  ),
  /** A line that failed becomes a fault. */
  'fault-from-line': command(atTheBench, z.object({ sheetId: id, line: z.number().int().min(0).max(60), stopsMachine: z.boolean().default(true) })),
  /** A secret under which a program posts passes as they run; a new one ends the one before. */
  'open-soak-log': command(atTheBench, z.object({ soakId: id })),
  /** How the lines of its program are read; nothing lets the usual words decide again. */
  'say-soak-log': command(atTheBench, z.object({ soakId: id, words: LogWordsTyped.nullable() })),
  /** Passes wanted after how often it failed before; tallied as they run. */
  'begin-soak': command(
    atTheBench,
    z.object({
      what: text('What runs', 120),
      seenFailures: whole('Failures before', 1_000_000),
      seenPasses: whole('Passes before', 1_000_000),
      confidencePct: quantity('%', 'How sure, in %', { above: 49.99, upTo: 99.99 }),
      secondsAPass: optionalQuantity('s', 'Seconds a pass', { above: 0, upTo: 1e6 }),
    }),
  ),
  'tally-soak': command(
    atTheBench,
    z.object({ soakId: id, passes: whole('Passes', 100_000).pipe(z.number().min(1, 'Passes: one at least.')), failures: whole('How many failed', 100_000) }),
  ),
  /** The tally before, taken back at once. */
  'untally-soak': command(atTheBench, z.object({ soakId: id, passes: whole('Passes', 100_000), failures: whole('How many failed', 100_000) })),
  'end-soak': command(atTheBench, z.object({ soakId: id, note: optionalText('Why it ends', 200) })),
} as const

export const onCollection = {
  /** What machines of a model are tried with. */
  'set-test-lines': command(atTheBench, z.object({ modelId: id, version, lines: z.array(TestLineTyped).max(60, 'Lines: sixty at most.') })),
} as const
