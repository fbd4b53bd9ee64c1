import { z } from 'zod'
import { boardSchools, plasticSchools } from '#core/cleaning/words'
import { replacementNames } from '#core/power/battery'
import { command } from '../../kernel/contract'
import { keysOf, oneOf, optionalQuantity, optionalText, text, version } from '../../kernel/fields'
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
  'set-meter': command(
    coordinator,
    z.object({
      version,
      host: optionalText('Host', 200).refine(
        host => /^[A-Za-z0-9.:_-]*$/.test(host),
        'Host: a name or an address, such as 192.0.2.20, or nothing for no meter.',
      ),
      port: optionalQuantity('', 'Port', { above: 0, upTo: 65535 }).refine(
        port => port === null || Number.isInteger(port),
        'Port: a whole number, mostly 5025.',
      ),
    }),
  ),
} as const
