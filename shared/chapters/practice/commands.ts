import { z } from 'zod'
import { boardSchools, plasticSchools } from '#core/cleaning/words'
import { replacementNames } from '#core/power/battery'
import { command } from '../../kernel/contract'
import { keysOf, oneOf, text, version } from '../../kernel/fields'
import { coordinator } from '../../kernel/roles'
import { SchoolShape } from '../../kernel/shapes'

export const onCollection = {
  'set-practice': command(
    coordinator,
    z.object({
      version,
      name: text('Name of the collection', 120),
      school: SchoolShape,
      numbering: text('Numbering', 40),
      zone: text('Time zone', 60),
      currency: z
        .string()
        .trim()
        .toUpperCase()
        .regex(/^[A-Z]{3}$/, 'Currency: three letters, such as EUR.')
        .default('EUR'),
      batterySchool: oneOf(replacementNames as ['none', ...typeof replacementNames], 'Lost battery').default('remote-holder'),
      boardSchool: oneOf(keysOf(boardSchools), 'Fouled boards').default('spot'),
      plasticSchool: oneOf(keysOf(plasticSchools), 'Yellowed plastic').default('leave'),
    }),
  ),
  /** The clock is right, and entries that stand ahead of it were written under a wrong one. */
  'confirm-clock': command(coordinator, z.object({ minutes: z.number().int().nonnegative() })),
} as const
