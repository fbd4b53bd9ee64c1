import { z } from 'zod'
import { Finding } from '../../kernel/shapes'

const s = z.string()
const n = z.number()

/** The backups of the collection: which are there, and how the one comes on that is being made. */
export const BackupsView = z.object({
  /** Those whose manifest was cut or changed: they are counted on for nothing. */
  unreadable: z.array(z.string()),
  folder: s,
  /** Whether the last one is as new as it should be. */
  stands: Finding,
  /** Every so many hours one is made; 0 for never. */
  everyHours: n,
  kept: n,
  running: z.object({ what: z.enum(['database', 'photographs', 'checking']), done: n, of: n }).nullable(),
  /** Why the last try came to nothing. */
  trouble: z.object({ at: s, says: s }).nullable(),
  /** Newest first; every one was opened and checked after it was made. */
  backups: z.array(z.object({ name: s, made: s, verified: s, entries: n, photographs: n, bytes: n })),
})
export type BackupsView = z.infer<typeof BackupsView>
