import { z } from 'zod'
import { lives } from '#core/planning/stages'
import { command } from '../../kernel/contract'
import { id, oneOf, text } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'

export const onMachine = {
  'choose-life': command(coordinator, z.object({ life: oneOf(lives, 'Life') })),
  'ask-question': command(atTheBench, z.object({ question: text('Question', 500) })),
  'settle-question': command(atTheBench, z.object({ questionId: id, answer: text('Answer', 1000) })),
  /** Two photographs for the passport, before and after; neither takes them off it. */
  'show-before-after': command(coordinator, z.object({ beforeId: id.nullable(), afterId: id.nullable() })),
  'switch-passport': command(coordinator, z.object({ on: z.boolean() })),
} as const

export const onCollection = {} as const
