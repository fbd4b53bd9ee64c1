import { z } from 'zod'
import { type Path, paths } from '#core/condition/triage'
import { command } from '../../kernel/contract'
import { bounded, id, instant, oneOf, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { ConsentShape } from '../../kernel/shapes'
import { Agreement, Appraisal } from './rows'

const inOrder =
  (low: string, high: string) =>
  <T extends object>(given: T, context: z.RefinementCtx<T>) => {
    const values = given as Record<string, number>
    if (values[high]! < values[low]!) context.addIssue({ code: 'custom', path: [high], message: 'The higher figure comes here; this one is below the other.' })
  }

export const onMachine = {
  'record-consent': command(coordinator, z.object({ version, ...Agreement.typed })),
  /** Something is done without asking its owner: a coordinator decides so, and says why. */
  'pass-over-consent': command(
    coordinator,
    z.object({ work: ConsentShape.shape.allowed.element, reason: text('Reason', 300).min(10, 'Reason: say in a sentence why.') }),
  ),
  'record-spending': command(atTheBench, z.object({ what: text('What for', 160), amount: bounded('Amount', { above: 0, upTo: 1_000_000 }) })),
  'appraise': command(
    atTheBench,
    z
      .object({ version, ...Appraisal.typed })
      .superRefine(inOrder('hoursLow', 'hoursHigh'))
      .superRefine(inOrder('costLow', 'costHigh')),
  ),
  'choose-path': command(coordinator, z.object({ path: oneOf(Object.keys(paths) as [Path, ...Path[]], 'Path'), reason: text('Reason', 500) })),
  'write-to-owner': command(
    coordinator,
    z.object({
      questions: z.array(text('Question', 300)).min(1, 'Questions: ask at least one; it is what the letter is for.').max(20, 'Questions: twenty at most.'),
      photographIds: z.array(id).max(8, 'Photographs: eight at most.').default([]),
      to: z.union([z.literal(''), z.email('E-mail address: write it as somebody@example.org, or leave it empty to post the letter.')]).default(''),
      answerBy: instant('Answer by'),
    }),
  ),
  /** How it came and how it goes, for its owner. */
  'write-closing-letter': command(
    coordinator,
    z.object({
      released: text('Opening sentence', 400),
      to: z.union([z.literal(''), z.email('E-mail address: write it as somebody@example.org, or leave it empty to post the letter.')]).default(''),
    }),
  ),
} as const
