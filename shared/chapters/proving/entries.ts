import { z } from 'zod'
import { ending, entry } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'machine.signed-off': entry(z.object({ statement: s }), d => `Signed off: ${ending(d.statement)}`),
  'sign-off.ended': entry(z.object({ why: s }), d => `The sign-off no longer stands: ${ending(d.why)}`),
} as const
