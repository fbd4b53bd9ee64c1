import { z } from 'zod'
import { StartView } from './shapes'

export const view = z.object({
  /** Those of late, newest first; the one that runs has no end yet. */
  starts: z.array(StartView),
})
