import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, oneOf, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'

/** Of a machine as it comes in, and inside it; of a line of the ledger, and of a place where parts lie. */
export const labelKinds = ['arrival', 'inside', 'part', 'place'] as const

const printerAddress = z
  .string()
  .trim()
  .max(200, 'Address: at most 200 characters, please.')
  .refine(
    uri => !uri || /^ipps?:\/\/[A-Za-z0-9.\-[\]:]+(\/[A-Za-z0-9./_-]*)?$/.test(uri),
    'Address: write it as ipp://printer.example/ipp/print, or leave it empty for no printer.',
  )

export const onCollection = {
  'set-printer': command(coordinator, z.object({ version, uri: printerAddress })),
  /**
   * Labels of machines by their tags, of parts by their codes, of places by their names, laid into the queue of the printer. `origin` is the address
   * that their codes open.
   */
  'print-labels': command(
    atTheBench,
    z.object({
      kind: oneOf(labelKinds, 'Label'),
      tags: z.array(z.string().max(120)).min(1, 'Choose at least one.').max(100, 'A hundred at once at most.'),
      origin: z.url({ protocol: /^https?$/, error: 'The address of this page cannot be read.' }).max(200),
    }),
  ),
  /** A label that is held is printed again. */
  'print-again': command(atTheBench, z.object({ jobId: id })),
  'drop-label': command(atTheBench, z.object({ jobId: id })),
} as const
