import { z } from 'zod'
import { closed, entry } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'printer.set': entry(z.object({ uri: s }), d => (d.uri ? `Labels are printed at ${d.uri}.` : 'No label printer any more.'), closed),
  'labels.queued': entry(
    z.object({ kind: s, tags: z.array(s) }),
    d => `${d.tags.length === 1 ? 'A label' : `${d.tags.length} labels`} to be printed: ${d.tags.join(', ')}.`,
    closed,
  ),
  'label.again': entry(z.object({ tag: s }), d => `Label of ${d.tag} to be printed again.`, closed),
  'label.dropped': entry(z.object({ tag: s }), d => `Label of ${d.tag} taken out of the queue.`, closed),
} as const
