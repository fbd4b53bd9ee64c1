import { z } from 'zod'
import { command } from '../../kernel/contract'
import { version } from '../../kernel/fields'
import { coordinator } from '../../kernel/roles'
import { PracticeRow } from './rows'

export const onCollection = {
  'set-practice': command(coordinator, z.object({ version, ...PracticeRow.typed })),
  /** The clock is right, and entries that stand ahead of it were written under a wrong one. */
  'confirm-clock': command(coordinator, z.object({ minutes: z.number().int().nonnegative() })),
} as const
