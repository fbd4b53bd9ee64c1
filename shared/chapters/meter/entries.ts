import { z } from 'zod'
import { closed, entry } from '../../kernel/contract'

export const entries = {
  'meter.set': entry(
    z.object({ host: z.string(), port: z.number().nullable() }),
    d => (d.host ? `The meter answers at ${d.host}, port ${d.port}.` : 'No meter any more.'),
    closed,
  ),
} as const
