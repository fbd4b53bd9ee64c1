import { z } from 'zod'
import { command } from '../../kernel/contract'
import { optionalBounded, optionalText, version } from '../../kernel/fields'
import { coordinator } from '../../kernel/roles'

export const onCollection = {
  'set-meter': command(
    coordinator,
    z.object({
      version,
      host: optionalText('Host', 200).refine(
        host => /^[A-Za-z0-9.:_-]*$/.test(host),
        'Host: a name or an address, such as 192.0.2.20, or nothing for no meter.',
      ),
      port: optionalBounded('Port', { above: 0, upTo: 65535 }).refine(port => port === null || Number.isInteger(port), 'Port: a whole number, mostly 5025.'),
    }),
  ),
} as const
